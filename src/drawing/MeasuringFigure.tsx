import { PATTERNS } from '../core/parts/blade-pattern';
import { outlineRim, type BladeShape } from '../core/parts/outline';
import type { BladePattern } from '../core/parts/blade-pattern';
import { Across, Down } from './dimension-lines';
import { polygon } from './path';

/** What is measured on a blade, by the field it is for. */
export type BladeMeasure = 'lengthM' | 'widthM' | 'holeDiameterM' | 'rootToHoleM' | 'thicknessM' | 'crownM' | 'massKg';

export interface MeasuringFigureProps {
  readonly pattern: BladePattern;
  readonly shape: BladeShape;
  readonly holeDiameterM: number;
  readonly thicknessM: number;
  /** The measure being taken stands out. */
  readonly taking: BladeMeasure | null;
}

const WIDTH = 430;
const PLAN_HEIGHT = 138;
const SIDE_HEIGHT = 64;

/** The blade from above and from the side, with a line for each thing to measure. */
export function MeasuringFigure({ pattern, shape, holeDiameterM, thicknessM, taking }: MeasuringFigureProps) {
  const scale = Math.min(300 / shape.lengthM, 92 / shape.widthM);
  const left = (WIDTH - shape.lengthM * scale) / 2;
  const x = (alongM: number) => left + (alongM + shape.holeOffsetM) * scale;
  const middle = 66;
  const rim = outlineRim(PATTERNS[pattern].outline, shape).map(({ alongM, acrossM }) => ({
    x: x(alongM),
    y: middle - acrossM * scale,
  }));
  const root = x(-shape.holeOffsetM);
  const tip = x(shape.lengthM - shape.holeOffsetM);
  const widest = root + PATTERNS[pattern].outline.widestAt * (tip - root);
  const half = (shape.widthM * scale) / 2;
  const holeRadius = (holeDiameterM * scale) / 2;
  const table = PLAN_HEIGHT + SIDE_HEIGHT - 12;
  const crown = (shape.cupDepthM + thicknessM) * scale;
  const thick = Math.max(thicknessM * scale, 2);
  const dome = `M${root} ${table}Q${(root + tip) / 2} ${table - 2 * crown} ${tip} ${table}`;
  const hollow = `L${tip - thick} ${table}Q${(root + tip) / 2} ${table - 2 * (crown - thick)} ${root + thick} ${table}Z`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${PLAN_HEIGHT + SIDE_HEIGHT}`}
      role="img"
      aria-label="What to measure on the blade"
      className="w-full shrink-0"
    >
      <path d={polygon(rim)} fill="var(--stage)" stroke="var(--ink-soft)" strokeWidth={1.5} />
      <circle cx={x(0)} cy={middle} r={holeRadius} fill="var(--panel)" stroke="var(--ink-soft)" strokeWidth={1.5} />
      <Across on={taking === 'lengthM'} from={root} to={tip} y={middle + half + 16} word="length" />
      <Down on={taking === 'widthM'} x={widest} from={middle - half} to={middle + half} word="width" />
      <Across
        on={taking === 'rootToHoleM'}
        from={root}
        to={x(0) - holeRadius}
        y={middle - half - 4}
        word="root to hole"
        wordAt={root - 8}
      />
      <Across
        on={taking === 'holeDiameterM'}
        from={x(0) - holeRadius}
        to={x(0) + holeRadius}
        y={middle + half + 2}
        word="hole"
        wordAt={root - 20}
      />
      <path
        d={dome + hollow}
        fill={taking === 'massKg' ? 'var(--accent-soft)' : 'var(--stage)'}
        stroke="var(--ink-soft)"
      />
      <line x1={root - 40} x2={tip + 40} y1={table} y2={table} stroke="var(--ink-soft)" strokeWidth={2} />
      <text x={root - 44} y={table + 4} textAnchor="end" fontSize={12} fill="var(--ink-soft)">
        table
      </text>
      <Down
        on={taking === 'crownM'}
        x={(root + tip) / 2}
        from={table - crown}
        to={table}
        word="crown, lying hollow down"
        wordAbove
      />
      <Down on={taking === 'thicknessM'} x={tip + 14} from={table - thick} to={table} word="thickness" />
    </svg>
  );
}
