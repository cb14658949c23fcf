'use client';

import { capital } from '@/words/capital';
import { CARRIER_WORDS } from '@/words/carrier-words';
import { addBend, bendTo, straightenOut, withSection } from '@/core/lure/bending';
import type { Edit } from '@/core/lure/edit';
import { USUAL_LOOP, type Build, type End, type SpotKind } from '@/core/lure/lure';
import { wireEnd, type Carrier } from '@/core/carriers/carrier';
import { never } from '@/core/never';
import type { BentWire } from '@/core/carriers/bent-wire';
import { wireIn } from '@/core/parts/formed-wire';
import type { Section, WireEnd } from '@/core/parts/wire-form';
import { showLength, type UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { CountField } from '@/ui/CountField';
import { QuantityField } from '@/ui/QuantityField';
import { SlideField } from '@/ui/SlideField';
import { degrees } from '@/words/angle-words';
import { bendAngle, bendName, twistAngle } from '@/words/bend-words';
import { partLine, partTitle } from '@/words/part-words';
import { showDraft } from '@/desk/desk-state';
import { TagField } from './TagField';
import { change, doDraft } from '@/desk/open-lure';
import { HowItRests } from './HowItRests';
import { LineEndFields, LineFields } from './LineFields';
import { LureBehind } from './LureBehind';

type Unit = 'mm' | 'in';

export interface WireFieldsProps {
  readonly build: Build;
  readonly end: SpotKind | null;
  readonly system: UnitSystem;
}

/** What a carrier is. */
const MADE_OF = {
  straightWire: 'The wire',
  bentWire: 'The wire',
  line: 'The line',
  body: 'The body',
} as const;

/** The wire, or one end of it: what is set about it, and for a bent one its bends in turn. */
export function WireFields({ build, end, system }: WireFieldsProps) {
  const { carrier } = build;
  const unit = system === 'metric' ? 'mm' : 'in';
  const isBent = carrier.kind === 'bentWire';
  const title = end === null ? MADE_OF[carrier.kind] : capital(CARRIER_WORDS[carrier.kind][end]);
  return (
    <>
      <h2 className="text-lg leading-tight font-semibold">{title}</h2>
      <p className="text-sm text-ink-soft">
        {isBent && carrier.bought ? `${carrier.bought.name}, ${carrier.bought.maker}: ` : ''}
        {carrier.kind === 'body'
          ? `${partTitle(carrier.wire)}, ${partLine(carrier.wire, system)}`
          : `${carrier.wire.name}, ${showLength(carrier.wire.diameterM, system === 'metric' ? 'trade' : 'metric')}`}
      </p>
      <LengthFields carrier={carrier} unit={unit} />
      {carrier.kind === 'line' && (end === 'nose' || end === 'tail') && (
        <LineEndFields end={end} form={carrier[end]} unit={unit} />
      )}
      {carrier.kind === 'line' && end === null && <HowItRests build={build} />}
      {carrier.kind === 'line' && end === 'tail' && <LureBehind build={build} />}
      {carrier.kind !== 'line' && carrier.kind !== 'body' && (end === 'tail' || (end === 'nose' && !isBent)) && (
        <EndFields end={end} form={wireEnd(carrier, end)} unit={unit} isBent={isBent} />
      )}
      {isBent && end !== 'tail' && <Bends carrier={carrier} unit={unit} />}
    </>
  );
}

/** How long it is made. */
function LengthFields({ carrier, unit }: { readonly carrier: Carrier; readonly unit: Unit }) {
  switch (carrier.kind) {
    case 'line':
      return <LineFields carrier={carrier} unit={unit} />;
    case 'bentWire':
      return (
        <QuantityField
          label="Arm, from the last bend to its end"
          kind="length"
          si={carrier.armM}
          unit={unit}
          minSi={0.005}
          maxSi={0.2}
          onCommit={(armM) => change('arm', [{ kind: 'carrier', changes: { armM } }])}
        />
      );
    case 'straightWire':
      return (
        <QuantityField
          label="Free room along the wire"
          kind="length"
          si={carrier.freeRoomM}
          unit={unit}
          minSi={0}
          maxSi={0.05}
          onCommit={(freeRoomM) => change('freeRoom', [{ kind: 'carrier', changes: { freeRoomM } }])}
        />
      );
    case 'body':
      return null;
    default:
      return never(carrier, 'LengthFields');
  }
}

function Bends({ carrier, unit }: { readonly carrier: BentWire; readonly unit: Unit }) {
  const { sections, wire, startRad } = carrier;
  const draft = (edits: readonly Edit[]) => showDraft(edits);
  const put = (index: number, section: Section) => withSection(carrier, index, section);
  return (
    <div className="flex flex-col gap-2" role="group" aria-label="Bends from the head to the arm">
      <SlideField
        label="Leaves the head at"
        words={degrees(startRad)}
        value={toDegrees(startRad)}
        min={90}
        max={200}
        step={1}
        onSlide={(value) => draft([{ kind: 'carrier', changes: { startRad: toRadians(value) } }])}
        onSettle={() => doDraft('bend')}
      />
      {sections.map((section, index) => (
        <div key={index} className="border-l-2 border-line pl-2.5">
          {section.section === 'straight' && (
            <div className="flex items-end gap-1.5">
              <div className="flex-1">
                <QuantityField
                  label="Straight"
                  kind="length"
                  si={section.lengthM}
                  unit={unit}
                  minSi={0}
                  maxSi={0.3}
                  onCommit={(lengthM) => change('straight', [put(index, { ...section, lengthM })])}
                />
              </div>
              <Button
                aria-label="Put a bend into this straight"
                onClick={() => change('bend', addBend(carrier, index))}
              >
                Bend it
              </Button>
            </div>
          )}
          {section.section === 'bend' && (
            <>
              <SlideField
                label={capital(bendName(carrier, index))}
                words={bendAngle(section.angleRad)}
                value={toDegrees(section.angleRad)}
                min={-215}
                max={215}
                step={1}
                onSlide={(value) => draft(bendTo(carrier, index, toRadians(value)))}
                onSettle={() => doDraft('bend')}
              />
              <SlideField
                label="Twisted out of flat"
                words={twistAngle(section.sideRad)}
                value={toDegrees(section.sideRad)}
                min={-30}
                max={30}
                step={1}
                onSlide={(value) => draft([put(index, { ...section, sideRad: toRadians(value) })])}
                onSettle={() => doDraft('twist')}
              />
              <div className="flex items-end gap-1.5">
                <div className="flex-1">
                  <QuantityField
                    label="Inside radius"
                    kind="length"
                    si={section.insideRadiusM}
                    unit={unit}
                    minSi={0.0005}
                    maxSi={0.05}
                    onCommit={(insideRadiusM) => change('bendRadius', [put(index, { ...section, insideRadiusM })])}
                  />
                </div>
                <Button
                  onClick={() => change('straighten', straightenOut(carrier, index, wireIn(section, wire.diameterM)))}
                >
                  Straighten
                </Button>
              </div>
            </>
          )}
          {section.section === 'coil' && (
            <QuantityField
              label="Closed tie, inside"
              kind="length"
              si={section.insideDiameterM}
              unit={unit}
              minSi={0.001}
              maxSi={0.02}
              onCommit={(insideDiameterM) => change('tie', [put(index, { ...section, insideDiameterM })])}
            />
          )}
        </div>
      ))}
    </div>
  );
}

const OPEN_LOOP: WireEnd = { form: 'bentLoop', insideDiameterM: 0.003, gapM: 0.0012 };
const TURNED_DOWN: WireEnd = { form: 'bentOver', lengthM: 0.004 };

function EndFields({
  end,
  form,
  unit,
  isBent,
}: {
  readonly end: End;
  readonly form: WireEnd;
  readonly unit: Unit;
  readonly isBent: boolean;
}) {
  const set = (next: WireEnd) => change('loop', [{ kind: 'carrier', changes: { [end]: next } }]);
  switch (form.form) {
    // Of a line: LineEndFields.
    case 'knot':
    case 'tiedLoop':
      return null;
    case 'plain':
      return (
        <>
          <Button onClick={() => set(USUAL_LOOP)}>Form a wrapped loop</Button>
          {isBent && <Button onClick={() => set(OPEN_LOOP)}>Bend a round loop</Button>}
          {isBent && <Button onClick={() => set(TURNED_DOWN)}>Turn the end down</Button>}
        </>
      );
    case 'bentOver':
      return (
        <>
          <QuantityField
            label="Turned down"
            kind="length"
            si={form.lengthM}
            unit={unit}
            minSi={0.001}
            maxSi={0.02}
            onCommit={(lengthM) => set({ ...form, lengthM })}
          />
          <Button onClick={() => set(OPEN_LOOP)}>Bend a round loop instead</Button>
        </>
      );
    case 'bentLoop':
      return (
        <>
          <QuantityField
            label="Loop inside"
            kind="length"
            si={form.insideDiameterM}
            unit={unit}
            minSi={0.001}
            maxSi={0.02}
            onCommit={(insideDiameterM) => set({ ...form, insideDiameterM })}
          />
          <Button onClick={() => set({ ...form, gapM: form.gapM > 0 ? 0 : OPEN_GAP_M })}>
            {form.gapM > 0 ? 'Close the loop' : 'Open the loop'}
          </Button>
          <Button look="quiet" onClick={() => set(USUAL_LOOP)}>
            Wrap it shut instead
          </Button>
        </>
      );
    case 'wrappedLoop':
      return <WrappedLoop form={form} unit={unit} set={set} />;
  }
}

/** What a loop opens to take an eye. Trade estimate. */
const OPEN_GAP_M = 0.0012;

function WrappedLoop({
  form,
  unit,
  set,
}: {
  readonly form: Extract<WireEnd, { form: 'wrappedLoop' }>;
  readonly unit: Unit;
  readonly set: (next: WireEnd) => void;
}) {
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
        <TagField tagM={form.tagM} unit={unit} set={(tagM) => set({ ...form, tagM })} />
      </div>
      <CountField
        label="Wraps"
        one="wrap"
        value={form.wraps}
        least={1}
        most={12}
        onChange={(wraps) => set({ ...form, wraps })}
      />
      <Button look="quiet" onClick={() => set({ form: 'plain' })}>
        Leave this end straight
      </Button>
    </>
  );
}

function toDegrees(angleRad: number): number {
  return Math.round((angleRad * 180) / Math.PI);
}

function toRadians(angleDeg: number): number {
  return (angleDeg * Math.PI) / 180;
}
