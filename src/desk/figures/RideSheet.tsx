'use client';

import { Fragment, useState } from 'react';
import { LINE_KINDS, LINE_SWIVELS, OUTFIT_RANGES, type LineKind, type Outfit } from '@/core/hydro/outfit';
import { WATERS_BY_SALT } from '@/words/water-words';
import type { Lure } from '@/core/lure/lure';
import { decimalText, showDepth, type UnitSystem } from '@/core/units/write';
import { latePart } from '@/ui/late-part';
import { Button } from '@/ui/Button';
import { QuantityField } from '@/ui/QuantityField';
import { SelectField } from '@/ui/SelectField';
import { Sheet } from '@/ui/Sheet';
import {
  ALL_FIGURES,
  beatFigure,
  centreWords,
  LINE_WORDS,
  noRideWords,
  rideFigures,
  type RideFigure,
} from '@/words/ride-words';
import { useDesk } from '../desk-state';
import { changeSettings } from '../settings';
import { SinkerFields } from './SinkerFields';
import { ReadingForm } from './ReadingForm';
import { HeadFinder } from './HeadFinder';
import { retrieveSpeed, SPEED_WAYS, oneSpeedInWords, speedUnitOf } from '../speed';
import { shownOf, useRide, useWay } from './use-core';

const ArmChart = latePart(() => import('./ArmChart').then((room) => room.default));
const DepthChart = latePart(() => import('./DepthChart').then((room) => room.default));

const CENTRES = [
  { key: 'ofMass', name: 'Middle of its mass' },
  { key: 'ofBuoyancy', name: 'Of the water it pushes aside' },
  { key: 'ofDrag', name: 'Of its drag' },
] as const;

export interface RideSheetProps {
  readonly lure: Lure;
  readonly onClose: () => void;
}

/** Everything said of how a lure rides, with the line, rod and water it is said for, and its way through the water drawn. */
export function RideSheet({ lure, onClose }: RideSheetProps) {
  const { retrieve, system, water, outfit, countdownS } = useDesk((state) => state.settings);
  const bladeState = useDesk((state) => state.bladeState);
  const speedMps = retrieveSpeed(retrieve);
  const { build } = lure;
  const asked = useRide(build, water, outfit, bladeState, speedMps);
  const way = useWay(build, water, outfit, speedMps, countdownS);
  const answer = shownOf(asked);
  const [ride] = answer?.prediction.rides ?? [];
  const speedUnit = speedUnitOf(retrieve, system);
  const shown = answer && { ...answer, system, speedUnit };
  const beat = shown && beatFigure(shown);
  const figures = shown ? [...(beat ? [beat] : []), ...rideFigures(shown, ALL_FIGURES)] : [];
  const by = retrieve.by === 'reel' ? `${decimalText(retrieve.turnsPerS, 2)} handle turns a second, ` : '';
  const path = shownOf(way);
  return (
    <Sheet
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title="How it rides"
      description={`${lure.name} at ${by}${oneSpeedInWords(retrieve)}${retrieve.by === 'reel' ? '' : ` (${SPEED_WAYS.find((each) => each.by === retrieve.by)?.name ?? ''})`}. Trade estimates until you measure: each with its spread.`}
    >
      <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto pr-1">
        <OutfitFields outfit={outfit} system={system} />
        <SinkerFields
          sinker={outfit.sinker}
          system={system}
          set={(sinker) => changeSettings({ outfit: said({ ...outfit, sinker }) })}
        />
        <section aria-label="Its way through the water" className="flex flex-col gap-1">
          <div className="flex flex-wrap items-end justify-between gap-3">
            <h3 className="font-semibold">Its way through the water</h3>
            <CountdownField seconds={countdownS} />
          </div>
          {path?.outcome === 'runs' ? (
            <>
              <figure className="h-44" aria-label="Depth against line still out">
                <DepthChart path={path} system={system} />
              </figure>
              <p className="text-sm text-ink-soft">
                {path.hung ? 'It hangs on its line before the countdown is over. ' : ''}
                Deepest {showDepth(path.deepestM, system)}. The dashed line is the depth it runs at towed with that much
                out.
              </p>
            </>
          ) : (
            <p className="text-sm text-ink-soft">
              {path?.outcome === 'floats'
                ? 'It floats: it runs at the surface and does not sink on slack line.'
                : path
                  ? 'It is not being drawn: turn the handle.'
                  : 'Working out its way…'}
            </p>
          )}
        </section>
        <section aria-label="All figures" className="flex flex-col gap-1">
          <h3 className="font-semibold">
            All figures{ride?.outcome === 'rides' ? `: it ${LINE_WORDS[ride.line]}` : ''}
          </h3>
          {ride && ride.outcome !== 'rides' && <p role="alert">{noRideWords(ride)}</p>}
          {asked.state === 'failed' && <p role="alert">It could not be worked out ({asked.reason}).</p>}
          <ul className="divide-y divide-line">
            {figures.map((figure) => (
              <Figure key={figure.output} figure={figure} />
            ))}
          </ul>
          {ride?.outcome === 'rides' && (
            <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 border-t border-line pt-2 text-sm">
              {CENTRES.map(({ key, name }) => (
                <Fragment key={key}>
                  <dt>{name}</dt>
                  <dd className="text-right text-ink-soft">{centreWords(ride.centres[key], system)}</dd>
                </Fragment>
              ))}
            </dl>
          )}
        </section>
        {answer?.prediction.arm.outcome === 'arm' && (
          <section aria-label="How its arm answers" className="flex flex-col gap-1">
            <h3 className="font-semibold">How its arm answers</h3>
            <figure className="h-40" aria-label="Swing of the arm against turns a second">
              <ArmChart
                arm={answer.prediction.arm.arm}
                blades={answer.prediction.spin.blades.map(({ at: [at] }) => at)}
                speedMps={speedMps}
              />
            </figure>
            <p className="text-sm text-ink-soft">
              How many times further it swings than the same pull held still would bend it. Dots are the blades, each
              with its band; the dashed line is the arm’s own rate. Thinner wire, a longer arm and more on it move that
              line to the left.
            </p>
          </section>
        )}
        {ride?.outcome === 'rides' && (
          <HeadFinder
            lure={lure}
            water={water}
            outfit={outfit}
            speedMps={speedMps}
            depthNowM={ride.said.depthM?.value ?? 0}
            system={system}
          />
        )}
      </div>
    </Sheet>
  );
}

/** What is not told of an outfit is left out of it. */
function said({ sinker, leastKg, ...rest }: Outfit): Outfit {
  return { ...rest, ...(sinker ? { sinker } : {}), ...(leastKg === undefined ? {} : { leastKg }) };
}

function Figure({ figure }: { readonly figure: RideFigure }) {
  const { name, value, unit, band, why, moves, unsure } = figure;
  return (
    <li>
      <details>
        <summary className="flex min-h-11 cursor-pointer flex-wrap items-center justify-between gap-x-3 py-1">
          <span>{name}</span>
          <span className="flex items-baseline gap-3 whitespace-nowrap">
            <span>
              <span className="measure font-semibold">{value}</span> <span className="text-sm">{unit}</span>
            </span>
            <span className="w-40 text-right text-sm whitespace-normal text-ink-soft">{band}</span>
          </span>
        </summary>
        <div className="flex flex-col gap-1 pb-2 text-sm text-ink-soft">
          {[why, moves, unsure]
            .filter((each) => each !== '')
            .map((sentence) => (
              <p key={sentence}>{sentence}</p>
            ))}
          {(figure.output === 'depthM' || figure.output === 'sinkMps') && (
            <ReadingForm kind={figure.output === 'depthM' ? 'depth' : 'sink'} />
          )}
        </div>
      </details>
    </li>
  );
}

const LINE_NAMES: Readonly<Record<LineKind, string>> = {
  braid: 'braid',
  nylon: 'nylon',
  fluorocarbon: 'fluorocarbon',
};
const SWIVEL_NAMES: Readonly<Record<Outfit['swivel'], string>> = {
  none: 'no swivel',
  free: 'a free swivel',
  gritty: 'a gritty swivel',
  rusty: 'a rusty swivel',
};

/** What a leader must carry: nothing is judged until it is told. */
function LeastField({
  leastKg,
  isMetric,
  set,
}: {
  readonly leastKg: number | undefined;
  readonly isMetric: boolean;
  readonly set: (leastKg: number | undefined) => void;
}) {
  if (leastKg === undefined) {
    return (
      <Button className="self-end" onClick={() => set(USUAL_LEAST_KG)}>
        Judge the leader’s strength
      </Button>
    );
  }
  return (
    <QuantityField
      label="Leader has to carry"
      kind="mass"
      si={leastKg}
      unit={isMetric ? 'kg' : 'lb'}
      {...OUTFIT_RANGES.leastKg}
      onCommit={set}
    />
  );
}

const USUAL_LEAST_KG = 4;

/** Line, rod and water: all depths hang on them. */
function OutfitFields({ outfit, system }: { readonly outfit: Outfit; readonly system: UnitSystem }) {
  const water = useDesk((state) => state.settings.water);
  const set = (change: Partial<Outfit>) => changeSettings({ outfit: { ...outfit, ...change } });
  const isMetric = system === 'metric';
  const salt = WATERS_BY_SALT.find(({ salinityGPerKg }) => salinityGPerKg === water.salinityGPerKg);
  return (
    <section aria-label="Line, rod and water" className="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <SelectField
        label="Line"
        value={outfit.line.kind}
        options={LINE_KINDS.map((value) => ({ value, name: LINE_NAMES[value] }))}
        onChange={(kind) => set({ line: { ...outfit.line, kind } })}
      />
      <QuantityField
        label="Its thickness"
        kind="length"
        si={outfit.line.diameterM}
        unit={isMetric ? 'mm' : 'in'}
        {...OUTFIT_RANGES.diameterM}
        onCommit={(diameterM) => set({ line: { ...outfit.line, diameterM } })}
      />
      <QuantityField
        label="Line out"
        kind="length"
        si={outfit.lineOutM}
        unit={isMetric ? 'm' : 'ft'}
        {...OUTFIT_RANGES.lineOutM}
        onCommit={(lineOutM) => set({ lineOutM })}
      />
      <QuantityField
        label="Rod tip over the water"
        kind="length"
        si={outfit.tipHeightM}
        unit={isMetric ? 'm' : 'ft'}
        {...OUTFIT_RANGES.tipHeightM}
        onCommit={(tipHeightM) => set({ tipHeightM })}
      />
      <SelectField
        label="Before the lure"
        value={outfit.swivel}
        options={LINE_SWIVELS.map((value) => ({ value, name: SWIVEL_NAMES[value] }))}
        onChange={(swivel) => set({ swivel })}
      />
      <SelectField
        label="Water"
        value={salt?.name ?? 'own'}
        options={[
          ...WATERS_BY_SALT.map(({ name }) => ({ value: name, name })),
          ...(salt ? [] : [{ value: 'own', name: `${decimalText(water.salinityGPerKg, 0)} g/kg of salt` }]),
        ]}
        onChange={(name) => {
          const chosen = WATERS_BY_SALT.find((each) => each.name === name);
          if (chosen) changeSettings({ water: { ...water, salinityGPerKg: chosen.salinityGPerKg } });
        }}
      />
      <QuantityField
        label="How warm"
        kind="temperature"
        si={water.temperatureK}
        unit={isMetric ? 'C' : 'F'}
        minSi={273.15}
        maxSi={313.15}
        onCommit={(temperatureK) => changeSettings({ water: { ...water, temperatureK } })}
      />
      <LeastField
        leastKg={outfit.leastKg}
        isMetric={isMetric}
        set={(leastKg) => changeSettings({ outfit: said({ ...outfit, leastKg }) })}
      />
    </section>
  );
}

function CountdownField({ seconds }: { readonly seconds: number }) {
  const [typed, setTyped] = useState<string | null>(null);
  const value = Number(typed);
  const isWrong = typed !== null && !(typed.trim() !== '' && value >= 0 && value <= 600);
  const commit = () => {
    if (typed === null || isWrong) return;
    changeSettings({ countdownS: value });
    setTyped(null);
  };
  return (
    <div>
      <label className="flex items-center gap-2 text-sm text-ink-soft">
        Counted down, seconds
        <input
          className="measure min-h-11 w-20 rounded-md border border-line bg-panel px-2.5 text-base text-ink aria-invalid:border-fault"
          inputMode="decimal"
          value={typed ?? String(seconds)}
          aria-invalid={isWrong}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => event.key === 'Enter' && commit()}
        />
      </label>
      {isWrong && (
        <p role="alert" className="text-sm text-fault">
          A number of seconds from 0 to 600 would be right.
        </p>
      )}
    </div>
  );
}
