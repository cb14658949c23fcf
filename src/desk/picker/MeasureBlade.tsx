'use client';

import { capital } from '@/words/capital';
import { useState } from 'react';
import { BLADE_PATTERNS, PATTERNS, type BladePattern } from '@/core/parts/blade-pattern';
import { MATERIALS, type MaterialId } from '@/core/parts/material';
import { bladeFromReadings, MASS_AGREES_WITHIN, type BladeReadings } from '@/core/parts/measure-blade';
import { OWN_MAKER } from '@/core/parts/part-fields';
import { partSchema } from '@/core/parts/part';
import type { Blade } from '@/core/parts/kinds/blade';
import { REFERENCE_HOLE_OFFSET_M } from '@/core/hydro/spin-blade';
import type { UnitSystem } from '@/core/units/write';
import { MeasuringFigure, type BladeMeasure } from '@/drawing/MeasuringFigure';
import { Button } from '@/ui/Button';
import { QuantityField } from '@/ui/QuantityField';
import { SelectField } from '@/ui/SelectField';
import { idFromName } from '@/core/lure/lure-id';
import { agreementWords, measuredWords } from '@/words/measuring-words';
import { addOwnParts } from '../own-things';
import { FINISHES } from './finishes';

const FIELD = 'min-h-11 w-full rounded-md border border-line bg-panel px-2.5 text-base text-ink';
const SHEETS: readonly MaterialId[] = ['brass', 'copper', 'nickelSilver', 'stainless', 'aluminium'];

const PATTERN_OPTIONS = BLADE_PATTERNS.map((value) => ({ value, name: PATTERNS[value].name }));
const METAL_OPTIONS = SHEETS.map((value) => ({ value, name: MATERIALS[value].name }));
const FINISH_OPTIONS = FINISHES.map(({ name }) => ({ value: name, name }));

type Draft = { [K in BladeMeasure]: number | null };

const EMPTY: Draft = {
  lengthM: null,
  widthM: null,
  holeDiameterM: null,
  rootToHoleM: null,
  thicknessM: null,
  crownM: null,
  massKg: null,
};

const MEASURES: readonly { readonly key: BladeMeasure; readonly label: string; readonly how: string }[] = [
  { key: 'lengthM', label: 'Length', how: 'Root end to tip, the jaws square across it.' },
  { key: 'widthM', label: 'Width', how: 'Across the widest place.' },
  { key: 'holeDiameterM', label: 'Hole', how: 'Inside jaws, or the largest drill shank that drops through.' },
  { key: 'rootToHoleM', label: 'Root to hole', how: 'From the root end to the near rim of the hole.' },
  { key: 'thicknessM', label: 'Thickness', how: 'At the edge of the widest place, clear of the hammer marks.' },
  { key: 'crownM', label: 'Crown', how: 'Lay it hollow down; height of its back over the table.' },
  { key: 'massKg', label: 'Mass', how: 'On the scale, without ring or clevis. Of several, weigh ten and divide.' },
];

/** A blade by caliper and scale: any one of thickness, crown and mass may be left out, and is worked out. */
export function MeasureBlade({
  system,
  onKept,
  onBack,
}: {
  readonly system: UnitSystem;
  readonly onKept: () => void;
  readonly onBack: () => void;
}) {
  const [pattern, setPattern] = useState<BladePattern>('french');
  const [material, setMaterial] = useState<MaterialId>('brass');
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const [taking, setTaking] = useState<BladeMeasure | null>('lengthM');
  const [name, setName] = useState('');
  const [front, setFront] = useState('brass');
  const [back, setBack] = useState('brass');
  const readings = readingsOf(draft, pattern, material);
  const result = readings && bladeFromReadings(readings);
  const words = measuredWords(result, system);
  const usual = PATTERNS[pattern].reference;
  const lengthM = draft.lengthM ?? usual.lengthM;
  const widthM = draft.widthM ?? (usual.widthM / usual.lengthM) * lengthM;
  const measured = result?.outcome === 'measured' ? result : null;
  const finishOf = (wanted: string) => FINISHES.find((each) => each.name === wanted) ?? FINISHES[0];

  const keep = async () => {
    const [finish, backFinish] = [finishOf(front), finishOf(back)];
    if (!measured || !readings || !finish || !backFinish) return;
    const title = name.trim() === '' ? `${capital(PATTERNS[pattern].name)} blade, own` : name.trim();
    const part = partSchema.parse({
      kind: 'blade',
      id: idFromName(`own ${title}`),
      name: title,
      maker: OWN_MAKER,
      label: null,
      material,
      finish,
      backFinish,
      pattern,
      lengthM: readings.lengthM,
      widthM: readings.widthM,
      thicknessM: measured.thicknessM,
      cupDepthM: measured.cupDepthM,
      holeOffsetM: measured.holeOffsetM,
      holeDiameterM: readings.holeDiameterM,
      massKg: measured.massKg,
      texture: 'smooth',
    } satisfies Omit<Blade, 'id'> & { id: string });
    if (await addOwnParts([part])) onKept();
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto pr-1">
      {/* The drawing stays in sight while the fields run under it. */}
      <div className="sticky top-0 z-10 shrink-0 border-b border-line bg-panel pb-1">
        <MeasuringFigure
          pattern={pattern}
          shape={{
            lengthM,
            widthM,
            cupDepthM: measured?.cupDepthM ?? usual.cupRatio * widthM,
            holeOffsetM: measured?.holeOffsetM ?? REFERENCE_HOLE_OFFSET_M,
          }}
          holeDiameterM={draft.holeDiameterM ?? 0.0016}
          thicknessM={measured?.thicknessM ?? usual.thicknessM}
          taking={taking}
        />
        <p aria-live="polite" className="min-h-5 text-sm text-ink-soft">
          {MEASURES.find(({ key }) => key === taking)?.how}
        </p>
      </div>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <SelectField label="Pattern" value={pattern} options={PATTERN_OPTIONS} onChange={setPattern} />
        <SelectField label="Metal" value={material} options={METAL_OPTIONS} onChange={setMaterial} />
        {MEASURES.map(({ key, label }) => (
          <QuantityField
            key={key}
            label={label}
            kind={key === 'massKg' ? 'mass' : 'length'}
            si={draft[key]}
            unit={key === 'massKg' ? (system === 'metric' ? 'g' : 'oz') : system === 'metric' ? 'mm' : 'in'}
            minSi={key === 'massKg' ? 1e-5 : 1e-4}
            maxSi={key === 'massKg' ? 0.1 : 0.2}
            onFocus={() => setTaking(key)}
            onCommit={(si) => setDraft((last) => ({ ...last, [key]: si }))}
            onClear={() => setDraft((last) => ({ ...last, [key]: null }))}
          />
        ))}
      </div>
      <div
        data-testid="measured"
        className={`rounded-md px-2.5 py-2 text-sm ${words.tone === 'fault' ? 'bg-fault-soft' : 'bg-accent-soft'}`}
        role="status"
      >
        <p className="font-semibold">{words.title}</p>
        {words.lines.map((line) => (
          <p key={line}>{line}</p>
        ))}
        {measured && measured.agreement !== null && (
          <p className={Math.abs(measured.agreement - 1) > MASS_AGREES_WITHIN ? 'font-semibold text-fault' : ''}>
            {agreementWords(measured.agreement, material)}
          </p>
        )}
      </div>
      <div className="grid grid-cols-[1fr_1fr] gap-x-3 gap-y-2">
        <SelectField label="Front" value={front} options={FINISH_OPTIONS} onChange={setFront} />
        <SelectField label="Hollow side" value={back} options={FINISH_OPTIONS} onChange={setBack} />
        <label className="col-span-2 flex flex-col gap-1 text-sm text-ink-soft">
          What you call it
          <input
            className={FIELD}
            value={name}
            maxLength={120}
            placeholder={`${capital(PATTERNS[pattern].name)} blade, own`}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
      </div>
      <div className="flex gap-2">
        <Button look="main" className="flex-1" disabled={!measured} onClick={() => void keep()}>
          Keep this blade
        </Button>
        <Button onClick={onBack}>Own parts</Button>
      </div>
    </div>
  );
}

function readingsOf(draft: Draft, pattern: BladePattern, material: MaterialId): BladeReadings | null {
  const { lengthM, widthM, holeDiameterM, rootToHoleM } = draft;
  if (lengthM === null || widthM === null || holeDiameterM === null || rootToHoleM === null) return null;
  return { ...draft, pattern, material, lengthM, widthM, holeDiameterM, rootToHoleM };
}
