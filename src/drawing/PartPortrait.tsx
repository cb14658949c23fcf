import { memo } from 'react';
import type { Part } from '@/core/parts/part';
import { PaintDefs, Shapes } from './Shapes';
import { portrait } from './drawn-kinds';

export interface PartPortraitProps {
  readonly part: Part;
  readonly width: number;
  readonly height: number;
  /** Pixels per millimetre at most: parts in one list are drawn to one scale as far as they fit. */
  readonly scale: number;
}

/** A part by itself, drawn from its measures. */
export const PartPortrait = memo(function PartPortrait({ part, width, height, scale }: PartPortraitProps) {
  const drawn = portrait(part);
  const fit = Math.min(scale, (width - 4) / drawn.width, (height - 4) / drawn.height);
  const left = (width - drawn.width * fit) / 2 - (drawn.left ?? 0) * fit;
  const top = height / 2 - (drawn.middle ?? 0) * fit;
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden className="shrink-0">
      <PaintDefs shapes={drawn.shapes} />
      <g transform={`translate(${left} ${top}) scale(${fit})`}>
        <Shapes shapes={drawn.shapes} />
      </g>
    </svg>
  );
});
