/** Several lures at one speed beside each other, figure by figure, in words. */
import type { Verdict } from '../core/predict/apart';
import { layOut } from '../core/geometry/layout';
import { GRAVITY_MPS2 } from '../core/hydro/water';
import { itemOf } from '../core/lure/lure';
import { COMPARED_OF_BLADES, ofBlade, type Compared, type ComparedOfBlade } from '../core/predict/compare';
import { doesTurn } from '../core/predict/spin';
import { decimalText, pullInWeight, showLength, type UnitSystem } from '../core/units/write';
import { partTitle } from './part-words';
import { beatFigure, rideFigures, type Output, type RideShown } from './ride-words';
import { keepsFigure, outcomeWords, type SpeedUnit } from './spin-words';

/** One figure of one lure. */
export interface ComparedFigure {
  readonly value: string;
  readonly unit: string;
  readonly band: string;
  /** Beside that of the first lure; null of the first, and where nothing can be said of it. */
  readonly verdict: Verdict | null;
}

/** One figure of all of them, in their order; null of a lure that has none. */
export interface ComparedRow {
  readonly name: string;
  readonly cells: readonly (ComparedFigure | null)[];
}

/** After what each blade does; what matters most first. */
const COMPARED: readonly Output[] = [
  'depthM',
  'thumpNs',
  'surfaceMps',
  'planingMps',
  'sidePullRad',
  'leanRad',
  'dragN',
  'pulseN',
  'shakeM',
  'sinkMps',
  'twistTurns',
  'massKg',
];

const BLADE_NAMES: Readonly<Record<ComparedOfBlade, string>> = {
  rateHz: 'turns',
  spreadRad: 'stands out',
  dragN: 'pulls',
  keepsMps: 'turns down to',
};

/** All that can be said of any of them. */
export function comparedRows(
  compared: readonly Compared[],
  system: UnitSystem,
  speedUnit: SpeedUnit,
): readonly ComparedRow[] {
  const most = Math.max(...compared.map(({ prediction }) => prediction.spin.blades.length));
  const ofBlades = Array.from({ length: most }, (_, place) =>
    bladeRows(compared, place, most, system, speedUnit),
  ).flat();
  const shown = compared.map(({ build, prediction }): RideShown => ({
    build,
    prediction,
    movers: {},
    system,
    speedUnit,
  }));
  const beats = shown.map((each) => beatFigure(each));
  const figures = shown.map((each) => rideFigures(each, COMPARED));
  const ofLures = COMPARED.map((output): ComparedRow => ({
    name: figures.flatMap((each) => each.find((figure) => figure.output === output)?.name ?? [])[0] ?? '',
    cells: compared.map(({ verdicts }, i) => {
      const figure = figures[i]?.find((each) => each.output === output);
      return figure ? { ...figure, verdict: verdicts?.lure[output] ?? null } : null;
    }),
  }));
  const beat: ComparedRow = {
    name: 'Beat of its blades',
    cells: beats.map((figure) => figure && { ...figure, verdict: null }),
  };
  const length: ComparedRow = {
    name: 'Length',
    cells: compared.map(({ build }) => {
      const { x0M, x1M } = layOut(build);
      return { value: showLength(x1M - x0M, system), unit: '', band: '', verdict: null };
    }),
  };
  return [...ofBlades, beat, ...ofLures, length].filter(({ cells }) => cells.some((cell) => cell !== null));
}

function bladeRows(
  compared: readonly Compared[],
  place: number,
  most: number,
  system: UnitSystem,
  speedUnit: SpeedUnit,
): ComparedRow[] {
  const which = most === 1 ? 'Blade' : most === 2 ? (place === 0 ? 'Front blade' : 'Rear blade') : `Blade ${place + 1}`;
  const parts: ComparedRow = {
    name: which,
    cells: compared.map(({ build, prediction }) => {
      const blade = prediction.spin.blades[place];
      if (!blade) return null;
      const [at] = blade.at;
      const does = at && !doesTurn(at) ? outcomeWords(at).short.toLowerCase() : '';
      return { value: '', unit: partTitle(itemOf(build, blade.station).part), band: does, verdict: null };
    }),
  };
  const figures = COMPARED_OF_BLADES.map((key): ComparedRow => ({
    name: `${which} ${BLADE_NAMES[key]}`,
    cells: compared.map((each) => {
      const figure = bladeFigure(each, place, key, system, speedUnit);
      return figure && { ...figure, verdict: each.verdicts?.blades[place]?.[key] ?? null };
    }),
  }));
  return [parts, ...figures];
}

function bladeFigure(
  compared: Compared,
  place: number,
  key: ComparedOfBlade,
  system: UnitSystem,
  speedUnit: SpeedUnit,
): Omit<ComparedFigure, 'verdict'> | null {
  const said = ofBlade(compared, place)?.[key];
  if (!said) return null;
  if (key === 'keepsMps') {
    const station = compared.prediction.spin.blades[place]?.station;
    const stall = compared.stalls.find((each) => each.station === station)?.stall;
    return stall?.outcome === 'stalls' ? keepsFigure(stall, speedUnit) : null;
  }
  const { of, unit } = readerOf(key, system);
  return { value: of(said.value), unit, band: said.low === said.high ? '' : `${of(said.low)} to ${of(said.high)}` };
}

function readerOf(key: Exclude<ComparedOfBlade, 'keepsMps'>, system: UnitSystem) {
  switch (key) {
    case 'rateHz':
      return { of: (hz: number) => decimalText(hz, 1), unit: 'turns/s' };
    case 'spreadRad':
      return { of: (rad: number) => decimalText((rad * 180) / Math.PI, 0), unit: '°' };
    case 'dragN': {
      const pull = (newtons: number) => pullInWeight(newtons / GRAVITY_MPS2, system);
      return { of: (newtons: number) => pull(newtons).number, unit: pull(0).unit };
    }
  }
}

/** Said at a figure whose difference is larger than its spread. */
export const VERDICT_WORDS = { more: '▲ more', less: '▼ less' } as const;
