'use client';

import { CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { RetrievePath } from '@/core/predict/retrieve-path';
import { inUnit, type UnitSystem } from '@/core/units/write';
import { AXIS_TEXT, evenTicks } from './chart-axes';

export interface DepthChartProps {
  readonly path: Extract<RetrievePath, { outcome: 'runs' }>;
  readonly system: UnitSystem;
}

/** The surface on top, the rod at the left: the way of the lure as its line comes in, and towed. */
export default function DepthChart({ path, system }: DepthChartProps) {
  const unit = system === 'metric' ? 'm' : 'ft';
  const rows = path.points.map(({ lineOutM, depthM, towedM }) => ({
    out: inUnit(lineOutM, unit),
    wound: inUnit(depthM, unit),
    towed: inUnit(towedM, unit),
  }));
  const farthest = rows[0]?.out ?? 1;
  const depths = evenTicks(Math.max(...rows.map(({ wound, towed: level }) => Math.max(wound, level))));
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart data={rows} margin={{ top: 6, right: 12, bottom: 16, left: -6 }} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--line)" vertical={false} />
        <XAxis
          dataKey="out"
          type="number"
          domain={[0, farthest]}
          ticks={evenTicks(farthest).filter((out) => out <= farthest)}
          tick={AXIS_TEXT}
          stroke="var(--line)"
          label={{ value: `line still out, ${unit}`, position: 'insideBottom', offset: -10, ...AXIS_TEXT }}
        />
        <YAxis
          reversed
          tick={AXIS_TEXT}
          stroke="var(--line)"
          width={52}
          domain={[0, depths.at(-1) ?? 1]}
          ticks={depths}
          tickFormatter={(depth: number) => (depth === 0 ? '0' : `${depth} ${unit}`)}
        />
        <ReferenceLine y={0} stroke="var(--accent)" strokeWidth={2} />
        <Line
          dataKey="towed"
          stroke="var(--ink-soft)"
          strokeDasharray="6 4"
          dot={false}
          strokeWidth={1.5}
          isAnimationActive={false}
        />
        <Line dataKey="wound" stroke="var(--accent)" dot={false} strokeWidth={2.5} isAnimationActive={false} />
      </ComposedChart>
    </ResponsiveContainer>
  );
}
