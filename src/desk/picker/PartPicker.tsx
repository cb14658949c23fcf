'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useId, useMemo, useRef, useState, type KeyboardEvent, type MouseEvent } from 'react';
import { CATALOGUE } from '@/core/parts/catalogue';
import type { PartKind } from '@/core/parts/part';
import { costOfChange } from '@/core/costs/cost';
import { applyEdits, type Edit } from '@/core/lure/edit';
import type { ChangeName } from '@/core/lure/change-name';
import type { Build, Lure } from '@/core/lure/lure';
import { itemPut, partInPlace, placementEdits, placeStands } from '@/core/fits/placement';
import type { UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { useMedia } from '@/ui/use-media';
import { costWords } from '@/words/cost-words';
import { KIND_WORDS } from '@/words/part-words';
import { SLOT_WORDS } from '@/words/slot-words';
import { beginPart, pick, useDesk } from '../desk-state';
import { change } from '../open-lure';
import { changeSettings } from '../settings';
import { followOwnParts } from '../own-things';
import { goToNextSlot, passOver, type PickerAim } from './picker-state';
import { ChoiceRow } from './ChoiceRow';
import { HearCandidate, hearChoice } from './HearCandidate';
import { SORTS, sorted, useChoices, useEffects, type Choice, type Sort } from './use-choices';
import { RadioRow } from '@/ui/RadioRow';

export interface PartPickerProps {
  readonly aim: PickerAim;
  readonly lure: Lure;
  readonly system: UnitSystem;
  readonly speedMps: number;
  readonly onClose: () => void;
}

/** What is done; `it`: what the lure is strung on. */
const AIM_WORDS: Readonly<Record<PickerAim['placement']['put'], (it: 'wire' | 'line' | 'body') => string>> = {
  swap: () => 'Swap for',
  wire: (it) => `Swap the ${it} for`,
  thread: (it) => `Thread on the ${it}`,
  threadOnClevis: (it) => `Thread on the ${it}`,
  seat: () => 'Put on',
};

function carrierWord({ carrier: { wire } }: Build): 'wire' | 'line' | 'body' {
  return wire.kind === 'lureBody' ? 'body' : wire.kind;
}

const CODES = { swap: 'swap', wire: 'takeWire', thread: 'add', threadOnClevis: 'add', seat: 'add' } as const;

const SORT_WORDS: Readonly<Record<Sort, string>> = {
  listed: 'as listed',
  rate: 'turns',
  drag: 'drag',
  mass: 'lure',
  clearance: 'hook gap',
  sound: 'loud',
};

/** Measured with a drawing beside them. */
const MEASURED = ['blade', 'lureBody'] as const;

/** Parts that stand first because they were taken last. */
const MOST_RECENT = 8;
const ROW_PX = 80;
/** On a phone the columns stand under the part. */
const TALL_ROW_PX = 122;
const DIVIDER_PX = 40;
/** What does not fit is told on lines of its own. */
const MISFIT_PX = 28;

export function PartPicker(props: PartPickerProps) {
  return (
    <Sheet
      open
      wide
      clear
      onOpenChange={(open) => !open && props.onClose()}
      title={
        props.aim.slot ? SLOT_WORDS[props.aim.slot] : AIM_WORDS[props.aim.placement.put](carrierWord(props.lure.build))
      }
      description="What fits first, drawn to one scale, with what it would do at the present retrieve."
    >
      {placeStands(props.lure.build, props.aim.placement) ? (
        // Each place begins anew: nothing typed, the first of its list.
        <PickFrom key={JSON.stringify([props.aim.slot, props.aim.placement])} {...props} />
      ) : (
        <p role="status" className="text-lg">
          The piece this was opened for is no longer on the lure: it was taken off or undone, perhaps in another tab.
        </p>
      )}
    </Sheet>
  );
}

type Row = { readonly row: 'choice'; readonly choice: Choice } | { readonly row: 'divider'; readonly count: number };

function heightOf(row: Row | undefined, rowPx: number): number {
  if (row?.row === 'divider') return DIVIDER_PX;
  return rowPx + (row?.choice.misfits.length ? MISFIT_PX : 0);
}

function PickFrom({ aim, lure, system, speedMps, onClose }: PartPickerProps) {
  const { water, recentParts } = useDesk((state) => state.settings);
  const { placement, kinds, slot } = aim;
  const id = useId();
  const ownParts = useDesk((state) => state.ownParts);
  const [kind, setKind] = useState<PartKind | 'all'>('all');
  const [typed, setTyped] = useState('');
  const [sort, setSort] = useState<Sort>('listed');
  const [active, setActive] = useState(0);
  const list = useRef<HTMLDivElement>(null);
  const rowPx = useMedia('(min-width: 640px)') ? ROW_PX : TALL_ROW_PX;
  useEffect(followOwnParts, []);
  const find = useRef<HTMLInputElement>(null);
  // The next place to fill comes in the open sheet: the hand on the keys goes on typing.
  const isTyping = useMedia('(pointer: fine)');
  useEffect(() => {
    if (isTyping && document.activeElement === document.body) find.current?.focus();
  }, [isTyping]);

  const parts = useMemo(() => [...ownParts, ...CATALOGUE], [ownParts]);
  const choices = useChoices(parts, ownParts.length, kind === 'all' ? null : kind, typed, lure, aim, recentParts);
  const now = partInPlace(lure.build, placement);
  const asked = useMemo(() => [...choices.fitting, ...choices.notFitting], [choices]);
  const [shown, setShown] = useState<{ from: number; to: number }>({ from: 0, to: 12 });
  const { effects, isWorking, failed } = useEffects(
    useMemo(
      // Unsorted, only what is on the screen needs weighing; the present part always, to compare with.
      () => (sort === 'listed' ? [...asked.slice(0, 1), ...asked.slice(shown.from, shown.to)] : asked),
      [asked, sort, shown],
    ),
    lure,
    speedMps,
    water,
  );
  const rows = useMemo((): Row[] => {
    const asRows = (list: readonly Choice[]) =>
      sorted(list, sort, effects).map((choice): Row => ({ row: 'choice', choice }));
    const unfit = choices.notFitting.length;
    return [
      ...asRows(choices.fitting),
      ...(unfit > 0 ? [{ row: 'divider', count: unfit } as const] : []),
      ...asRows(choices.notFitting),
    ];
  }, [choices, sort, effects]);

  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: (index) => heightOf(rows[index], rowPx),
    overscan: 3,
    onChange: ({ range }) => {
      if (range && (range.startIndex !== shown.from || range.endIndex + 1 !== shown.to)) {
        setShown({ from: range.startIndex, to: range.endIndex + 1 });
      }
    },
  });
  const take = ({ part, placement: to }: Choice) => {
    const name: ChangeName = { code: CODES[to.put], part: part.name };
    const put = itemPut(lure.build, to, part);
    if (part.id !== now?.id && !change(name, placementEdits(lure.build, to, part))) return;
    // What was put on is picked: what is inserted next goes on from there.
    if (put !== null) pick(put);
    changeSettings({ recentParts: [part.id, ...recentParts.filter((id) => id !== part.id)].slice(0, MOST_RECENT) });
    const { history } = useDesk.getState();
    if (slot !== null && history) goToNextSlot(history.lure);
    else onClose();
  };
  const goTo = (index: number) => {
    const step = index >= active ? 1 : -1;
    let next = Math.max(0, Math.min(index, rows.length - 1));
    if (rows[next]?.row === 'divider') next += step;
    if (!rows[next]) return;
    setActive(next);
    virtual.scrollToIndex(next);
  };
  const onKey = (event: KeyboardEvent) => {
    if (isHearKey(event)) {
      event.preventDefault();
      const row = rows[active];
      if (row?.row === 'choice') hearChoice(lure, row.choice);
      return;
    }
    const page = 6;
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: active + 1,
      ArrowUp: active - 1,
      PageDown: active + page,
      PageUp: active - page,
    };
    const to = moves[event.key];
    if (to !== undefined) {
      event.preventDefault();
      goTo(to);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      const row = rows[active];
      if (row?.row === 'choice') take(row.choice);
    }
  };
  const onClick = (event: MouseEvent) => {
    const { target } = event;
    if (!(target instanceof Element)) return;
    const found = target.closest('[data-part]')?.getAttribute('data-part');
    const index = rows.findIndex((each) => each.row === 'choice' && each.choice.part.id === found);
    const row = rows[index];
    if (row?.row !== 'choice') return;
    if (target.closest('[data-hear]')) {
      setActive(index);
      hearChoice(lure, row.choice);
    } else take(row.choice);
  };
  const marked = rows[active];
  const nowEffect = now ? (effects.get(now.id) ?? null) : null;
  const first = choices.fitting.find(({ part }) => part.id !== now?.id);
  const toMeasure = MEASURED.find((each) => kind === each || kinds[0] === each);
  const matching = choices.fitting.length + choices.notFitting.length;
  return (
    <>
      <label className="flex flex-col gap-1 text-sm text-ink-soft">
        Find by size, pattern, colour, maker
        <input
          type="search"
          ref={find}
          data-focus-first
          role="combobox"
          aria-expanded
          aria-controls={`${id}-list`}
          aria-activedescendant={rows[active] ? `${id}-${active}` : undefined}
          aria-describedby={`${id}-count`}
          autoComplete="off"
          spellCheck={false}
          placeholder="#3 colorado copper, 5mm glass"
          className="min-h-11 rounded-md border border-line bg-paper px-2.5 text-base text-ink"
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
            setActive(0);
            list.current?.scrollTo({ top: 0 });
          }}
          onKeyDown={onKey}
        />
      </label>
      {kinds.length > 1 && (
        <RadioRow
          label="Kind of part"
          className="flex flex-wrap gap-1"
          optionClassName="min-h-11 rounded-md border border-line px-2.5 text-sm aria-checked:border-accent aria-checked:bg-accent-soft aria-checked:font-semibold"
          value={kind}
          options={[
            { value: 'all' as const, shown: 'all' },
            ...kinds.map((each) => ({ value: each, shown: KIND_WORDS[each].many })),
          ]}
          onChange={(each) => {
            setKind(each);
            setActive(0);
          }}
        />
      )}
      <div className="flex flex-wrap items-center justify-between gap-x-3">
        <p id={`${id}-count`} role="status" className="text-sm text-ink-soft">
          {choices.fitting.length.toLocaleString('en')} of {matching.toLocaleString('en')} fit
          {isWorking && sort !== 'listed' && ` · weighing ${effects.size.toLocaleString('en')}`}
          {failed !== null && ` · what they would do could not be worked out (${failed})`}
        </p>
        <RadioRow
          label="Sort by"
          className="flex items-center max-sm:w-full max-sm:flex-wrap max-sm:px-2 sm:ml-auto sm:pr-3"
          optionClassName="min-h-9 max-sm:flex-1 max-sm:first:basis-full sm:w-15 sm:first:w-17 sm:nth-5:w-19 text-right text-sm whitespace-nowrap text-ink-soft aria-checked:font-semibold aria-checked:text-ink aria-checked:underline aria-checked:decoration-2 aria-checked:underline-offset-4"
          value={sort}
          options={SORTS.map((each) => ({ value: each, shown: SORT_WORDS[each] }))}
          onChange={(each) => {
            setSort(each);
            setActive(0);
            list.current?.scrollTo({ top: 0 });
          }}
        />
      </div>
      {slot !== null && (
        <div className="flex gap-1.5">
          <Button
            onClick={() => {
              passOver(lure, slot);
              goToNextSlot(lure);
            }}
          >
            Without it
          </Button>
          <Button look="quiet" onClick={onClose}>
            Enough for now
          </Button>
        </div>
      )}
      {lure.made && first && (
        <CostNote lure={lure} edits={placementEdits(lure.build, first.placement, first.part)} system={system} />
      )}
      <div
        ref={list}
        id={`${id}-list`}
        role="listbox"
        aria-label="Parts"
        aria-activedescendant={rows[active] ? `${id}-${active}` : undefined}
        tabIndex={0}
        onKeyDown={onKey}
        onClick={onClick}
        className="min-h-0 flex-1 overflow-y-auto pr-1"
      >
        <div role="presentation" className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start, size }) => {
            const row = rows[index];
            const place = { top: start, height: size };
            if (!row) return null;
            return row.row === 'divider' ? (
              <div
                key="divider"
                role="option"
                aria-selected={false}
                aria-disabled
                tabIndex={-1}
                className="absolute inset-x-0 flex items-end border-b border-line pb-1 text-sm font-semibold text-ink-soft"
                style={place}
              >
                Does not fit here: {row.count.toLocaleString('en')}
              </div>
            ) : (
              <ChoiceRow
                key={row.choice.part.id}
                id={`${id}-${index}`}
                choice={row.choice}
                isActive={index === active}
                isNow={row.choice.part.id === now?.id}
                effect={effects.get(row.choice.part.id) ?? null}
                nowEffect={nowEffect}
                system={system}
                place={place}
              />
            );
          })}
        </div>
      </div>
      <HearCandidate lure={lure} choice={marked?.row === 'choice' ? marked.choice : null} />
      {matching === 0 && (
        <p className="p-2 text-ink-soft">
          No {kind === 'all' ? 'part that goes here' : KIND_WORDS[kind].one} matches “{typed}”. Fewer words show more.
        </p>
      )}
      {toMeasure && (
        <p className="text-sm text-ink-soft">
          Not among them?{' '}
          <button
            type="button"
            className="min-h-9 text-accent underline underline-offset-4"
            onClick={() => {
              onClose();
              beginPart({ what: 'measure', kind: toMeasure });
            }}
          >
            {toMeasure === 'blade' ? 'Measure a blade of your own' : 'Measure a body of your own'}
          </button>
        </p>
      )}
    </>
  );
}

/** H where nothing is typed, Alt+H everywhere. By its place on the keyboard: with Alt some write another letter. */
function isHearKey({ code, altKey, ctrlKey, metaKey, target }: KeyboardEvent): boolean {
  return code === 'KeyH' && !ctrlKey && !metaKey && (altKey || !(target instanceof HTMLInputElement));
}

/** On a made lure: what such a change will take. */
function CostNote({
  lure,
  edits,
  system,
}: {
  readonly lure: Lure;
  readonly edits: readonly Edit[];
  readonly system: UnitSystem;
}) {
  const applied = applyEdits(lure, edits);
  if (!lure.made || !applied.ok) return null;
  const [from, to] = [lure.made.build, applied.lure.build];
  const costs = costOfChange(from, to);
  return (
    <p className="rounded-md bg-caution-soft px-2.5 py-2 text-sm">
      This lure is made. Such a change {costs.map((cost) => costWords(cost, from, to, system)).join('; ')}.
    </p>
  );
}
