'use client';

import { memo } from 'react';
import type { Finding } from '@/core/judgement/finding';
import type { CutLength } from '@/core/lengths/lengths';
import type { Lure } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { FindingsPanel } from './findings/FindingsPanel';
import { Inspector } from './picked/Inspector';
import { LengthsPanel } from './wire/LengthsPanel';
import { Introduction } from './Introduction';
import { MadeBar } from './keeping/MadeBar';
import { NotePanel } from './keeping/NotePanel';
import { WearPanel } from './wear/WearPanel';
import type { StringUnit } from './string/string-units';
import { VersionsPanel } from '@/desk/versions/VersionsPanel';

export interface AboutLureProps {
  readonly lure: Lure;
  readonly findings: readonly Finding[];
  readonly unit: StringUnit | null;
  readonly cuts: readonly CutLength[];
  readonly system: UnitSystem;
  readonly speedMps: number;
}

/** What stands beside the drawing: made or not, findings, the picked part, lengths. */
export const AboutLure = memo(function AboutLure({ lure, findings, unit, cuts, system, speedMps }: AboutLureProps) {
  return (
    <>
      <Introduction />
      <FindingsPanel findings={findings} lure={lure} system={system} speedMps={speedMps} />
      <Inspector unit={unit} lure={lure} system={system} />
      <div>
        <LengthsPanel cuts={cuts} build={lure.build} system={system} />
        <WearPanel key={lure.id} lure={lure} />
        <NotePanel lure={lure} />
        <VersionsPanel lure={lure} />
        <MadeBar lure={lure} system={system} />
      </div>
    </>
  );
});
