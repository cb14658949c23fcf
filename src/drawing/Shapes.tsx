import { memo } from 'react';
import type { Paint } from './paint';
import type { Shape } from './shape';

/** Shapes as SVG paths. Paints are named by what they are, so the same one is defined once per drawing. */
export const Shapes = memo(function Shapes({ shapes }: { readonly shapes: readonly Shape[] }) {
  return shapes.map(({ d, fill, stroke, strokeWidth, opacity, round, dash }, i) => (
    <path
      key={i}
      d={d}
      fill={fill === undefined ? 'none' : typeof fill === 'string' ? fill : `url(#${fill.id})`}
      stroke={stroke}
      strokeWidth={strokeWidth}
      fillOpacity={opacity}
      strokeOpacity={opacity}
      strokeLinecap={round ? 'round' : undefined}
      strokeLinejoin="round"
      strokeDasharray={dash?.join(' ')}
    />
  ));
});

/** The gradients behind the given shapes. They are made anew only when others are needed. */
export function PaintDefs({ shapes }: { readonly shapes: readonly Shape[] }) {
  const paints = new Map<string, Paint>();
  for (const { fill } of shapes) if (fill !== undefined && typeof fill !== 'string') paints.set(fill.id, fill);
  return <Defs paints={[...paints.values()]} />;
}

const Defs = memo(
  function Defs({ paints }: { readonly paints: readonly Paint[] }) {
    return (
      <defs>
        {paints.map((paint) => {
          const stops = paint.stops.map(({ at, colour, opacity }) => (
            <stop key={at} offset={at} stopColor={colour} stopOpacity={opacity} />
          ));
          return paint.form === 'ball' ? (
            <radialGradient key={paint.id} id={paint.id} cx="0.38" cy="0.3" r="0.75">
              {stops}
            </radialGradient>
          ) : (
            <linearGradient key={paint.id} id={paint.id} x1="0" y1="0" x2="0" y2="1">
              {stops}
            </linearGradient>
          );
        })}
      </defs>
    );
  },
  // A paint is named by what it is.
  (a, b) => a.paints.map(({ id }) => id).join() === b.paints.map(({ id }) => id).join(),
);
