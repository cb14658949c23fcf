'use client';

import { useLayoutEffect, useMemo, useRef } from 'react';
import type { Build, ItemId } from '../core/lure/lure';
import type { MakeStep } from '../core/make/plan';
import type { Workpiece } from '../core/make/workpiece';
import { paintStill } from './still-lure';
import { stepScene } from './step-scene';

export interface StepPictureProps {
  readonly goal: Build;
  readonly piece: Workpiece;
  readonly step: MakeStep;
  /** Hooks with a cork on their points. */
  readonly capped: readonly ItemId[];
  readonly width: number;
  readonly height: number;
  /** Pixels to the millimetre when it is to be as large as life; null lets it fill its room. */
  readonly lifePxPerMm: number | null;
  readonly label: string;
}

const EDGE_PX = 18;
/** Small things are not drawn larger than this. */
const MOST_PX_PER_MM = 16;

/** The lure as it stands after a step, what is new on it ringed. */
export function StepPicture({ goal, piece, step, capped, width, height, lifePxPerMm, label }: StepPictureProps) {
  const ref = useRef<HTMLCanvasElement>(null);
  const scene = useMemo(() => stepScene(goal, piece, step, capped), [goal, piece, step, capped]);
  const { box } = scene;
  const [wideMm, highMm] = [box.x1 - box.x0, box.y1 - box.y0];
  const fits = Math.min(MOST_PX_PER_MM, (width - 2 * EDGE_PX) / wideMm, (height - 2 * EDGE_PX) / highMm);
  const pxPerMm = lifePxPerMm ?? fits;
  const [canvasWidth, canvasHeight] = [
    Math.max(width, Math.ceil(wideMm * pxPerMm + 2 * EDGE_PX)),
    Math.max(height, Math.ceil(highMm * pxPerMm + 2 * EDGE_PX)),
  ];
  useLayoutEffect(() => {
    const canvas = ref.current;
    const context = canvas?.getContext('2d');
    if (!canvas || !context) return;
    const ratio = window.devicePixelRatio || 1;
    [canvas.width, canvas.height] = [Math.round(canvasWidth * ratio), Math.round(canvasHeight * ratio)];
    const originX = canvasWidth / 2 - ((box.x0 + box.x1) / 2) * pxPerMm;
    const originY = canvasHeight / 2 - ((box.y0 + box.y1) / 2) * pxPerMm;
    const scale = pxPerMm * ratio;
    context.setTransform(scale, 0, 0, scale, originX * ratio, originY * ratio);
    paintStill(context, scene.lure);
    const style = getComputedStyle(canvas);
    const { mark, brokenAt } = scene;
    if (brokenAt) paintBreak(context, brokenAt, style.getPropertyValue('--stage'), style.getPropertyValue('--ink'));
    if (mark) {
      context.strokeStyle = style.getPropertyValue('--accent');
      context.lineWidth = 2.5 / pxPerMm;
      context.setLineDash([7 / pxPerMm, 4 / pxPerMm]);
      context.beginPath();
      context.roundRect(mark.x0, mark.y0, mark.x1 - mark.x0, mark.y1 - mark.y0, 8 / pxPerMm);
      context.stroke();
      context.setLineDash([]);
    }
  }, [scene, box, canvasWidth, canvasHeight, pxPerMm]);
  const isLarger = canvasWidth > width || canvasHeight > height;
  return (
    <div
      role="img"
      aria-label={label}
      // Larger than its room it is slid about, by keys too.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={isLarger ? 0 : undefined}
      className="overflow-auto"
      style={{ width, height }}
      data-testid="step-picture"
      data-px-per-mm={pxPerMm.toFixed(3)}
    >
      <canvas ref={ref} aria-hidden style={{ width: canvasWidth, height: canvasHeight }} />
    </div>
  );
}

/** Two slashes through a wire that goes on further than it is drawn. */
function paintBreak(
  context: CanvasRenderingContext2D,
  { xMm, yMm }: { readonly xMm: number; readonly yMm: number },
  ground: string,
  ink: string,
) {
  const isLeft = xMm <= 0.5;
  const at = isLeft ? xMm + 2.2 : xMm - 2.2;
  context.fillStyle = ground;
  context.fillRect(at - 0.5, yMm - 1.5, 1, 3);
  context.strokeStyle = ink;
  context.lineWidth = 0.22;
  for (const x of [at - 0.5, at + 0.5]) {
    context.beginPath();
    context.moveTo(x - 0.5, yMm + 1.5);
    context.lineTo(x + 0.5, yMm - 1.5);
    context.stroke();
  }
}
