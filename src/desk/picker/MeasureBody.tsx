'use client';

import { useRef, useState } from 'react';
import { bodyFromReadings, type BodyReadings } from '@/core/hydro/measure-body';
import type { InWater } from '@/core/hydro/volume-by-water';
import { idFromName } from '@/core/lure/lure-id';
import { BODY_SHAPES } from '@/core/parts/body-form';
import type { LureBody } from '@/core/parts/kinds/lure-body';
import { MATERIALS, type MaterialId } from '@/core/parts/material';
import { measureFaults } from '@/core/parts/measure-faults';
import { OWN_MAKER } from '@/core/parts/part-fields';
import { partSchema } from '@/core/parts/part';
import type { TracedForm } from '@/core/parts/traced-form';
import type { UnitSystem } from '@/core/units/write';
import { BodyFigure, type BodyMeasure } from '@/drawing/BodyFigure';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { QuantityField } from '@/ui/QuantityField';
import { SelectField } from '@/ui/SelectField';
import { SlideField } from '@/ui/SlideField';
import { degrees } from '@/words/angle-words';
import { BODY_SHAPE_WORDS, measuredBodyWords } from '@/words/body-measuring-words';
import { faultWords, outsideWords } from '@/words/part-field-words';
import { tell, useDesk } from '../desk-state';
import { addOwnParts } from '../own-things';
import { FINISHES } from './finishes';
import { TraceBody } from './TraceBody';

/** A photo larger than this is not opened. */
const PHOTO_MAX_BYTES = 40_000_000;
const MOST_HANGERS = 4;
const FIELD = 'min-h-11 w-full rounded-md border border-line bg-panel px-2.5 text-base text-ink';

const SHAPES = BODY_SHAPES.map((value) => ({ value, name: BODY_SHAPE_WORDS[value] }));
const STUFFS = (['plastic', 'wood', 'brass', 'stainless', 'zinc'] as const satisfies readonly MaterialId[]).map(
  (value) => ({ value, name: MATERIALS[value].name }),
);
const FINISH_OPTIONS = FINISHES.map(({ name }) => ({ value: name, name }));
const TIED = [
  { value: 'nose', name: 'at its nose' },
  { value: 'lip', name: 'on its lip' },
  { value: 'back', name: 'on its back' },
] as const;
const IN_WATER = [
  { value: 'floats', name: 'it floats up' },
  { value: 'hovers', name: 'it hovers' },
  { value: 'sinks', name: 'it sinks' },
  { value: 'scale', name: 'weighed under water' },
] as const;
type InWaterBy = (typeof IN_WATER)[number]['value'];

interface Draft extends Omit<BodyReadings, 'inWater' | 'bellyEyesM'> {
  readonly by: InWaterBy;
  readonly seconds: number | null;
  readonly readsKg: number | null;
  readonly sinkerKg: number;
  readonly hangersM: readonly (number | null)[];
}

const EMPTY: Draft = {
  shape: 'diver',
  lengthM: null,
  heightM: null,
  widthM: null,
  massKg: null,
  hangingKg: 0,
  by: 'floats',
  seconds: null,
  readsKg: null,
  sinkerKg: 0,
  eyeInnerDiameterM: 0.0025,
  eyeWireM: 0.0009,
  tieOn: 'nose',
  tieAtM: null,
  hasTailEye: true,
  hangersM: [null],
  hasLip: false,
  lipLengthM: null,
  lipWidthM: null,
  lipDownRad: Math.PI / 4,
  traced: null,
};

/** What the figure shows until it is measured: a middling body. */
const SHOWN = { lengthM: 0.06, heightShare: 0.3, widthShare: 0.24, lipShare: 0.2, eyeShare: 0.4, tieShare: 0.15 };

export interface MeasureBodyProps {
  readonly system: UnitSystem;
  readonly onKept: () => void;
  readonly onBack: () => void;
}

/** A hard bait's body by rule, scale and a glass of water; its outline from its shape, or traced on a photo. */
export function MeasureBody({ system, onKept, onBack }: MeasureBodyProps) {
  const { water } = useDesk((state) => state.settings);
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const [taking, setTaking] = useState<BodyMeasure | null>('lengthM');
  const [photo, setPhoto] = useState<File | null>(null);
  const [name, setName] = useState('');
  const [stuff, setStuff] = useState<(typeof STUFFS)[number]['value']>('plastic');
  const [finishName, setFinishName] = useState('silver');
  const input = useRef<HTMLInputElement>(null);
  const set = (changes: Partial<Draft>) => setDraft((last) => ({ ...last, ...changes }));
  if (photo) {
    const take = (form: TracedForm) => {
      set(fromTraced(form, draft));
      setPhoto(null);
    };
    return <TraceBody photo={photo} system={system} onTraced={take} onBack={() => setPhoto(null)} />;
  }
  const bellyEyesM = draft.hangersM.flatMap((atM) => (atM === null ? [] : [atM])).toSorted((a, b) => a - b);
  const result = bodyFromReadings({ ...draft, inWater: inWaterOf(draft), bellyEyesM }, water);
  const finish = FINISHES.find((each) => each.name === finishName) ?? FINISHES[0];
  const title = name.trim() === '' ? 'Hard bait, own' : name.trim();
  const named = {
    id: idFromName(`own ${title}`),
    name: title,
    maker: OWN_MAKER,
    label: null,
    material: stuff,
    ...(finish ? { finish } : {}),
  };
  const read = result.outcome === 'measured' ? partSchema.safeParse({ ...named, ...result.measures }) : null;
  const part = read?.success ? read.data : null;
  const [fault] = part ? measureFaults(part) : [];
  const told = measuredBodyWords(result, system);
  // What no body has, or cannot stand together, comes before all else.
  const amiss =
    read && !read.success
      ? outsideWords(String(read.error.issues[0]?.path[0] ?? 'volumeM3'), 'body')
      : fault
        ? faultWords(fault, system)
        : null;
  const unit = system === 'metric' ? 'mm' : 'in';
  const massUnit = system === 'metric' ? 'g' : 'oz';
  const length = (label: string, key: 'lengthM' | 'heightM' | 'widthM' | 'lipLengthM' | 'lipWidthM' | 'tieAtM') => (
    <QuantityField
      label={label}
      kind="length"
      si={draft[key]}
      unit={unit}
      minSi={1e-3}
      maxSi={0.6}
      onFocus={() => setTaking(key === 'widthM' || key === 'lipWidthM' ? null : key)}
      onCommit={(si) => set({ [key]: si })}
      onClear={() => set({ [key]: null })}
    />
  );
  const mass = (label: string, key: 'massKg' | 'hangingKg' | 'readsKg' | 'sinkerKg', none: number | null) => (
    <QuantityField
      label={label}
      kind="mass"
      si={draft[key]}
      unit={massUnit}
      minSi={key === 'massKg' ? 1e-4 : 0}
      maxSi={0.5}
      onFocus={() => setTaking(null)}
      onCommit={(si) => set({ [key]: si })}
      onClear={() => set({ [key]: none })}
    />
  );
  const keep = async () => {
    if (part && !fault && (await addOwnParts([part]))) onKept();
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto pr-1">
      <div className="sticky top-0 z-10 shrink-0 border-b border-line bg-panel pb-1">
        {finish && <BodyFigure body={shownBody(draft, bellyEyesM, { ...named, finish })} taking={taking} />}
      </div>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => input.current?.click()}>
          {draft.traced ? 'Trace another photo' : 'Trace it on a photo'}
        </Button>
        {draft.traced && <Button onClick={() => set({ traced: null })}>Outline of its shape instead</Button>}
        <input
          ref={input}
          type="file"
          accept="image/*"
          aria-label="Photo of the body from its side"
          className="hidden"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (!file) return;
            if (file.size <= PHOTO_MAX_BYTES) setPhoto(file);
            else
              tell(
                'trouble',
                `${file.name} is larger than ${PHOTO_MAX_BYTES / 1e6} MB: a smaller photo would be right.`,
              );
          }}
        />
      </div>
      <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2">
        <SelectField label="Most like" value={draft.shape} options={SHAPES} onChange={(shape) => set({ shape })} />
        <SelectField label="Made of" value={stuff} options={STUFFS} onChange={setStuff} />
        {length('Length, without eyes and lip', 'lengthM')}
        {length('Height', 'heightM')}
        {length('Width', 'widthM')}
        {mass('Mass, bare', 'massKg', null)}
      </div>
      <fieldset className="grid grid-cols-2 items-end gap-x-3 gap-y-2">
        <legend className="pb-1 font-semibold">In water</legend>
        <SelectField label="What was found" value={draft.by} options={IN_WATER} onChange={(by) => set({ by })} />
        {(draft.by === 'floats' || draft.by === 'sinks') && (
          <NumberField
            label="Seconds for a metre"
            value={draft.seconds}
            onSet={(seconds) => set({ seconds: Number.isNaN(seconds) ? null : seconds })}
          />
        )}
        {draft.by === 'scale' && mass('The scale reads', 'readsKg', null)}
        {draft.by === 'scale' && mass('Of that, the sinker below it, in water', 'sinkerKg', 0)}
        {mass('Hooks and rings that were on it', 'hangingKg', 0)}
        <p className="col-span-2 text-sm text-ink-soft">
          {draft.by === 'scale'
            ? 'Hung from the scale by a thread, all of it under water. One that floats is held down by a sinker that is weighed under water by itself.'
            : 'Let go lying flat in still water, timed over a known depth. The slower it moves, the surer its volume.'}
        </p>
      </fieldset>
      <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2">
        <SelectField label="The line is tied" value={draft.tieOn} options={TIED} onChange={(tieOn) => set({ tieOn })} />
        {draft.tieOn === 'back' && length('Line eye behind the nose', 'tieAtM')}
        {draft.tieOn === 'lip' && length('Line eye along the lip', 'tieAtM')}
        <label className="col-span-2 flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-accent"
            checked={draft.hasLip}
            onChange={(event) => set({ hasLip: event.target.checked })}
          />
          It has a lip
        </label>
        {draft.hasLip && length('Lip, from the body to its edge', 'lipLengthM')}
        {draft.hasLip && length('Lip, across', 'lipWidthM')}
        {draft.hasLip && (
          <div className="col-span-2">
            <SlideField
              label="Lip below straight ahead"
              words={degrees(draft.lipDownRad)}
              value={Math.round((draft.lipDownRad * 180) / Math.PI)}
              min={0}
              max={90}
              step={1}
              onSlide={(value) => set({ lipDownRad: (value * Math.PI) / 180 })}
            />
          </div>
        )}
        {[
          ...draft.hangersM,
          ...(draft.hangersM.length < MOST_HANGERS && draft.hangersM.at(-1) !== null ? [null] : []),
        ].map((atM, i) => (
          <QuantityField
            key={i}
            label={`Hanger ${i + 1}, behind the nose`}
            kind="length"
            si={atM}
            unit={unit}
            minSi={1e-3}
            maxSi={0.6}
            onFocus={() => setTaking('hanger')}
            onCommit={(si) => set({ hangersM: withAt(draft.hangersM, i, si) })}
            onClear={() => set({ hangersM: withAt(draft.hangersM, i, null) })}
          />
        ))}
        <label className="col-span-2 flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-accent"
            checked={draft.hasTailEye}
            onChange={(event) => set({ hasTailEye: event.target.checked })}
          />
          It has an eye at its tail
        </label>
      </div>
      <div
        role="status"
        data-testid="measured body"
        className={`rounded-md px-2.5 py-2 text-sm ${told.tone === 'fault' || amiss ? 'bg-fault-soft' : 'bg-accent-soft'}`}
      >
        <p className="font-semibold">{amiss ?? told.title}</p>
        {!amiss && told.lines.map((line) => <p key={line}>{line}</p>)}
      </div>
      <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2">
        <SelectField label="Colour" value={finishName} options={FINISH_OPTIONS} onChange={setFinishName} />
        <label className="flex flex-col gap-1 text-sm text-ink-soft">
          What you call it
          <input
            className={FIELD}
            value={name}
            maxLength={120}
            placeholder="Hard bait, own"
            onChange={(event) => setName(event.target.value)}
          />
        </label>
      </div>
      <div className="flex gap-2">
        <Button look="main" className="flex-1" disabled={!part || fault !== undefined} onClick={() => void keep()}>
          Keep this body
        </Button>
        <Button onClick={onBack}>Own parts</Button>
      </div>
    </div>
  );
}

function withAt(list: readonly (number | null)[], at: number, value: number | null): (number | null)[] {
  const next = [...list];
  next[at] = value;
  return next;
}

function inWaterOf({ by, seconds, readsKg, sinkerKg }: Draft): InWater | null {
  if (by === 'hovers') return { by };
  if (by === 'scale') return readsKg === null ? null : { by, readsKg, sinkerKg };
  return seconds === null ? null : { by: 'time', is: by, secondsPerM: seconds };
}

/** What a photo tells is no finer than this. */
const PHOTO_FINE_M = 1e-4;

function asRead(lengthM: number): number {
  return Math.round(lengthM / PHOTO_FINE_M) * PHOTO_FINE_M;
}

function fromTraced({ lengthM, heightM, traced, bellyEyesM, lip, tie }: TracedForm, draft: Draft): Partial<Draft> {
  return {
    lengthM: asRead(lengthM),
    heightM: asRead(heightM),
    traced,
    ...(bellyEyesM.length > 0 ? { hangersM: bellyEyesM.map(asRead) } : {}),
    ...(lip ? { hasLip: true, lipLengthM: asRead(lip.lengthM), lipDownRad: lip.downRad } : {}),
    ...(tie ? tiedAt(tie, lip !== null || draft.hasLip) : {}),
  };
}

/** A mark that lies ahead along the lip is on it; any other on the back. */
function tiedAt({ fromNoseM, alongLipM }: NonNullable<TracedForm['tie']>, hasLip: boolean): Partial<Draft> {
  return hasLip && alongLipM > 0
    ? { tieOn: 'lip', tieAtM: asRead(alongLipM) }
    : { tieOn: 'back', tieAtM: asRead(fromNoseM) };
}

/** The body as far as it is known, the rest as bodies usually are. */
function shownBody(
  draft: Draft,
  bellyEyesM: readonly number[],
  named: Pick<LureBody, 'name' | 'maker' | 'label' | 'material' | 'finish'> & { readonly id: string },
): LureBody {
  const lengthM = draft.lengthM ?? SHOWN.lengthM;
  const lipLengthM = draft.lipLengthM ?? SHOWN.lipShare * lengthM;
  return {
    ...named,
    id: named.id as LureBody['id'],
    kind: 'lureBody',
    shape: draft.shape,
    lengthM,
    heightM: draft.heightM ?? SHOWN.heightShare * lengthM,
    widthM: draft.widthM ?? SHOWN.widthShare * lengthM,
    massKg: draft.massKg ?? 0.01,
    volumeM3: 1e-5,
    eyeInnerDiameterM: draft.eyeInnerDiameterM,
    eyeWireM: draft.eyeWireM,
    tieOn: draft.tieOn === 'lip' && !draft.hasLip ? 'nose' : draft.tieOn,
    tieAtM: draft.tieAtM ?? SHOWN.tieShare * lengthM,
    hasTailEye: draft.hasTailEye,
    bellyEyesM: bellyEyesM.length > 0 ? [...bellyEyesM] : [SHOWN.eyeShare * lengthM],
    lipLengthM: draft.hasLip ? lipLengthM : 0,
    lipWidthM: draft.lipWidthM ?? lipLengthM,
    lipDownRad: draft.lipDownRad,
    ...(draft.traced ? { traced: [...draft.traced] } : {}),
  };
}
