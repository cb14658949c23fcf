'use client';

import { applyEdits } from '@/core/lure/edit';
import { legsTogether, stepItem } from '@/core/lure/editing';
import { USUAL_LOOP, type Build, type End, type Item, type Lure, type WireEnd } from '@/core/lure/lure';
import { showLength, type UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { QuantityField } from '@/ui/QuantityField';
import TriangleAlert from 'lucide-react/icons/triangle-alert';
import { handlingCaution } from '@/words/caution-words';
import { partMeasures, partTitle } from '@/words/part-words';
import { useBench } from './bench-state';
import { change } from './bench-store';
import type { StringUnit } from './string-units';

export interface InspectorProps {
  readonly unit: StringUnit | null;
  readonly lure: Lure;
  readonly system: UnitSystem;
}

/** The picked part: what it is, what it measures, and what is set about it here. */
export function Inspector({ unit, lure: shown, system }: InspectorProps) {
  // What is set here is set on the lure as it is: the hand can be quicker than the page around the drawing.
  const lure = useBench((state) => state.history?.lure) ?? shown;
  const item = unit?.item ? (lure.build.items[unit.item.id] ?? unit.item) : null;
  return (
    <section aria-label="Picked part" className="flex flex-col gap-2">
      {unit && item ? (
        <ItemDetails key={unit.key} item={item} lure={lure} system={system} />
      ) : (
        <WireDetails build={lure.build} end={unit?.end ?? null} system={system} />
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
  const canTurn = part.kind === 'blade' || part.kind === 'cap' || part.kind === 'bell' || part.kind === 'weight';
  return (
    <>
      <div>
        <h2 className="text-lg leading-tight font-semibold">{partTitle(part)}</h2>
        <p className="text-sm text-ink-soft">{part.maker}</p>
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
          onCommit={(role) => change('name the hook', [{ kind: 'adjust', item: item.id, changes: { role } }])}
        />
      )}
      {part.kind === 'hook' && part.barb && (
        <Button
          onClick={() => change('barb', [{ kind: 'adjust', item: item.id, changes: { pinched: !item.pinched } }])}
        >
          {item.pinched ? 'Its barb is not pinched' : 'Pinch its barb flat'}
        </Button>
      )}
      {part.kind === 'filmBlade' && <FoldField item={item} />}
      {canTurn && (
        <Button
          onClick={() => change('turn', [{ kind: 'adjust', item: item.id, changes: { flipped: !item.flipped } }])}
        >
          {part.kind === 'blade'
            ? item.flipped
              ? 'Turn the hollow to the body'
              : 'Turn the hollow outward'
            : 'Turn end for end'}
        </Button>
      )}
      {part.kind === 'shrinkTube' && (
        <QuantityField
          label={item.cutLengthM === null ? 'Cut length: as worked out' : 'Cut length, set by hand'}
          kind="length"
          si={item.cutLengthM ?? 0.015}
          unit={unit}
          minSi={0.002}
          maxSi={0.1}
          onCommit={(cutLengthM) =>
            change('cut the tube', [{ kind: 'adjust', item: item.id, changes: { cutLengthM } }])
          }
        />
      )}
      {part.kind === 'clevis' && <ClevisLegs item={item} build={build} lure={lure} />}
    </>
  );
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
        <Button className="flex-1" disabled={out.length === 0} onClick={() => change('aft leg back', out)}>
          Take next part inside
        </Button>
        <Button className="flex-1" disabled={!canBack} onClick={() => change('aft leg forward', back)}>
          Let one out
        </Button>
      </div>
    </div>
  );
}

/** How far a film is folded back: flat starts soonest, folded suits fast water. */
function FoldField({ item }: { readonly item: Item }) {
  const degrees = Math.round(((item.foldRad ?? 0) * 180) / Math.PI);
  return (
    <label className="flex flex-col gap-1 text-sm text-ink-soft">
      <span>
        Folded back by <span className="measure text-base text-ink">{degrees}°</span>: flat starts soonest, folded suits
        fast water
      </span>
      <input
        type="range"
        className="h-11 w-full accent-accent"
        min={0}
        max={70}
        step={5}
        value={degrees}
        aria-valuetext={`${degrees} degrees`}
        onChange={(event) =>
          change('fold', [
            { kind: 'adjust', item: item.id, changes: { foldRad: (Number(event.target.value) * Math.PI) / 180 } },
          ])
        }
      />
    </label>
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

function WireDetails({
  build,
  end,
  system,
}: {
  readonly build: Build;
  readonly end: End | null;
  readonly system: UnitSystem;
}) {
  const { carrier } = build;
  const unit = system === 'metric' ? 'mm' : 'in';
  return (
    <>
      <h2 className="text-lg leading-tight font-semibold">
        {end === null ? 'The wire' : end === 'nose' ? 'Line tie loop' : 'Tail loop'}
      </h2>
      <p className="text-sm text-ink-soft">
        {carrier.wire.name}, {showLength(carrier.wire.diameterM, system === 'metric' ? 'trade' : 'metric')}
      </p>
      <QuantityField
        label="Free room along the wire"
        kind="length"
        si={carrier.freeRoomM}
        unit={unit}
        minSi={0}
        maxSi={0.05}
        onCommit={(freeRoomM) => change('free room', [{ kind: 'carrier', changes: { freeRoomM } }])}
      />
      {end !== null && <LoopFields end={end} form={carrier[end]} unit={unit} />}
    </>
  );
}

function LoopFields({ end, form, unit }: { readonly end: End; readonly form: WireEnd; readonly unit: 'mm' | 'in' }) {
  const set = (next: WireEnd) => change('loop', [{ kind: 'carrier', changes: { [end]: next } }]);
  if (form.form === 'plain') {
    return <Button onClick={() => set(USUAL_LOOP)}>Form a wrapped loop</Button>;
  }
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        <QuantityField
          label="Loop inside"
          kind="length"
          si={form.insideDiameterM}
          unit={unit}
          minSi={0.001}
          maxSi={0.02}
          onCommit={(insideDiameterM) => set({ ...form, insideDiameterM })}
        />
        <QuantityField
          label="Tag to clip"
          kind="length"
          si={form.tagM}
          unit={unit}
          minSi={0}
          maxSi={0.1}
          onCommit={(tagM) => set({ ...form, tagM })}
        />
      </div>
      <div className="flex items-center justify-between gap-2">
        <span className="text-sm text-ink-soft">
          Wraps: <span className="measure text-base text-ink">{form.wraps}</span>
        </span>
        <span className="flex gap-1.5">
          <Button
            aria-label="One wrap fewer"
            disabled={form.wraps <= 1}
            onClick={() => set({ ...form, wraps: form.wraps - 1 })}
          >
            −
          </Button>
          <Button
            aria-label="One wrap more"
            disabled={form.wraps >= 12}
            onClick={() => set({ ...form, wraps: form.wraps + 1 })}
          >
            +
          </Button>
        </span>
      </div>
      <Button look="quiet" onClick={() => set({ form: 'plain' })}>
        Leave this end straight
      </Button>
    </>
  );
}
