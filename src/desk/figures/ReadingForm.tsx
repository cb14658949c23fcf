'use client';

import X from 'lucide-react/icons/x';
import { useState } from 'react';
import { isOf, readingsInUse } from '@/core/lure/kept-readings';
import type { ItemId } from '@/core/lure/lure';
import { readingSchema, type Reading } from '@/core/lure/reading';
import { Button } from '@/ui/Button';
import { QuantityField } from '@/ui/QuantityField';
import { NOT_OF_NOW, readingWords, unusedWords } from '@/words/reading-words';
import { useDesk } from '../desk-state';
import { change } from '../open-lure';
import { retrieveSpeed, oneSpeedInWords, speedUnitOf } from '../speed';
import { keepReading } from './readings';

export interface ReadingFormProps {
  readonly kind: 'rate' | 'depth' | 'sink';
  /** Of a rate, the blade. */
  readonly station?: ItemId;
}

const TITLES = { rate: 'Counted it?', depth: 'Read the depth?', sink: 'Timed a fall?' } as const;

/** Where a figure asks to be measured: what was read is typed in, kept, and narrows what is said. */
export function ReadingForm({ kind, station }: ReadingFormProps) {
  const { retrieve, system, outfit } = useDesk((state) => state.settings);
  const [turns, setTurns] = useState('');
  const [seconds, setSeconds] = useState(kind === 'rate' ? '10' : '');
  const [depthM, setDepthM] = useState<number | null>(null);
  const [wrong, setWrong] = useState(false);
  const speedMps = retrieveSpeed(retrieve);
  const unit = system === 'metric' ? 'm' : 'ft';
  const typed = (): unknown => {
    switch (kind) {
      case 'rate':
        return { kind, station, speedMps, rateHz: Number(turns) / Number(seconds) };
      case 'depth':
        return { kind, speedMps, lineOutM: outfit.lineOutM, depthM };
      case 'sink':
        return { kind, throughM: depthM, seconds: Number(seconds) };
    }
  };
  const keep = () => {
    const read = readingSchema.safeParse(typed());
    setWrong(!read.success);
    if (read.success && keepReading(read.data)) {
      setTurns('');
      setDepthM(null);
    }
  };
  const speed = oneSpeedInWords(retrieve);
  return (
    <form
      className="mt-2 flex flex-col gap-2 border-t border-line pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <p className="font-semibold">
        {TITLES[kind]}{' '}
        {kind !== 'sink' && <span className="font-normal text-ink-soft">at {speed}, as it is set now</span>}
      </p>
      <div className="flex flex-wrap items-end gap-2">
        {kind === 'rate' && <NumberField label="turns" value={turns} onChange={setTurns} />}
        {kind !== 'rate' && (
          <div className="w-24">
            <QuantityField
              label={kind === 'depth' ? 'depth' : 'fell'}
              kind="length"
              si={depthM}
              unit={unit}
              minSi={0.01}
              maxSi={100}
              onCommit={setDepthM}
              onClear={() => setDepthM(null)}
            />
          </div>
        )}
        {kind !== 'depth' && <NumberField label="in seconds" value={seconds} onChange={setSeconds} />}
        <Button type="submit">Keep it</Button>
      </div>
      {wrong && (
        <p role="alert" className="text-fault">
          {WOULD_BE_RIGHT[kind]}
        </p>
      )}
      <Kept kind={kind} station={station} />
    </form>
  );
}

const WOULD_BE_RIGHT = {
  rate: 'Turns from 1 up, counted over some seconds, at a speed above nothing, would be right.',
  depth: 'A depth, with line out and a speed above nothing, would be right.',
  sink: 'The water it fell through and its seconds would be right.',
} as const;

function NumberField({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}) {
  return (
    <label className="flex flex-col gap-1 text-sm text-ink-soft">
      {label}
      <input
        className="measure min-h-11 w-20 rounded-md border border-line bg-panel px-2.5 text-base text-ink"
        inputMode="decimal"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

/** What was measured of this so far, each to be taken out again. */
function Kept({ kind, station }: ReadingFormProps) {
  const lure = useDesk((state) => state.history?.lure);
  const learnt = useDesk((state) => state.learnt);
  const { retrieve, system } = useDesk((state) => state.settings);
  if (!lure?.readings) return null;
  const used = readingsInUse(lure);
  const isMine = (reading: Reading) =>
    reading.kind === kind && (reading.kind !== 'rate' || reading.station === station);
  return (
    <ul className="flex flex-col gap-1">
      {lure.readings.map((kept, at) => {
        if (!isMine(kept.reading)) return null;
        const words = readingWords(kept.reading, system, speedUnitOf(retrieve, system));
        const place = used.indexOf(kept.reading);
        const unused =
          learnt?.build === lure.build ? learnt.unused.find(({ reading }) => reading === place) : undefined;
        return (
          <li key={at} className="flex items-center justify-between gap-2">
            <span>
              {words}, {kept.onDay}
              {!isOf(lure.build, kept) && <span className="block text-ink-soft">{NOT_OF_NOW}</span>}
              {unused && <span className="block text-caution">{unusedWords(unused)}</span>}
            </span>
            <button
              type="button"
              aria-label={`Take out ${words}`}
              className="inline-flex size-11 shrink-0 items-center justify-center rounded-md hover:bg-accent-soft"
              onClick={() => change('forgetReading', [{ kind: 'forgetReading', at }])}
            >
              <X aria-hidden size={18} />
            </button>
          </li>
        );
      })}
    </ul>
  );
}
