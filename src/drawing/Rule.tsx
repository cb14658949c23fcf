import { memo } from 'react';
import type { UnitSystem } from '../core/units/write';
import type { StageView } from './stage-view';

const RULE_HEIGHT_PX = 27;

/** A steel rule laid under the lure, in millimetres or in sixteenths of an inch. */
export const Rule = memo(function Rule({ view, system }: { readonly view: StageView; readonly system: UnitSystem }) {
  const stepMm = system === 'metric' ? 1 : 25.4 / 16;
  const perMajor = system === 'metric' ? 10 : 16;
  const perMiddle = system === 'metric' ? 5 : 8;
  const first = Math.ceil((0 - view.originX) / view.pxPerMm / stepMm);
  const last = Math.floor((view.widthPx - view.originX) / view.pxPerMm / stepMm);
  const ticks = Array.from({ length: last - first + 1 }, (_, i) => first + i).filter((n) => n >= 0);
  const top = view.heightPx - RULE_HEIGHT_PX;
  const majorPx = perMajor * stepMm * view.pxPerMm;
  const dense = stepMm * view.pxPerMm < 3;
  const placeOf = (n: number) => view.originX + n * stepMm * view.pxPerMm;
  const isNumbered = (n: number) => n % perMajor === 0 && (majorPx >= 44 || n % (2 * perMajor) === 0);
  const tick = (n: number) => {
    const isMiddle = n % perMiddle === 0;
    if (dense && !isMiddle) return '';
    return `M${placeOf(n).toFixed(2)} ${top}v${n % perMajor === 0 ? 9 : isMiddle ? 6.5 : 4}`;
  };
  return (
    <g className="text-ink-soft" aria-hidden>
      <line x1={0} x2={view.widthPx} y1={top} y2={top} stroke="currentColor" strokeWidth={1} strokeOpacity={0.5} />
      <path d={ticks.map(tick).join('')} fill="none" stroke="currentColor" strokeWidth={0.8} />
      {ticks.filter(isNumbered).map((n) => (
        <text key={n} x={placeOf(n) + 3} y={top + 22} fontSize={14} fill="currentColor" className="measure">
          {system === 'metric' ? n : `${n / perMajor}${n === 0 ? '' : '″'}`}
          {n === 0 && system === 'metric' ? ' mm' : ''}
        </text>
      ))}
    </g>
  );
});
