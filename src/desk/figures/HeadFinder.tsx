'use client';

import { useMemo, useState } from 'react';
import { CATALOGUE } from '@/core/parts/catalogue';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { Lure } from '@/core/lure/lure';
import type { HeadFound } from '@/core/predict/head-finder';
import { decimalText, inUnit, showMass, type UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { QuantityField } from '@/ui/QuantityField';
import { partTitle } from '@/words/part-words';
import { useDesk } from '../desk-state';
import { change } from '../open-lure';
import { shownOf, useLightestHead } from './use-core';

export interface HeadFinderProps {
  readonly lure: Lure;
  readonly water: Water;
  readonly outfit: Outfit;
  readonly speedMps: number;
  /** Where it runs now, m: what is first asked for lies about it. */
  readonly depthNowM: number;
  readonly system: UnitSystem;
}

/** The lightest head, or weight, that holds a wanted depth at the chosen speed with these blades. */
export function HeadFinder({ lure, water, outfit, speedMps, depthNowM, system }: HeadFinderProps) {
  const [fromM, setFromM] = useState(Math.max(0.1, Math.round(depthNowM * 10) / 10));
  const [toM, setToM] = useState(Math.max(0.6, Math.round((depthNowM + 0.5) * 10) / 10));
  const ownParts = useDesk((state) => state.ownParts);
  const offered = useMemo(
    () => [...CATALOGUE, ...ownParts].filter(({ kind }) => kind === 'head' || kind === 'weight' || kind === 'body'),
    [ownParts],
  );
  const isBand = toM > fromM;
  const asked = useLightestHead(lure.build, water, outfit, speedMps, isBand ? { fromM, toM } : null, offered);
  const found = shownOf(asked);
  const unit = system === 'metric' ? 'm' : 'ft';
  const part = found?.outcome === 'found' ? found.part : null;
  const station = found?.outcome === 'found' ? found.station : null;
  const isOn = part !== null && station !== null && lure.build.items[station]?.part.id === part.part.id;
  return (
    <section aria-label="The lightest head" className="flex flex-col gap-2 border-t border-line pt-3">
      <h3 className="font-semibold">The lightest head that holds a depth at this speed</h3>
      <div className="grid grid-cols-2 gap-3 sm:w-80">
        <QuantityField label="From" kind="length" si={fromM} unit={unit} minSi={0} maxSi={100} onCommit={setFromM} />
        <QuantityField label="To" kind="length" si={toM} unit={unit} minSi={0.01} maxSi={100} onCommit={setToM} />
      </div>
      <p data-testid="lightest head" aria-busy={asked.state === 'working'}>
        {!isBand
          ? 'The first depth must be the lesser.'
          : asked.state === 'failed'
            ? `It could not be worked out (${asked.reason}).`
            : found
              ? foundWords(found, system)
              : 'Looking…'}
      </p>
      {part && station && (
        <div className="flex flex-wrap items-center gap-3">
          <p className="text-sm">
            Of the parts at hand the lightest is the {partTitle(part.part)}, {showMass(part.part.massKg, system)}: it
            runs at {decimalText(inUnit(part.depthM, unit), 2)} {unit}.
          </p>
          {isOn ? (
            <p className="text-sm text-ink-soft">It is on the lure already.</p>
          ) : (
            <Button
              onClick={() =>
                change({ code: 'swap', part: part.part.name }, [{ kind: 'swapPart', item: station, part: part.part }])
              }
            >
              Put it on
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

function foundWords(found: HeadFound, system: UnitSystem): string {
  const unit = system === 'metric' ? 'm' : 'ft';
  const depth = (depthM: number) => `${decimalText(inUnit(depthM, unit), 2)} ${unit}`;
  switch (found.outcome) {
    case 'noHead':
      return 'It has no head and no weight that could be heavier.';
    case 'tooDeep':
      return `Even with ${showMass(found.massKg, system)} it runs at ${depth(found.depthM)}: more blade or more speed lifts it.`;
    case 'notDeepEnough':
      return `Even with ${showMass(found.massKg, system)} it runs no deeper than ${depth(found.depthM)}: go slower, or let out more line.`;
    case 'found':
      return `${showMass(found.massKg, system)} runs at ${depth(found.depthM)}.`;
  }
}
