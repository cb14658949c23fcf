'use client';

import { useEffect, useMemo, useRef, type RefObject } from 'react';
import type { Layout } from '../core/geometry/layout';
import { linePose } from './drawn-things';
import type { Motion } from './motion';
import type { PixelBox, StageView } from './stage-view';
import { TurningBlade, turningThings } from './turning-blade';

/** A hidden tab or a slow machine does not make the blade jump further than this. */
const LONGEST_STEP_S = 0.5;
/** Half open, so that both faces and the cup can be read. */
const STILL_AZIMUTH_RAD = (58 * Math.PI) / 180;

/**
 * Keeps the blades turning on the two canvases. Blades are made anew when blades or clevises change and only told of it
 * when their motion does; each goes on from where it stood.
 */
export function useTurning(
  behind: RefObject<HTMLCanvasElement | null>,
  before: RefObject<HTMLCanvasElement | null>,
  motions: readonly Motion[],
  layout: Layout,
  view: StageView,
  box: PixelBox,
  slowedBy: number,
  still: boolean,
) {
  const things = useMemo(
    () => motions.flatMap((motion) => turningThings(motion, linePose(layout, motion.line), slowedBy)),
    [motions, layout, slowedBy],
  );
  const blades = useRef(new Map<string, TurningBlade>());
  const paintRef = useRef<() => void>(() => undefined);

  useEffect(() => {
    const kept = new Map(blades.current);
    blades.current.clear();
    for (const thing of things) {
      const known = kept.get(thing.key);
      const isSame = known?.isOf(thing) ?? false;
      const blade = isSame && known ? known : new TurningBlade(thing, known?.azimuthRad ?? STILL_AZIMUTH_RAD);
      if (isSame) blade.update(thing);
      if (still && thing.rateHz > 0) blade.azimuthRad = STILL_AZIMUTH_RAD;
      blades.current.set(thing.key, blade);
    }
    // While they turn, the next frame paints them.
    if (still) paintRef.current();
  }, [things, still]);

  const { left: leftPx, top: topPx, width: widthPx, height: heightPx } = box;
  useEffect(() => {
    const canvases = [behind.current, before.current];
    const contexts = canvases.map((canvas) => canvas?.getContext('2d') ?? null);
    const [back, front] = contexts;
    if (!back || !front) return;
    const ratio = window.devicePixelRatio || 1;
    for (const { canvas } of [back, front]) {
      canvas.width = Math.round(widthPx * ratio);
      canvas.height = Math.round(heightPx * ratio);
    }
    const scale = ratio * view.pxPerMm;
    const paint = () => {
      for (const context of [back, front]) {
        context.setTransform(1, 0, 0, 1, 0, 0);
        context.clearRect(0, 0, context.canvas.width, context.canvas.height);
        context.setTransform(scale, 0, 0, scale, (view.originX - leftPx) * ratio, (view.originY - topPx) * ratio);
      }
      let near = false;
      for (const blade of blades.current.values()) near = blade.paint(back, front);
      const side = near ? 'near' : 'far';
      if (front.canvas.dataset.side !== side) front.canvas.dataset.side = side;
    };
    paintRef.current = paint;
    paint();
    if (still) return;
    let last = 0;
    let frame = requestAnimationFrame(function step(now) {
      const seconds = last === 0 ? 0 : Math.min((now - last) / 1000, LONGEST_STEP_S);
      last = now;
      for (const blade of blades.current.values()) blade.advance(seconds);
      paint();
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [behind, before, view, leftPx, topPx, widthPx, heightPx, still]);
}
