'use client';

import { applyEdits } from '@/core/lure/edit';
import { legsTogether, stepItem } from '@/core/lure/editing';
import type { Build, Item, Lure } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import TriangleAlert from 'lucide-react/icons/triangle-alert';
import { handlingCaution } from '@/words/caution-words';
import { partMeasures, partTitle } from '@/words/part-words';
import { beginPart, useDesk } from '@/desk/desk-state';
import { change } from '@/desk/open-lure';
import { PieceFields } from './PieceFields';
import type { StringUnit } from '../string/string-units';
import { WireFields } from '../wire/WireFields';

export interface InspectorProps {
  readonly unit: StringUnit | null;
  readonly lure: Lure;
  readonly system: UnitSystem;
}

/** The picked part: what it is, what it measures, and what is set about it here. */
export function Inspector({ unit, lure: shown, system }: InspectorProps) {
  // What is set here is set on the lure as it is: the hand can be quicker than the page around the drawing.
  const lure = useDesk((state) => state.history?.lure) ?? shown;
  const item = unit?.item ? (lure.build.items[unit.item.id] ?? unit.item) : null;
  return (
    <section aria-label="Picked part" className="flex flex-col gap-2">
      {unit && item ? (
        <ItemDetails key={unit.key} item={item} lure={lure} system={system} />
      ) : (
        <WireFields build={lure.build} end={unit?.end ?? null} system={system} />
      )}
    </section>
  );
}

function Measures({ rows }: { readonly rows: readonly { readonly name: string; readonly text: string }[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
      {rows.map(({ name, text }) => (
        <div key={name} className="col-span-2 grid grid-cols-subgrid border-t border-line py-0.5">
          <dt className="text-ink-soft">{name}</dt>
          <dd className="measure text-right">{text}</dd>
        </div>
      ))}
    </dl>
  );
}

function ItemDetails({
  item,
  lure,
  system,
}: {
  readonly item: Item;
  readonly lure: Lure;
  readonly system: UnitSystem;
}) {
  const { part } = item;
  const { build } = lure;
  const unit = system === 'metric' ? 'mm' : 'in';
  const caution = handlingCaution(part);
  const turnWords = turnWordsOf(item);
  return (
    <>
      <div className="flex items-start justify-between gap-2">
        <div>
          <h2 className="text-lg leading-tight font-semibold">{partTitle(part)}</h2>
          <p className="text-sm text-ink-soft">{part.maker}</p>
        </div>
        <Button
          look="quiet"
          aria-label={`Copy ${partTitle(part)} and change it`}
          title="Copy it as a part of your own, and change what is measured otherwise"
          onClick={() => beginPart({ what: 'copy', of: part })}
        >
          Copy
        </Button>
      </div>
      <Measures rows={partMeasures(part, system)} />
      {caution && (
        <p className="flex gap-1.5 text-sm">
          <TriangleAlert aria-hidden size={16} className="mt-0.5 shrink-0 text-caution" />
          {caution}
        </p>
      )}
      {part.kind === 'hook' && (
        <RoleField
          role={item.role ?? ''}
          onCommit={(role) => change('nameHook', [{ kind: 'adjust', item: item.id, changes: { role } }])}
        />
      )}
      <PieceFields item={item} unit={unit} />
      {turnWords && (
        <Button
          onClick={() => change('turn', [{ kind: 'adjust', item: item.id, changes: { flipped: !item.flipped } }])}
        >
          {turnWords}
        </Button>
      )}
      {part.kind === 'clevis' && <ClevisLegs item={item} build={build} lure={lure} />}
    </>
  );
}

/** What turning this piece over does, in words; null for what looks the same both ways. */
function turnWordsOf({ part, flipped }: Item): string | null {
  switch (part.kind) {
    case 'blade':
      return flipped ? 'Turn the hollow to the body' : 'Turn the hollow outward';
    case 'cap':
    case 'bell':
    case 'weight':
    case 'rivet':
      return 'Turn end for end';
    case 'skirt':
      return flipped ? 'Turn the long side to the tail' : 'Turn the long side to the nose';
    case 'trailer':
      return part.style === 'claw' ? (flipped ? 'Turn the claw from the point' : 'Turn the claw to the point') : null;
    default:
      return null;
  }
}

/** A clevis's legs one by one: the way to stack two, or to put a bead inside. */
function ClevisLegs({ item, build, lure }: { readonly item: Item; readonly build: Build; readonly lure: Lure }) {
  const out = stepItem(build, item.id, 1, 'aft');
  const back = stepItem(build, item.id, -1, 'aft');
  const isTogether = legsTogether(build, item.id);
  const canBack = !isTogether && back.length > 0 && applyEdits(lure, back).ok;
  return (
    <div className="flex flex-col gap-1">
      <p className="text-sm text-ink-soft">
        {isTogether ? 'Its legs are together.' : 'Its legs stand apart: what lies between is inside the clevis.'}
      </p>
      <div className="flex gap-1.5">
        <Button className="flex-1" disabled={out.length === 0} onClick={() => change('legBack', out)}>
          Take next part inside
        </Button>
        <Button className="flex-1" disabled={!canBack} onClick={() => change('legForward', back)}>
          Let one out
        </Button>
      </div>
    </div>
  );
}

function RoleField({ role, onCommit }: { readonly role: string; readonly onCommit: (role: string) => void }) {
  return (
    <label className="flex flex-col gap-1 text-sm text-ink-soft">
      What this hook is called on the lure
      <input
        className="min-h-11 rounded-md border border-line bg-panel px-2.5 text-base text-ink"
        defaultValue={role}
        maxLength={120}
        onBlur={(event) => {
          const next = event.target.value.trim();
          if (next === '') event.target.value = role;
          else if (next !== role) onCommit(next);
        }}
      />
    </label>
  );
}
