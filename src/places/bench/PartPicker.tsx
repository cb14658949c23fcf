'use client';

import { useState } from 'react';
import { CATALOGUE } from '@/core/parts/catalogue';
import type { Part, PartKind } from '@/core/parts/part';
import { costOfChange } from '@/core/lure/cost';
import { applyEdits, type Edit } from '@/core/lure/edit';
import { seatPart, threadParts } from '@/core/lure/editing';
import type { Lure } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { PartPortrait } from '@/drawing/PartPortrait';
import { Sheet } from '@/ui/Sheet';
import { costWords } from '@/words/finding-words';
import { KIND_WORDS, partLine, partTitle } from '@/words/part-words';
import { change } from './bench-store';
import type { PickerAim } from './part-deeds';

export interface PartPickerProps {
  readonly aim: PickerAim | null;
  readonly lure: Lure;
  readonly system: UnitSystem;
  readonly onClose: () => void;
}

const AIM_WORDS = {
  swap: 'Swap for',
  swapWire: 'Swap the wire for',
  thread: 'Thread on the wire',
  seat: 'Put on',
} as const;

export function PartPicker({ aim, lure, system, onClose }: PartPickerProps) {
  return (
    <Sheet
      open={aim !== null}
      onOpenChange={(open) => !open && onClose()}
      title={aim ? AIM_WORDS[aim.aim] : ''}
      description="Drawn to one scale. Type to narrow: a pattern, a size, a colour, a maker."
    >
      {aim && <Choices key={JSON.stringify(aim.kinds)} aim={aim} lure={lure} system={system} onClose={onClose} />}
    </Sheet>
  );
}

const DEED_WORDS = { swap: 'swap for', swapWire: 'swap for', thread: 'thread', seat: 'put on' } as const;

/** The edits that carry out the aim with this part. */
function editsFor(aim: PickerAim, lure: Lure, part: Part): Edit[] {
  switch (aim.aim) {
    case 'swap':
      return aim.unit.item ? [{ kind: 'swapPart', item: aim.unit.item.id, part }] : [];
    case 'swapWire':
      return part.kind === 'wire' ? [{ kind: 'carrier', changes: { wire: part } }] : [];
    case 'thread':
      return [threadParts(lure.build, part, aim.index)];
    case 'seat':
      return [seatPart(lure.build, part, aim.seat)];
  }
}

function Choices({
  aim,
  lure,
  system,
  onClose,
}: {
  readonly aim: PickerAim;
  readonly lure: Lure;
  readonly system: UnitSystem;
  readonly onClose: () => void;
}) {
  const [kind, setKind] = useState<PartKind>(aim.kinds[0] ?? 'bead');
  const [search, setSearch] = useState('');
  const now = aim.aim === 'swap' ? aim.unit.item?.part.id : aim.aim === 'swapWire' ? lure.build.carrier.wire.id : null;
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const parts = CATALOGUE.filter((part) => part.kind === kind).filter((part) => {
    const text = `${partTitle(part)} ${part.maker} ${partLine(part, system)} ${part.material}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const other = parts.find(({ id }) => id !== now);
  return (
    <>
      <label className="flex flex-col gap-1 text-sm text-ink-soft">
        Narrow the list
        <input
          type="search"
          className="min-h-11 rounded-md border border-line bg-paper px-2.5 text-base text-ink"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
      </label>
      {aim.kinds.length > 1 && (
        <div role="radiogroup" aria-label="Kind of part" className="flex flex-wrap gap-1">
          {aim.kinds.map((each) => (
            <button
              key={each}
              type="button"
              role="radio"
              aria-checked={kind === each}
              onClick={() => setKind(each)}
              className="min-h-11 rounded-md border border-line px-2.5 text-sm aria-checked:border-accent aria-checked:bg-accent-soft aria-checked:font-semibold"
            >
              {KIND_WORDS[each].many}
            </button>
          ))}
        </div>
      )}
      {lure.made && other && <CostNote lure={lure} edits={editsFor(aim, lure, other)} system={system} />}
      <ul className="flex min-h-0 flex-1 flex-col gap-1 overflow-y-auto pr-1" aria-label="Parts">
        {parts.map((part) => (
          <li key={part.id}>
            <button
              type="button"
              data-part={part.id}
              aria-current={part.id === now}
              className="flex min-h-14 w-full items-center gap-3 rounded-md border border-line px-2 py-1.5 text-left hover:border-accent hover:bg-accent-soft aria-[current=true]:border-accent"
              onClick={() => {
                if (
                  part.id === now ||
                  change(`${DEED_WORDS[aim.aim]} ${part.name.toLowerCase()}`, editsFor(aim, lure, part))
                )
                  onClose();
              }}
            >
              <PartPortrait part={part} width={150} height={62} scale={2.6} />
              <span className="min-w-0">
                <span className="block font-semibold">
                  {partTitle(part)}
                  {part.id === now && <span className="ml-2 text-sm font-normal text-ink-soft">on the lure</span>}
                </span>
                <span className="block text-sm">{partLine(part, system)}</span>
                <span className="block text-sm text-ink-soft">{part.maker}</span>
              </span>
            </button>
          </li>
        ))}
        {parts.length === 0 && (
          <li className="p-2 text-ink-soft">
            No {KIND_WORDS[kind].one} matches “{search}”. Fewer words show more.
          </li>
        )}
      </ul>
    </>
  );
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
  const costs = costOfChange(lure.made.build, applied.lure.build);
  return (
    <p className="rounded-md bg-caution-soft px-2.5 py-2 text-sm">
      This lure is made. Such a change {costs.map((cost) => costWords(cost, applied.lure.build, system)).join('; ')}.
    </p>
  );
}
