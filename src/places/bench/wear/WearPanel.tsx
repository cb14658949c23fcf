'use client';

import { memo, useMemo, useState } from 'react';
import { UNUSED, type ItemId, type Lure, type Used } from '@/core/lure/lure';
import { hasClocks, wearOf, type Clock } from '@/core/wear/wear';
import { useDesk } from '@/desk/desk-state';
import { change } from '@/desk/open-lure';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { SlideField } from '@/ui/SlideField';
import { armWords, clockWords, isClockDue, isTieDue, tieWords, wearGist, type WearSentence } from '@/words/wear-words';

const FIELDS = [
  { key: 'hours', label: 'In the water for', unit: 'h', most: 120 },
  { key: 'fish', label: 'Caught with it', unit: 'fish', most: 60 },
  { key: 'straightened', label: 'Bent back straight', unit: 'times', most: 30 },
] as const satisfies readonly { readonly key: keyof Used; readonly [of: string]: unknown }[];

/**
 * What wears on the lure, as one line; opened, all of it. Of a made piece it is told what was done with it, which is kept; of a
 * design one tries what it would be.
 */
export const WearPanel = memo(function WearPanel({ lure }: { readonly lure: Lure }) {
  const { build, made } = lure;
  const water = useDesk((state) => state.settings.water);
  const kept = made?.used ?? UNUSED;
  const [tried, setTried] = useState<Tried | null>(null);
  // What is being slid holds until what was kept changes; what was tried on a design is not what was done with the piece.
  const used = tried?.from === kept && tried.isMade === (made !== null) ? tried.used : kept;
  const wear = useMemo(() => wearOf(build, water, used), [build, water, used]);
  const { tie, arm, clocks } = wear;
  const isWorn = tie !== null || hasClocks(build);
  if (!isWorn && !made) return null;
  const settle = () => {
    if (made && used !== kept) change('use', [{ kind: 'use', used }]);
  };
  const renew = (item: ItemId) => {
    const { hours, fish } = used;
    change('use', [{ kind: 'use', used: { ...used, renewed: { ...used.renewed, [item]: { hours, fish } } } }]);
  };
  return (
    <Fold title="Wear" gist={wearGist(wear, build, used)}>
      {FIELDS.filter(({ key }) => key !== 'straightened' || arm || tie).map(({ key, label, unit, most }) => (
        <SlideField
          key={key}
          label={label}
          value={used[key]}
          words={`${used[key]} ${unit}`}
          min={0}
          max={Math.max(most, kept[key])}
          step={1}
          onSlide={(value) => setTried({ from: kept, isMade: made !== null, used: { ...used, [key]: value } })}
          onSettle={settle}
        />
      ))}
      <p className="text-sm text-ink-soft">
        {made ? 'Kept with the piece that is made.' : 'Tried on the design: once it is made, this is kept with it.'}
      </p>
      {!isWorn && <p>Nothing on it is known to wear. Look at hook points, rings and knot all the same.</p>}
      <ul className="flex flex-col gap-2" data-testid="wear">
        {tie && <Row sentence={tieWords(tie)} isDue={isTieDue(tie)} />}
        {arm && <Row sentence={armWords(arm)} isDue={arm.used >= 1} />}
        {clocks.map((clock) => (
          <Row
            key={`${clock.clock} ${clock.item}`}
            sentence={clockWords(clock, build)}
            isDue={isClockDue(clock)}
            mend={clock.edits.length > 0 ? clock : null}
            onRenew={made && clock.clock !== 'squeak' ? () => renew(clock.item) : null}
          />
        ))}
      </ul>
      {isWorn && <p className="text-sm text-ink-soft">Trade estimates, wide: what breaks first tells more.</p>}
    </Fold>
  );
});

interface Tried {
  readonly from: Used;
  readonly isMade: boolean;
  readonly used: Used;
}

interface RowProps {
  readonly sentence: WearSentence;
  readonly isDue: boolean;
  readonly mend?: Clock | null;
  /** Another was put in its place. */
  readonly onRenew?: (() => void) | null;
}

function Row({ sentence: { title, why }, isDue, mend = null, onRenew = null }: RowProps) {
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
      {onRenew && (
        <Button dense className="self-start" onClick={onRenew}>
          Renewed
        </Button>
      )}
    </li>
  );
}
