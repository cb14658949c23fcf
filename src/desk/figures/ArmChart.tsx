'use client';

import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { magnification, naturalHz, type Arm } from '@/core/hydro/arm-shake';
import { doesTurn, type BladePrediction } from '@/core/predict/spin';
import { AXIS_TEXT, evenTicks } from './chart-axes';

export interface ArmChartProps {
  readonly arm: Arm;
  readonly blades: readonly (BladePrediction | undefined)[];
  readonly speedMps: number;
}

const POINTS = 120;

/** How the arm answers to what turns on it: far below its own rate as a spring, most at it, hardly at all above. */
export default function ArmChart({ arm, blades, speedMps }: ArmChartProps) {
  const turning = blades.flatMap((blade) => (doesTurn(blade) ? [blade] : []));
  const dragN = turning.reduce((sum, { dragN: drag }) => sum + drag.value, 0);
  const ownHz = naturalHz(arm);
  const ticks = evenTicks(Math.max(1.8 * ownHz, ...turning.map(({ rateHz }) => 1.2 * rateHz.high)));
  const farthest = ticks.at(-1) ?? 1;
  const swings = (rateHz: number) => magnification(arm, rateHz, dragN, speedMps);
  const rows = Array.from({ length: POINTS + 1 }, (_, i) => {
    const rate = (farthest * i) / POINTS;
    return { rate, swing: swings(rate) };
  });
  const heights = evenTicks(Math.max(...rows.map(({ swing }) => swing)));
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart data={rows} margin={{ top: 6, right: 12, bottom: 16, left: -14 }} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--line)" vertical={false} />
        <XAxis
          dataKey="rate"
          type="number"
          domain={[0, farthest]}
          ticks={ticks}
          tick={AXIS_TEXT}
          stroke="var(--line)"
          label={{ value: 'turns a second', position: 'insideBottom', offset: -10, ...AXIS_TEXT }}
        />
        <YAxis
          tick={AXIS_TEXT}
          stroke="var(--line)"
          width={52}
          domain={[0, heights.at(-1) ?? 1]}
          ticks={heights}
          tickFormatter={(times: number) => `${times} ×`}
        />
        {turning.map(({ rateHz }, i) => (
          <ReferenceArea
            key={`band ${i}`}
            x1={rateHz.low}
            x2={Math.min(rateHz.high, farthest)}
            fill="var(--accent)"
            fillOpacity={0.12}
          />
        ))}
        <ReferenceLine x={ownHz} stroke="var(--ink-soft)" strokeDasharray="6 4" />
        <Line dataKey="swing" stroke="var(--accent)" strokeWidth={2.5} dot={false} isAnimationActive={false} />
        {turning.map(({ rateHz }, i) => (
          <ReferenceDot
            key={`blade ${i}`}
            x={rateHz.value}
            y={swings(rateHz.value)}
            r={5}
            fill="var(--ink)"
            stroke="var(--panel)"
          />
        ))}
      </ComposedChart>
    </ResponsiveContainer>
  );
}
