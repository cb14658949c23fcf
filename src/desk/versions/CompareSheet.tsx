'use client';

import X from 'lucide-react/icons/x';
import { useMemo, useRef, useState } from 'react';
import { differences } from '@/core/costs/difference';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { BladeState } from '@/core/in-water/bearing';
import type { Build, Family, Lure } from '@/core/lure/lure';
import type { Compared } from '@/core/predict/compare';
import type { Belief } from '@/core/predict/factors';
import type { UnitSystem } from '@/core/units/write';
import { LurePicture } from '@/drawing/LurePicture';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { useSize } from '@/ui/use-media';
import { comparedRows, VERDICT_WORDS, type ComparedFigure, type ComparedRow } from '@/words/compare-words';
import { differenceWords } from '@/words/difference-words';
import { FAMILY_WORDS } from '@/words/family-words';
import { askCore } from '@/workers/core-client';
import { layBeside, takeFromBeside, useDesk } from '../desk-state';
import { useCore, useLearnt } from '../figures/use-core';
import { speedUnitOf, retrieveSpeed, oneSpeedInWords } from '../speed';
import { besideChoices, MOST_BESIDE, useSubjects, type Subject } from './beside';

export interface CompareSheetProps {
  readonly lure: Lure;
  readonly system: UnitSystem;
  readonly onClose: () => void;
}

interface CompareQuestion {
  readonly learnt: Belief | null;
  readonly builds: readonly Build[];
  readonly water: Water;
  readonly outfit: Outfit;
  readonly bladeState: BladeState;
  readonly speedMps: number;
}

const askCompare = ({
  builds,
  water,
  outfit,
  bladeState: state,
  learnt,
  speedMps,
}: CompareQuestion): Promise<Compared[]> => askCore('compare', [builds, water, speedMps, { outfit, state, learnt }]);

/** The lure beside one or two of its versions or other lures: drawn to one scale, all figures at the present retrieve. */
export function CompareSheet({ lure, system, onClose }: CompareSheetProps) {
  const compared = useDesk((state) => state.compared);
  const bladeState = useDesk((state) => state.bladeState);
  const { retrieve, water, outfit } = useDesk((state) => state.settings);
  const subjects = useSubjects(lure, compared);
  const learnt = useLearnt(lure.build);
  const speedMps = retrieveSpeed(retrieve);
  const question = useMemo(
    () => ({ builds: subjects.map(({ build }) => build), water, outfit, bladeState, learnt, speedMps }),
    [subjects, water, outfit, bladeState, learnt, speedMps],
  );
  const asked = useCore(askCompare, question);
  const answer = asked.state === 'ready' ? asked.answer : null;
  const rows = useMemo(
    () => answer && comparedRows(answer, system, speedUnitOf(retrieve, system)),
    [answer, system, retrieve],
  );
  const [, ...others] = subjects;
  return (
    <Sheet
      open
      widest
      onOpenChange={(open) => !open && onClose()}
      title={`Compare ${lure.name}`}
      description={`All at ${oneSpeedInWords(retrieve)}, drawn to one scale.`}
    >
      <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto pr-1">
        {others.length < MOST_BESIDE && <Another lure={lure} />}
        <Table subjects={subjects} rows={others.length > 0 ? (rows ?? []) : []} />
        {others.length > 0 && asked.state === 'working' && <p className="text-sm text-ink-soft">Working them out…</p>}
        {others.length > 0 && asked.state === 'failed' && (
          <p role="alert">They could not be compared ({asked.reason}).</p>
        )}
        {others.length > 0 && <p className="text-sm text-ink-soft">{HOW_MARKED}</p>}
        {others.map(
          ({ beside, build, name }) =>
            beside?.of === 'version' && (
              <Since key={beside.index} name={name} from={build} to={lure.build} system={system} />
            ),
        )}
      </div>
    </Sheet>
  );
}

/** Finds another to lay beside. */
function Another({ lure }: { readonly lure: Lure }) {
  const [typed, setTyped] = useState('');
  const lures = useDesk((state) => state.lures);
  const compared = useDesk((state) => state.compared);
  const choices = besideChoices(lure, lures, compared, typed);
  return (
    <section aria-label="Lay another beside it" className="flex flex-wrap items-end gap-1.5">
      <label className="flex min-w-48 flex-col gap-1 text-sm text-ink-soft">
        Lay another beside it
        <input
          data-focus-first={compared.length === 0 ? true : undefined}
          className="min-h-11 rounded-md border border-line bg-panel px-2.5 text-base text-ink"
          placeholder="its name"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      {choices.slice(0, OFFERED).map(({ beside, name, kind }) => (
        <Button
          key={`${beside.of} ${beside.of === 'version' ? beside.index : beside.id}`}
          aria-label={`Lay ${name} beside it`}
          onClick={() => {
            setTyped('');
            layBeside(beside);
          }}
        >
          {name}
          <span className="text-sm font-normal text-ink-soft">
            {kind === null ? 'version' : FAMILY_WORDS[kind as Family].toLowerCase()}
          </span>
        </Button>
      ))}
      {choices.length === 0 && <p className="text-sm text-ink-soft">No other of that name.</p>}
    </section>
  );
}

/** Not more than are taken in at a glance: the rest by name. */
const OFFERED = 4;

const HOW_MARKED =
  'Marked ▲ or ▼: the difference is larger than its spread, and than anyone would miss. What they have in common, like the water and the line, cancels, so a difference can be sure where two spreads overlap. Unmarked: they may be the same. A blade that may stop is compared as long as it turns.';

/** What stands left of the columns on a wide page, px. */
const NAMES_PX = 144;
const NAMES_FROM_PX = 640;
const TALLEST_PX = 240;

interface TableProps {
  readonly subjects: readonly Subject[];
  readonly rows: readonly ComparedRow[];
}

/** Each lure drawn over its own figures, to one scale, line ties at one place. */
function Table({ subjects, rows }: TableProps) {
  const container = useRef<HTMLDivElement>(null);
  const size = useSize(container);
  const builds = useMemo(() => subjects.map(({ build }) => build), [subjects]);
  const version = subjects.find(({ beside }) => beside?.of === 'version');
  const widthPx = size
    ? Math.floor((size.width - (size.width >= NAMES_FROM_PX ? NAMES_PX : 0)) / subjects.length) - 8
    : null;
  return (
    <div ref={container}>
      <table className="w-full table-fixed text-left" aria-label="Figures beside each other">
        <thead>
          <tr className="align-bottom">
            <td className="w-36 max-sm:hidden" />
            {subjects.map(({ name, build, beside }) => (
              <th key={name} className="pr-2 pb-1">
                <span className="flex items-center justify-between gap-1">
                  <span className="min-w-0 break-words">{name}</span>
                  {beside && (
                    <button
                      type="button"
                      aria-label={`Take ${name} away`}
                      className="inline-flex size-11 shrink-0 items-center justify-center rounded-md hover:bg-accent-soft"
                      onClick={() => takeFromBeside(beside)}
                    >
                      <X aria-hidden size={18} />
                    </button>
                  )}
                </span>
                {widthPx && (
                  <span className="block rounded-md bg-stage">
                    <LurePicture
                      build={build}
                      beside={builds}
                      over={beside === null ? version?.build : undefined}
                      width={widthPx}
                      height={Math.min(TALLEST_PX, Math.round(widthPx * 0.6))}
                      scale={6}
                      label={
                        beside === null && version
                          ? `${name}, with ${version.name} in outline over it`
                          : `${name} from the side`
                      }
                    />
                  </span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        {rows.map(({ name, cells }) => (
          <tbody key={name} className="border-t border-line">
            <tr className="sm:hidden">
              <th colSpan={subjects.length} className="pt-1 text-sm font-normal text-ink-soft">
                {name}
              </th>
            </tr>
            <tr className="align-baseline">
              <th className="py-1 pr-2 text-sm font-normal text-ink-soft max-sm:hidden">{name}</th>
              {cells.map((cell, i) => (
                <td key={subjects[i]?.name ?? i} className="py-1 pr-2">
                  {cell ? <Cell figure={cell} /> : <span className="text-sm text-ink-soft">none</span>}
                </td>
              ))}
            </tr>
          </tbody>
        ))}
      </table>
    </div>
  );
}

function Cell({ figure: { value, unit, band, verdict } }: { readonly figure: ComparedFigure }) {
  return (
    <div>
      <span className="measure font-semibold">{value}</span> <span className="text-sm">{unit}</span>
      {(verdict === 'more' || verdict === 'less') && (
        <span className="text-sm font-semibold whitespace-nowrap text-accent"> {VERDICT_WORDS[verdict]}</span>
      )}
      {band !== '' && <p className="text-sm text-ink-soft">{band}</p>}
    </div>
  );
}

interface SinceProps {
  readonly name: string;
  readonly from: Build;
  readonly to: Build;
  readonly system: UnitSystem;
}

/** What a version became. */
function Since({ name, from, to, system }: SinceProps) {
  const found = differences(from, to);
  return (
    <section aria-label={`What became of ${name}`}>
      <h3 className="font-semibold">
        {found.length === 0 ? `${name} is the same as now.` : `What became of ${name} since`}
      </h3>
      <ul className="list-disc pl-5" data-testid="differences">
        {found.map((each, i) => (
          <li key={i}>{differenceWords(each, system)}</li>
        ))}
      </ul>
    </section>
  );
}
