'use client';

import { useEffect, useEffectEvent, useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import type { PlacedShapes } from '../paint-canvas';
import type { PixelBox, StageScale } from '../stage-view';
import type { TurningThing } from '../turning-blade';
import { painterOf, painting, type StagePainter } from './stage-painter';

export interface StageCanvasesProps {
  readonly things: readonly PlacedShapes[];
  readonly turning: readonly TurningThing[];
  readonly view: StageScale;
  /** The part of the stage that the blades can reach. */
  readonly swept: PixelBox;
  readonly isStill: boolean;
  /** Called once, when it is first painted. */
  readonly onPainted?: () => void;
}

/** The three canvases of a stage, kept painted, with the blades turning on them: behind the lure, the lure, before it. */
export function StageCanvases({ things, turning, view, swept, isStill, onPainted }: StageCanvasesProps) {
  const behind = useRef<HTMLCanvasElement>(null);
  const still = useRef<HTMLCanvasElement>(null);
  const before = useRef<HTMLCanvasElement>(null);
  // Others are needed where what paints changes.
  const key = useSyncExternalStore(painting.onChange, painting.isByWorker, () => true) ? 'worker' : 'page';
  const fault = useSyncExternalStore(painting.onChange, painting.fault, () => null);
  if (fault !== null) {
    // Told once, by the boundary around the drawing; what is shown next may be painted again.
    queueMicrotask(painting.forgetFault);
    throw new Error(`the stage could not be painted: ${fault}`);
  }
  const painter = useRef<StagePainter | null>(null);
  useLayoutEffect(() => {
    if (!behind.current || !still.current || !before.current) return;
    painter.current = painterOf({ behind: behind.current, still: still.current, before: before.current });
    const { widthPx, heightPx, pxPerMm, originX, originY } = view;
    painter.current.show({
      things,
      turning,
      isStill,
      pxPerMm,
      ratio: window.devicePixelRatio || 1,
      whole: { widthPx, heightPx, originX, originY },
      swept: {
        widthPx: swept.width,
        heightPx: swept.height,
        originX: originX - swept.left,
        originY: originY - swept.top,
      },
    });
  }, [key, things, turning, isStill, view, swept]);
  const tellPainted = useEffectEvent(() => onPainted?.());
  useEffect(() => {
    let isShown = true;
    void painter.current?.hasPainted.then(() => {
      if (isShown) tellPainted();
    });
    return () => {
      isShown = false;
    };
  }, [key]);
  useEffect(() => () => painter.current?.stop(), []);
  return (
    <>
      <canvas key={`behind ${key}`} ref={behind} aria-hidden className="absolute" style={swept} />
      <canvas
        key={`still ${key}`}
        ref={still}
        aria-hidden
        data-testid="still"
        className="absolute inset-0 size-full dark:[filter:drop-shadow(0_0_0.7px_var(--ink-soft))]"
      />
      <canvas
        key={`before ${key}`}
        ref={before}
        aria-hidden
        data-testid="near-side"
        className="pointer-events-none absolute"
        style={swept}
      />
    </>
  );
}
