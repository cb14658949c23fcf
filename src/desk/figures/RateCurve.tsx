'use client';

import { memo } from 'react';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceArea, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { doesTurn, type SpinPrediction } from '@/core/predict/spin';
import type { StallPrediction } from '@/core/predict/stalls';
import { AXIS_TEXT } from './chart-axes';
import { CURVE } from './curve-frame';
import { FASTEST_SHOWN_MPS } from '../speed';

export interface RateCurveProps {
  readonly prediction: SpinPrediction;
  readonly stalls: readonly StallPrediction[];
  /** Marks along the speed, in the unit it is chosen in. */
  readonly ticks: readonly { readonly mps: number; readonly text: string }[];
  readonly mostHz: number;
}

const COLOURS = ['var(--accent)', 'var(--caution)'];

/** Turns a second against speed, each blade with its band; where it may stop is shaded. Where one stands is laid over it. */
export default memo(function RateCurve({ prediction, stalls, ticks, mostHz }: RateCurveProps) {
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
      <ComposedChart
        data={rows}
        margin={{ top: CURVE.topPx, right: CURVE.rightPx, bottom: 0, left: 0 }}
        accessibilityLayer={false}
      >
        <CartesianGrid stroke="var(--line)" vertical={false} />
        <XAxis
          dataKey="speed"
          type="number"
          domain={[0, FASTEST_SHOWN_MPS]}
          ticks={ticks.map(({ mps }) => mps)}
          tickFormatter={(mps: number) => ticks.find((each) => each.mps === mps)?.text ?? ''}
          tick={AXIS_TEXT}
          stroke="var(--line)"
          height={CURVE.axisPx}
        />
        <YAxis
          tick={AXIS_TEXT}
          stroke="var(--line)"
          width={CURVE.leftPx}
          ticks={[0, mostHz / 2, mostHz]}
          allowDecimals={false}
          domain={[0, mostHz]}
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
                  ? { value: 'may stop', position: 'insideTop', fontSize: 14, fill: 'var(--ink-soft)' }
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
      </ComposedChart>
    </ResponsiveContainer>
  );
});
