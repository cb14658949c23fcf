/** What a lure does to the left and to the right, in words: which way a blade turns, an arm leans, a buzzbait pulls. */
import { layOut } from '../core/geometry/layout';
import type { WirePath } from '../core/carriers/wire-path';
import { itemOf, type Build } from '../core/lure/lure';
import { hasBody } from '../core/lure/take-body';
import type { Prediction } from '../core/predict/predict';
import { decimalText, inUnit, type UnitSystem } from '../core/units/write';
import type { FrontTurn, FrontView } from '../drawing/front-view';
import { degrees } from './angle-words';
import { partTitle } from './part-words';

const TURN_WORDS: Readonly<Record<FrontTurn, string>> = {
  clockwise: 'turns clockwise as it comes to you',
  anticlockwise: 'turns anticlockwise as it comes to you',
  either: 'turns either way: you see which in the water',
  still: 'stands still at this speed',
};

/** Smaller than this an angle is none. */
const NONE_RAD = 0.005;
/** An arm so far out of its plane is seen. */
const TWISTED_RAD = 0.02;

/** One sentence for each thing that has a side; left and right are yours as it comes to you. */
export function frontWords(
  build: Build,
  { sweeps }: FrontView,
  prediction: Prediction | null,
  system: UnitSystem,
): string[] {
  const { path } = layOut(build);
  const [ride] = prediction?.rides ?? [];
  const said = ride?.outcome === 'rides' ? ride.said : null;
  return [
    ...bodyWords(build),
    ...sweeps.map(({ station, turns }) => `${partTitle(itemOf(build, station).part)} ${TURN_WORDS[turns]}.`),
    ...armWords(path),
    ...trailerWords(build),
    ...hookWords(build),
    ...leanWords(path !== null, ride?.outcome === 'rides' ? ride.lean : null, said?.leanRad?.value ?? 0),
    ...pullWords(build, said?.sidePullRad?.value ?? 0, said?.aimOffM?.value ?? 0, system),
  ];
}

/** A body swings to both sides alike, and what hangs under it with it. */
function bodyWords(build: Build): string[] {
  return hasBody(build)
    ? ['The body swings to both sides alike; a blade under its belly swings with it and turns no way.']
    : [];
}

function armWords(path: WirePath | null): string[] {
  if (!path) return [];
  const { armSideRad } = path;
  if (Math.abs(armSideRad) < TWISTED_RAD) return ['Its arm stands in line with the hook.'];
  // To the lure's own right is to the left of the eye before it.
  return [`Its arm stands ${degrees(Math.abs(armSideRad))} out of line, to your ${armSideRad > 0 ? 'left' : 'right'}.`];
}

function trailerWords({ items }: Build): string[] {
  return Object.values(items).flatMap(({ part, flipped }) =>
    part.kind === 'trailer' && part.style === 'claw'
      ? [flipped ? 'The claw sits on the side of the point.' : 'The claw sits away from the point.']
      : [],
  );
}

function hookWords({ items }: Build): string[] {
  const hooks = Object.values(items).flatMap(({ part }) => (part.kind === 'hook' ? [part] : []));
  return hooks.length > 0 && hooks.every(({ points }) => points === 1) ? ['The hook rides point up.'] : [];
}

function leanWords(hasArm: boolean, lean: 'leans' | 'noKeel' | 'turnsOver' | null, leanRad: number): string[] {
  if (lean === 'turnsOver') return ['It turns over: its keel is too weak for the rub of its blades.'];
  if (lean === 'noKeel') return ['Nothing holds it upright: it may roll with its blade.'];
  if (Math.abs(leanRad) < NONE_RAD) return [];
  const correction = hasArm ? ' Bending the arm to the other side corrects it.' : '';
  return [`It leans ${degrees(Math.abs(leanRad))} to the side its blade turns at the top.${correction}`];
}

function pullWords({ items }: Build, pullRad: number, aimOffM: number, system: UnitSystem): string[] {
  const deltas = Object.values(items).flatMap(({ part }) => (part.kind === 'deltaBlade' ? [part] : []));
  if (deltas.length === 0) return [];
  if (Math.abs(pullRad) < NONE_RAD) {
    return deltas.length > 1 ? ['It runs straight: one blade pulls to each side.'] : [];
  }
  const [side, other] = pullRad > 0 ? (['left', 'right'] as const) : (['right', 'left'] as const);
  const off =
    system === 'metric'
      ? `${decimalText(Math.abs(aimOffM), 1)} m`
      : `${decimalText(inUnit(Math.abs(aimOffM), 'ft'), 0)} ft`;
  return [
    `It pulls ${degrees(Math.abs(pullRad))} to your ${side} as it comes to you. Cast ${off} past the mark on your ${other}. No bend of the arm mends that: only a second blade of the other hand does.`,
  ];
}
