'use client';

import { memo } from 'react';
import type { Finding } from '@/core/judgement/finding';
import type { CutLength } from '@/core/lengths/lengths';
import type { Lure } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { FindingsPanel } from './FindingsPanel';
import { Inspector } from './Inspector';
import { LengthsPanel } from './LengthsPanel';
import { MadeBar } from './MadeBar';
import type { StringUnit } from './string-units';
import { VersionsPanel } from '@/desk/versions/VersionsPanel';

export interface AboutLureProps {
  readonly lure: Lure;
  readonly findings: readonly Finding[];
  readonly unit: StringUnit | null;
  readonly cuts: readonly CutLength[];
  readonly system: UnitSystem;
}

/** What stands beside the drawing: made or not, findings, the picked part, lengths. */
export const AboutLure = memo(function AboutLure({ lure, findings, unit, cuts, system }: AboutLureProps) {
  return (
    <>
      <MadeBar lure={lure} system={system} />
      <FindingsPanel findings={findings} build={lure.build} system={system} />
      <Inspector unit={unit} lure={lure} system={system} />
      <LengthsPanel cuts={cuts} build={lure.build} system={system} />
      <VersionsPanel lure={lure} />
    </>
  );
});
