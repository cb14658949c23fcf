'use client';

import { OUTFIT_RANGES, SINKER_METALS, type Outfit } from '@/core/hydro/outfit';
import { SINKER_STYLES, type SinkerStyle } from '@/core/hydro/sinker-line';
import { MATERIALS } from '@/core/parts/material';
import type { UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { QuantityField } from '@/ui/QuantityField';
import { SelectField } from '@/ui/SelectField';
import { LEAD } from '@/words/caution-words';

type Sinker = NonNullable<Outfit['sinker']>;

const USUAL: Sinker = { massKg: 0.014, metal: 'tungsten', leaderM: 0.1 };

const STYLE_NAMES: Readonly<Record<SinkerStyle, string>> = {
  ball: 'sliding ball',
  bullet: 'sliding bullet',
  splitShot: 'split shot',
  walking: 'walking foot',
  threeWay: 'three-way arm',
};
const USUAL_DROPPER_M = 0.3;

/** Only a three-way has an arm. */
function styled({ massKg, metal, leaderM, dropperM = USUAL_DROPPER_M }: Sinker, style: SinkerStyle): Sinker {
  return { massKg, metal, leaderM, style, ...(style === 'threeWay' ? { dropperM } : {}) };
}

export interface SinkerFieldsProps {
  readonly sinker: Sinker | undefined;
  readonly system: UnitSystem;
  readonly set: (sinker: Sinker | undefined) => void;
}

/** A sinker on the line ahead of the lure: bottom rigs, and harnesses that are drawn down by it. */
export function SinkerFields({ sinker, system, set }: SinkerFieldsProps) {
  const isMetric = system === 'metric';
  if (!sinker) {
    return (
      <div className="flex flex-wrap items-center gap-3">
        <Button onClick={() => set(USUAL)}>Put a sinker ahead of the lure</Button>
        <span className="text-sm text-ink-soft">A harness is drawn down by its sinker, not by its own weight.</span>
      </div>
    );
  }
  const { style = 'ball' } = sinker;
  return (
    <section aria-label="Sinker ahead of the lure" className="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <QuantityField
        label="Sinker"
        kind="mass"
        si={sinker.massKg}
        unit={isMetric ? 'g' : 'oz'}
        {...OUTFIT_RANGES.sinkerKg}
        onCommit={(massKg) => set({ ...sinker, massKg })}
      />
      <SelectField
        label="Cast of"
        value={sinker.metal}
        options={SINKER_METALS.map((value) => ({ value, name: MATERIALS[value].name }))}
        onChange={(metal) => set({ ...sinker, metal })}
      />
      <SelectField
        label="How it sits on the line"
        value={style}
        options={SINKER_STYLES.map((value) => ({ value, name: STYLE_NAMES[value] }))}
        onChange={(next) => set(styled(sinker, next))}
      />
      {style === 'threeWay' && (
        <QuantityField
          label="Arm it hangs on"
          kind="length"
          si={sinker.dropperM ?? USUAL_DROPPER_M}
          unit={isMetric ? 'm' : 'ft'}
          {...OUTFIT_RANGES.dropperM}
          onCommit={(dropperM) => set({ ...sinker, dropperM })}
        />
      )}
      <QuantityField
        label="From it to the lure"
        kind="length"
        si={sinker.leaderM}
        unit={isMetric ? 'm' : 'ft'}
        {...OUTFIT_RANGES.leaderM}
        onCommit={(leaderM) => set({ ...sinker, leaderM })}
      />
      <Button className="self-end" onClick={() => set(undefined)}>
        Take the sinker off
      </Button>
      {sinker.metal === 'lead' && <p className="col-span-full text-sm text-caution">{LEAD}</p>}
    </section>
  );
}
