'use client';

import { memo, useMemo, useState } from 'react';
import type { Build } from '@/core/lure/lure';
import { wearOf, type Clock, type TieWear } from '@/core/wear/wear';
import { useDesk } from '@/desk/desk-state';
import { change } from '@/desk/open-lure';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { SlideField } from '@/ui/SlideField';
import { clockWords, fishWords, tieWords, type WearSentence } from '@/words/wear-words';

const MOST_HOURS = 120;
const MOST_FISH = 60;

/** What wears on the lure, as one line; opened, all of it, after as many hours and fish as one says. */
export const WearPanel = memo(function WearPanel({ build }: { readonly build: Build }) {
  const water = useDesk((state) => state.settings.water);
  const [hours, setHours] = useState(0);
  const [fish, setFish] = useState(0);
  const { tie, clocks } = useMemo(() => wearOf(build, water, { hours, fish }), [build, water, hours, fish]);
  if (!tie && clocks.length === 0 && hours === 0) return null;
  return (
    <Fold title="Wear" gist={tie?.outcome === 'open' ? `line tie ${fishWords(tie.life).replace(/ \(.*/, '')}` : null}>
      <SlideField
        label="In the water for"
        value={hours}
        words={`${hours} h`}
        min={0}
        max={MOST_HOURS}
        step={5}
        onSlide={setHours}
      />
      <SlideField
        label="Caught with it"
        value={fish}
        words={`${fish} fish`}
        min={0}
        max={MOST_FISH}
        step={1}
        onSlide={setFish}
      />
      <ul className="flex flex-col gap-2" data-testid="wear">
        {tie && <Row sentence={tieWords(tie)} isDue={isDue(tie)} />}
        {clocks.map((clock) => (
          <Row
            key={`${clock.clock} ${clock.item}`}
            sentence={clockWords(clock, build)}
            isDue={'used' in clock && clock.used >= 1}
            mend={clock.edits.length > 0 ? clock : null}
          />
        ))}
      </ul>
      <p className="text-sm text-ink-soft">Trade estimates, wide: what breaks first tells more.</p>
    </Fold>
  );
});

function isDue(tie: TieWear): boolean {
  return tie.outcome === 'open' && tie.used >= 1;
}

interface RowProps {
  readonly sentence: WearSentence;
  readonly isDue: boolean;
  readonly mend?: Clock | null;
}

function Row({ sentence: { title, why }, isDue, mend = null }: RowProps) {
  return (
    <li className="flex flex-col gap-0.5">
      <p className={isDue ? 'font-semibold text-caution' : ''}>
        {isDue ? 'Due: ' : ''}
        {title}
      </p>
      <p className="text-sm text-ink-soft">{why}</p>
      {mend && (
        <Button
          dense
          className="self-start"
          onClick={() => change(mend.clock === 'squeak' ? 'rivet' : 'swivel', mend.edits)}
        >
          {mend.clock === 'squeak' ? 'Let it spin' : 'As new on this lure'}
        </Button>
      )}
    </li>
  );
}
