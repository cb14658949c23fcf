'use client';

import { useMemo } from 'react';
import { applyEdits } from '@/core/lure/edit';
import type { LureHistory } from '@/core/lure/history';
import type { ItemId } from '@/core/lure/lure';
import type { Water } from '@/core/hydro/water';
import { nominalSpin, type SpinPrediction } from '@/core/predict/spin';

/** What each blade turned at before the last change, at the speed chosen now; empty when nothing was changed. */
export function useRatesBefore(
  { lure, past }: LureHistory,
  prediction: SpinPrediction,
  speedMps: number,
  water: Water,
): ReadonlyMap<ItemId, number> {
  return useMemo(() => {
    const last = past.at(-1);
    const before = last ? applyEdits(lure, last.inverse) : null;
    if (!before?.ok) return new Map();
    const then = nominalSpin(before.lure.build, water, [speedMps]);
    const stations = new Set(prediction.blades.map(({ station }) => station));
    return new Map(
      then.flatMap(({ station, outcomes: [at] }) =>
        at?.outcome === 'turning' && stations.has(station) ? [[station, at.rateHz]] : [],
      ),
    );
  }, [lure, past, prediction, speedMps, water]);
}
