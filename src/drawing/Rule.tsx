import { memo } from 'react';
import type { LeftOut } from '../core/geometry/placed';
import type { UnitSystem } from '../core/units/write';
import type { StageView } from './stage-view';

const RULE_HEIGHT_PX = 27;
/** Room of a number before a break. */
const NUMBER_PX = 44;

interface RuleProps {
  readonly view: StageView;
  readonly system: UnitSystem;
  /** Line left out of the drawing: behind it the rule goes on with what was left out. */
  readonly leftOut: readonly LeftOut[];
}

/** A stretch of the page under which the rule runs on, and how much further it is along the lure than on the page, mm. */
function stretchesOf(view: StageView, leftOut: readonly LeftOut[]) {
  const ends = [
    -view.originX / view.pxPerMm,
    ...leftOut.map(({ atM }) => atM * 1000),
    (view.widthPx - view.originX) / view.pxPerMm,
  ];
  return ends.slice(1).map((toMm, i) => ({
    fromMm: ends[i] ?? toMm,
    toMm,
    aheadMm: leftOut.slice(0, i).reduce((sum, { lengthM }) => sum + lengthM * 1000, 0),
  }));
}

/** A steel rule laid under the lure, in millimetres or in sixteenths of an inch. */
export const Rule = memo(function Rule({ view, system, leftOut }: RuleProps) {
  const stepMm = system === 'metric' ? 1 : 25.4 / 16;
  const perMajor = system === 'metric' ? 10 : 16;
  const perMiddle = system === 'metric' ? 5 : 8;
  const top = view.heightPx - RULE_HEIGHT_PX;
  const majorPx = perMajor * stepMm * view.pxPerMm;
  const dense = stepMm * view.pxPerMm < 3;
  const stretches = stretchesOf(view, leftOut);
  const ticks = stretches.flatMap(({ fromMm, toMm, aheadMm }) => {
    const first = Math.max(0, Math.ceil((fromMm + aheadMm) / stepMm));
    const last = Math.floor((toMm + aheadMm) / stepMm);
    return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => ({
      n: first + i,
      x: view.originX + ((first + i) * stepMm - aheadMm) * view.pxPerMm,
    }));
  });
  const isNumbered = (n: number) => n % perMajor === 0 && (majorPx >= 44 || n % (2 * perMajor) === 0);
  const tick = ({ n, x }: { readonly n: number; readonly x: number }) => {
    const isMiddle = n % perMiddle === 0;
    if (dense && !isMiddle) return '';
    return `M${x.toFixed(2)} ${top}v${n % perMajor === 0 ? 9 : isMiddle ? 6.5 : 4}`;
  };
  const breaks = stretches.slice(1).map(({ fromMm }) => view.originX + fromMm * view.pxPerMm);
  const isShown = ({ n, x }: { readonly n: number; readonly x: number }) =>
    isNumbered(n) && !breaks.some((at) => at - x > 0 && at - x < NUMBER_PX);
  return (
    <g className="text-ink-soft" aria-hidden>
      <line x1={0} x2={view.widthPx} y1={top} y2={top} stroke="currentColor" strokeWidth={1} strokeOpacity={0.5} />
      <path d={ticks.map(tick).join('')} fill="none" stroke="currentColor" strokeWidth={0.8} />
      {breaks.map((x) => (
        <path key={x} d={`M${x - 6} ${top + 8}l6 -16M${x} ${top + 8}l6 -16`} stroke="currentColor" strokeWidth={1.4} />
      ))}
      {ticks.filter(isShown).map(({ n, x }) => (
        <text key={n} x={x + 3} y={top + 22} fontSize={14} fill="currentColor" className="measure">
          {system === 'metric' ? n : `${n / perMajor}${n === 0 ? '' : '″'}`}
          {n === 0 && system === 'metric' ? ' mm' : ''}
        </text>
      ))}
    </g>
  );
});
