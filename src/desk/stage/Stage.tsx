'use client';

import type { Build } from '@/core/lure/lure';
import type { Finding } from '@/core/judgement/finding';
import type { UnitSystem } from '@/core/units/write';
import { Elevation } from '@/drawing/Elevation';
import type { Motion } from '@/drawing/motion';
import type { StageView } from '@/drawing/stage-view';
import { latePart } from '@/ui/late-part';
import { laidOf } from '../derived';
import { pick, useDesk } from '../desk-state';

const BendHandles = latePart(() => import('./BendHandles').then((room) => room.BendHandles));

export interface StageProps {
  readonly build: Build;
  readonly view: StageView;
  readonly motions: readonly Motion[];
  readonly findings: readonly Finding[];
  readonly system: UnitSystem;
  readonly label: string;
  readonly isStill: boolean;
  /** The hand can take hold of it. */
  readonly isReady: boolean;
}

/** The lure drawn, with what is picked and, on a bent wire, a handle at each bend. */
export function Stage({ build, view, motions, findings, system, label, isStill, isReady }: StageProps) {
  const picked = useDesk((state) => state.picked);
  const { slowedBy } = useDesk((state) => state.settings);
  const { layout } = laidOf(build);
  return (
    <Elevation
      build={build}
      layout={layout}
      view={view}
      motions={motions}
      findings={findings}
      system={system}
      slowedBy={slowedBy}
      still={isStill}
      picked={picked}
      onPick={pick}
      label={label}
    >
      {isReady && layout.path && <BendHandles build={build} layout={layout} view={view} />}
    </Elevation>
  );
}
