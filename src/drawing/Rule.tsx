import { memo } from 'react';
import type { UnitSystem } from '../core/units/write';
import type { StageView } from './stage-view';

/** A steel rule laid under the lure, in millimetres or in sixteenths of an inch. */
export const Rule = memo(function Rule({ view, system }: { readonly view: StageView; readonly system: UnitSystem }) {
  const stepMm = system === 'metric' ? 1 : 25.4 / 16;
  const perMajor = system === 'metric' ? 10 : 16;
  const perMiddle = system === 'metric' ? 5 : 8;
  const first = Math.ceil((0 - view.originX) / view.pxPerMm / stepMm);
  const last = Math.floor((view.widthPx - view.originX) / view.pxPerMm / stepMm);
  const ticks = Array.from({ length: last - first + 1 }, (_, i) => first + i).filter((n) => n >= 0);
  const top = view.heightPx - 22;
  const majorPx = perMajor * stepMm * view.pxPerMm;
  const dense = stepMm * view.pxPerMm < 3;
  return (
    <g className="text-ink-soft" aria-hidden>
      <line x1={0} x2={view.widthPx} y1={top} y2={top} stroke="currentColor" strokeWidth={1} opacity={0.5} />
      {ticks.map((n) => {
        const isMajor = n % perMajor === 0;
        const isMiddle = n % perMiddle === 0;
        if (dense && !isMiddle) return null;
        const x = view.originX + n * stepMm * view.pxPerMm;
        return (
          <g key={n}>
            <line
              x1={x}
              x2={x}
              y1={top}
              y2={top + (isMajor ? 9 : isMiddle ? 6.5 : 4)}
              stroke="currentColor"
              strokeWidth={0.8}
            />
            {isMajor && (majorPx >= 34 || n % (2 * perMajor) === 0) && (
              <text x={x + 3} y={top + 18} fontSize={11} fill="currentColor" className="measure">
                {system === 'metric' ? n : `${n / perMajor}${n === 0 ? '' : '″'}`}
                {n === 0 && system === 'metric' ? ' mm' : ''}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});
