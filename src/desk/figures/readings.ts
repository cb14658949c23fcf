'use client';

import { useEffect } from 'react';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import { keptReading, readingsInUse } from '@/core/lure/kept-readings';
import type { Lure } from '@/core/lure/lure';
import type { Reading } from '@/core/lure/reading';
import { today } from '@/ui/today';
import { askCore } from '@/workers/core-client';
import { useDesk } from '../desk-state';
import { change } from '../open-lure';

/** Has the worker learn from what was measured of the lure as it is; all figures of it follow. */
export function useLearning(lure: Lure, water: Water, outfit: Outfit): void {
  const { build, readings } = lure;
  useEffect(() => {
    let isCurrent = true;
    const used = readingsInUse({ build, readings });
    if (used.length === 0) {
      if (useDesk.getState().learnt?.build === build) useDesk.setState({ learnt: null });
      return;
    }
    void askCore('learnFrom', [build, water, used, { outfit }]).then(
      ({ belief, unused }) => isCurrent && useDesk.setState({ learnt: { build, belief, unused } }),
      // Without it the figures stand as they are believed before any reading.
      () => undefined,
    );
    return () => {
      isCurrent = false;
    };
  }, [build, readings, water, outfit]);
}

/** Keeps what was measured just now of the lure as it is. */
export function keepReading(reading: Reading): boolean {
  const lure = useDesk.getState().history?.lure;
  if (!lure) return false;
  const at = lure.readings?.length ?? 0;
  return change('keepReading', [{ kind: 'keepReading', at, reading: keptReading(lure.build, reading, today()) }]);
}
