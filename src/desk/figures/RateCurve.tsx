'use client';

import {
  Area,
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
import { doesTurn, type SpinPrediction } from '@/core/predict/spin';
import type { StallPrediction } from '@/core/predict/stalls';
import { AXIS_TEXT } from './chart-axes';
import { FASTEST_SHOWN_MPS } from '../speed';

export interface RateCurveProps {
  readonly prediction: SpinPrediction;
  readonly stalls: readonly StallPrediction[];
  readonly speedMps: number;
  readonly rateHz: number | null;
}

const COLOURS = ['var(--accent)', 'var(--caution)'];

/** Turns a second against speed, each blade with its band; where it stalls is shaded, and the dot is the chosen retrieve. */
export default function RateCurve({ prediction, stalls, speedMps, rateHz }: RateCurveProps) {
  const rows = prediction.speedsMps.map((speed, i) => {
    const row: Record<string, number | [number, number] | null> = { speed };
    prediction.blades.forEach(({ at }, blade) => {
      const point = at[i];
      const turning = doesTurn(point) ? point : null;
      row[`rate${blade}`] = turning ? turning.rateHz.value : null;
      row[`band${blade}`] = turning ? [turning.rateHz.low, turning.rateHz.high] : null;
    });
    return row;
  });
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart data={rows} margin={{ top: 6, right: 10, bottom: 14, left: -18 }} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--line)" vertical={false} />
        <XAxis
          dataKey="speed"
          type="number"
          domain={[0, FASTEST_SHOWN_MPS]}
          ticks={[0, 0.5, 1, 1.5, 2]}
          tick={AXIS_TEXT}
          stroke="var(--line)"
          label={{ value: 'speed, m/s', position: 'insideBottom', offset: -10, ...AXIS_TEXT }}
        />
        <YAxis
          tick={AXIS_TEXT}
          stroke="var(--line)"
          width={52}
          tickCount={4}
          allowDecimals={false}
          domain={[0, 'auto']}
        />
        {stalls.map(({ station, stall }, blade) =>
          stall.outcome === 'stalls' ? (
            <ReferenceArea
              key={`stall ${station}`}
              x1={stall.keepsMps.low}
              x2={Math.min(stall.keepsMps.high, FASTEST_SHOWN_MPS)}
              fill="var(--fault)"
              fillOpacity={0.12}
              label={
                blade === 0
                  ? { value: 'may stop', position: 'insideTop', fontSize: 12, fill: 'var(--ink-soft)' }
                  : undefined
              }
            />
          ) : null,
        )}
        {prediction.blades.map(({ station }, blade) => (
          <Area
            key={`band ${station}`}
            dataKey={`band${blade}`}
            stroke="none"
            fill={COLOURS[blade % COLOURS.length] ?? 'currentColor'}
            fillOpacity={0.18}
            isAnimationActive={false}
          />
        ))}
        {prediction.blades.map(({ station }, blade) => (
          <Line
            key={`rate ${station}`}
            dataKey={`rate${blade}`}
            stroke={COLOURS[blade % COLOURS.length] ?? 'currentColor'}
            strokeWidth={2}
            strokeDasharray={blade === 0 ? undefined : '6 3'}
            dot={false}
            isAnimationActive={false}
          />
        ))}
        <ReferenceLine x={speedMps} stroke="var(--ink-soft)" strokeDasharray="3 3" />
        {rateHz !== null && <ReferenceDot x={speedMps} y={rateHz} r={5} fill="var(--ink)" stroke="var(--panel)" />}
      </ComposedChart>
    </ResponsiveContainer>
  );
}
