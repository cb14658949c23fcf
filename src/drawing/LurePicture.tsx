'use client';

import { useLayoutEffect, useRef } from 'react';
import type { Rest } from '../core/geometry/stack';
import type { Build } from '../core/lure/lure';
import { frameFor, paintStill, restingLure, stillLure, traceStill } from './still-lure';

export interface LurePictureProps {
  readonly build: Build;
  readonly width: number;
  readonly height: number;
  /** Pixels per millimetre at most: lures in one list are drawn to one scale as far as they fit. */
  readonly scale: number;
  /** Those that it is drawn beside: all to one scale, their line ties at one place. */
  readonly beside?: readonly Build[];
  /** Another build laid over it in outline. */
  readonly over?: Build;
  /** How a lure on line lies; as the water draws it unless told otherwise. */
  readonly rest?: Rest;
  readonly label?: string;
}

/** A whole lure, still, within a box. */
export function LurePicture({ build, width, height, scale, beside, over, rest = 'towed', label }: LurePictureProps) {
  const ref = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const canvas = ref.current;
    const context = canvas?.getContext('2d');
    if (!canvas || !context) return;
    const ratio = window.devicePixelRatio || 1;
    [canvas.width, canvas.height] = [Math.round(width * ratio), Math.round(height * ratio)];
    const lure = restingLure(build, rest);
    const other = over ? stillLure(over) : null;
    const { pxPerMm, originX, originY } = frameFor(
      [lure, ...(other ? [other] : []), ...(beside ?? []).map(stillLure)],
      width,
      height,
      scale,
    );
    context.setTransform(pxPerMm * ratio, 0, 0, pxPerMm * ratio, originX * ratio, originY * ratio);
    paintStill(context, lure);
    if (other) traceStill(context, other, getComputedStyle(canvas).getPropertyValue('--accent') || '#0b5a5f');
  }, [build, beside, over, rest, width, height, scale]);
  return (
    <canvas
      ref={ref}
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
      style={{ width, height }}
      className="shrink-0"
    />
  );
}
