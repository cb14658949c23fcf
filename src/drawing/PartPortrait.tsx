import { memo } from 'react';
import type { Part } from '@/core/parts/part';
import { STILL, bladeMesh, poseBlade } from './blade-mesh';
import { polygon } from './path';
import { PaintDefs, Shapes } from './Shapes';
import { portrait } from './part-shapes';

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
  const left = (width - drawn.width * fit) / 2;
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden className="shrink-0">
      <PaintDefs shapes={drawn.shapes} />
      <g transform={`translate(${left} ${height / 2}) scale(${fit})`}>
        {part.kind === 'blade' ? <FaceOn part={part} /> : <Shapes shapes={drawn.shapes} />}
      </g>
    </svg>
  );
});

/** A blade looked at square on its front. */
function FaceOn({ part }: { readonly part: Extract<Part, { kind: 'blade' }> }) {
  const pose = {
    holeMm: part.holeOffsetM * 1000,
    dropMm: 0,
    spreadRad: 0,
    setAngleRad: 0,
    azimuthRad: Math.PI / 2,
    flipped: false,
  };
  const { facets, hole } = poseBlade(bladeMesh(part, STILL), pose);
  return (
    <>
      {facets.map(({ points, fill }, i) => (
        <path key={i} d={polygon(points)} fill={fill} stroke={fill} strokeWidth={0.4} />
      ))}
      <path d={polygon(hole)} fill="var(--panel)" stroke="#0006" strokeWidth={0.15} />
    </>
  );
}
