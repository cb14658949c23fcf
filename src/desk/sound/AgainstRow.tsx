'use client';

import { useState } from 'react';
import type { Lure } from '@/core/lure/lure';
import { Button } from '@/ui/Button';
import { useDesk } from '../desk-state';
import { openStores } from '../stores';
import { besideChoices } from '../versions/beside';
import { hearAgainst, hearHow, useSound } from './sound-state';
import { ApartInSound, WhichIsHeard } from './TwoHeard';

/** The lure against one of its versions or another lure: one is heard or the other, from one beat to the next. */
export function AgainstRow({ lure }: { readonly lure: Lure }) {
  const lures = useDesk((state) => state.lures);
  const { against, isMatched } = useSound();
  const choices = besideChoices(lure, lures, [], '');
  const [problem, setProblem] = useState('');
  const take = async (key: string) => {
    setProblem('');
    const choice = choices.find(({ beside }) => keyOf(beside) === key);
    if (!choice) {
      hearAgainst(null);
      return;
    }
    const { beside, name } = choice;
    if (beside.of === 'version') {
      const version = lure.versions[beside.index];
      if (version) hearAgainst({ name, build: version.build });
      return;
    }
    const read = await (await openStores()).lures.readBuild(beside.id);
    if (read.ok) hearAgainst({ name, build: read.value });
    else setProblem(`${name} could not be read.`);
  };
  return (
    <section aria-label="Against another" className="flex flex-col gap-1.5">
      <label className="flex flex-wrap items-center gap-2 text-sm text-ink-soft">
        Against
        <select
          aria-label="Against"
          className="min-h-11 rounded-md border border-line bg-panel px-2 text-base text-ink"
          value={against ? 'chosen' : ''}
          onChange={(event) => void take(event.target.value)}
        >
          <option value="">nothing</option>
          {against && <option value="chosen">{against.name}</option>}
          {choices.map(({ beside, name, kind }) => (
            <option key={keyOf(beside)} value={keyOf(beside)}>
              {kind === null ? `version ${name}` : name}
            </option>
          ))}
        </select>
      </label>
      {problem !== '' && <p role="alert">{problem}</p>}
      {against && (
        <>
          <div className="flex flex-wrap items-center gap-2">
            <WhichIsHeard nowName={`${lure.name}, now`} otherName={against.name} />
            <Button
              dense
              look="quiet"
              className="aria-pressed:bg-accent-soft"
              aria-pressed={isMatched}
              onClick={() => hearHow({ isMatched: !isMatched })}
            >
              As loud as each other
            </Button>
          </div>
          <ApartInSound from="other" fromName={against.name} />
        </>
      )}
    </section>
  );
}

function keyOf(beside: ReturnType<typeof besideChoices>[number]['beside']): string {
  return beside.of === 'version' ? `version ${beside.index}` : `lure ${beside.id}`;
}
