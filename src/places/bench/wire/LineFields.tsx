'use client';

import type { LineCarrier } from '@/core/carriers/line';
import { USUAL_KNOT, USUAL_TIED_LOOP, type End } from '@/core/lure/lure';
import type { WireEnd } from '@/core/parts/wire-form';
import { Button } from '@/ui/Button';
import { CountField } from '@/ui/CountField';
import { QuantityField } from '@/ui/QuantityField';
import { TagField } from './TagField';
import { change } from '@/desk/open-lure';

const PALOMAR: WireEnd = { form: 'knot', knot: 'palomar', turns: 1, tagM: 0.05 };
const LEAST_M = 0.02;
const MOST_M = 6;

/** How long a line is made, and what is cut with it. */
export function LineFields({ carrier, unit }: { readonly carrier: LineCarrier; readonly unit: 'mm' | 'in' }) {
  return (
    <div className="grid grid-cols-2 gap-2">
      <QuantityField
        label="Finished length"
        kind="length"
        si={carrier.lengthM}
        unit={unit}
        minSi={LEAST_M}
        maxSi={MOST_M}
        onCommit={(lengthM) => change('lineLength', [{ kind: 'carrier', changes: { lengthM } }])}
      />
      <QuantityField
        label="Spare for a spoilt knot"
        kind="length"
        si={carrier.spareM}
        unit={unit}
        minSi={0}
        maxSi={1}
        onCommit={(spareM) => change('lineLength', [{ kind: 'carrier', changes: { spareM } }])}
      />
    </div>
  );
}

/** How an end of a line is made fast. */
export function LineEndFields({
  end,
  form,
  unit,
}: {
  readonly end: End;
  readonly form: WireEnd;
  readonly unit: 'mm' | 'in';
}) {
  const set = (next: WireEnd) => change('knot', [{ kind: 'carrier', changes: { [end]: next } }]);
  const others: readonly [WireEnd, string][] = [
    [USUAL_KNOT, 'Clinch knot'],
    [PALOMAR, 'Palomar knot'],
    [USUAL_TIED_LOOP, 'Knot a loop'],
    [{ form: 'plain' }, 'Leave it untied'],
  ];
  return (
    <>
      {form.form === 'knot' && (
        <div className="grid grid-cols-2 items-end gap-2">
          <CountField
            label="Turns"
            one="turn"
            value={form.turns}
            least={1}
            most={12}
            onChange={(turns) => set({ ...form, turns })}
          />
          <TagField tagM={form.tagM} unit={unit} set={(tagM) => set({ ...form, tagM })} />
        </div>
      )}
      {form.form === 'tiedLoop' && (
        <div className="grid grid-cols-2 gap-2">
          <QuantityField
            label="Loop, drawn straight"
            kind="length"
            si={form.insideM}
            unit={unit}
            minSi={0.003}
            maxSi={0.1}
            onCommit={(insideM) => set({ ...form, insideM })}
          />
          <TagField tagM={form.tagM} unit={unit} set={(tagM) => set({ ...form, tagM })} />
        </div>
      )}
      <div className="flex flex-wrap gap-1.5">
        {others
          .filter(([other]) => !isLike(other, form))
          .map(([other, words]) => (
            <Button key={words} onClick={() => set(other)}>
              {words}
            </Button>
          ))}
      </div>
    </>
  );
}

function isLike(a: WireEnd, b: WireEnd): boolean {
  return a.form === b.form && (a.form !== 'knot' || b.form !== 'knot' || a.knot === b.knot);
}
