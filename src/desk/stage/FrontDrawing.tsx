'use client';

import type { FrontSweep, FrontView } from '@/drawing/front-view';

export interface FrontDrawingProps {
  readonly view: FrontView;
  readonly label: string;
  readonly className: string;
}

const EDGE_MM = 4;

/** The lure as it comes towards the eye. */
export function FrontDrawing({ view, label, className }: FrontDrawingProps) {
  const half = view.halfMm + EDGE_MM;
  const way = (points: readonly { readonly rightMm: number; readonly upMm: number }[]) =>
    points.map(({ rightMm, upMm }, i) => `${i === 0 ? 'M' : 'L'}${rightMm} ${-upMm}`).join('');
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${-half} ${-half - view.middleMm} ${2 * half} ${2 * half}`}
      className={className}
    >
      <line
        x1={0}
        x2={0}
        y1={-half - view.middleMm}
        y2={half - view.middleMm}
        stroke="var(--line)"
        strokeWidth={half / 250}
      />
      {view.wires.map((points, i) => (
        <path
          key={i}
          d={way(points)}
          fill="none"
          stroke="var(--wire, #7d868c)"
          strokeWidth={1}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      ))}
      {view.parts.map(({ key, rightMm, upMm, halfWidthMm, halfHeightMm, colour }) => (
        <ellipse
          key={key}
          cx={rightMm}
          cy={-upMm}
          rx={halfWidthMm}
          ry={halfHeightMm}
          fill={colour}
          fillOpacity={0.85}
          stroke="var(--ink)"
          strokeWidth={half / 220}
        />
      ))}
      {view.points.map((points, i) => (
        <path key={i} d={way(points)} stroke="var(--ink)" strokeWidth={half / 90} strokeLinecap="round" />
      ))}
      {view.sweeps.map((sweep) => (
        <Sweep key={sweep.station} sweep={sweep} half={half} />
      ))}
    </svg>
  );
}

/** The way round, with an arrow where it has one way and two where the water decides. */
function Sweep({ sweep, half }: { readonly sweep: FrontSweep; readonly half: number }) {
  const { rightMm, upMm, radiusMm, turns } = sweep;
  const arrows = { clockwise: [1], anticlockwise: [-1], either: [1, -1], still: [] }[turns];
  return (
    <g transform={`translate(${rightMm} ${-upMm})`} fill="none" stroke="var(--accent)" strokeWidth={half / 130}>
      <circle r={radiusMm} strokeDasharray={`${half / 60} ${half / 60}`} />
      {arrows.map((way) => {
        // At the top, pointing the way it goes: clockwise to the right of the eye.
        const size = half / 16;
        const at = way * radiusMm * 0.35;
        const y = -Math.sqrt(radiusMm ** 2 - at ** 2);
        return (
          <path
            key={way}
            d={`M${at - way * size} ${y - size}L${at} ${y}L${at - way * size} ${y + size}`}
            strokeWidth={half / 70}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        );
      })}
    </g>
  );
}
