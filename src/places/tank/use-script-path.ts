'use client';

import { useMemo } from 'react';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { Build } from '@/core/lure/lure';
import type { RetrieveScript, ScriptPath } from '@/core/predict/retrieve-script';
import { useDesk } from '@/desk/desk-state';
import { useCore, type Asked } from '@/desk/figures/use-core';
import { askCore } from '@/workers/core-client';

interface ScriptQuestion {
  readonly build: Build;
  readonly water: Water;
  readonly outfit: Outfit;
  readonly script: RetrieveScript;
}

const askScript = ({ build, water, script, outfit }: ScriptQuestion): Promise<ScriptPath> =>
  askCore('followScript', [build, water, script, outfit]);

export function useScriptPath(build: Build, script: RetrieveScript): Asked<ScriptPath> {
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const question = useMemo(() => ({ build, water, outfit, script }), [build, water, outfit, script]);
  return useCore(askScript, question);
}
