/** Moves in words: what to do, what it takes, why it helps. */
import { never } from '../core/never';
import { GRAVITY_MPS2 } from '../core/hydro/water';
import { itemOf, type Build } from '../core/lure/lure';
import type { Undoing } from '../core/make/operation-rule';
import type { Effort } from '../core/tune/effort';
import type { MoveCode } from '../core/tune/move';
import type { Reason } from '../core/tune/promise';
import { decimalText, pullInWeight, showLength, type UnitSystem } from '../core/units/write';
import { degrees } from './angle-words';
import { bendAngle, bendName, twistAngle } from './bend-words';
import { capital } from './capital';
import { LINE_WORDS, lineValue, type CardMeasures } from './card-words';
import { costWords } from './cost-words';
import { finishWords, FIXING_WORDS, partTitle } from './part-words';
import { NOISE_WORDS } from './sound-words';

/** What is done, as one would tell a friend. */
export function moveWords(move: MoveCode, build: Build, system: UnitSystem): string {
  const named = (id: Parameters<typeof itemOf>[1]) => partTitle(itemOf(build, id).part);
  switch (move.code) {
    case 'swap': {
      const to = partTitle(move.part);
      const from = partTitle(move.from);
      // Two makers call their parts alike: then it is the finish, or the measure, that tells them apart.
      return to === from
        ? `${to}, ${finishWords(move.part)}, by ${move.part.maker}, for the one it has`
        : `${to} for the ${from}`;
    }
    case 'takeWire':
      if (move.part.kind === 'lureBody') return `The body ${partTitle(move.part)} in its place`;
      return move.part.kind === 'wire'
        ? `Made of ${showLength(move.part.diameterM, system)} wire, ${partTitle(move.part)}`
        : `Made of ${partTitle(move.part)}`;
    case 'takeOff':
      return `Take off the ${partTitle(move.part)}`;
    case 'add':
      return `Add ${partTitle(move.part)} ${move.beside ? `at the ${named(move.beside)}` : 'last on the wire'}`;
    case 'bend':
      return `Turn the ${bendOf(build, move.section)} by ${bendAngle(move.byRad)}`;
    case 'bendAside':
      return `Turn the ${bendOf(build, move.section)} aside by ${twistAngle(move.byRad)}`;
    case 'arm':
      return `Arm ${showLength(Math.abs(move.byM), system)} ${move.byM > 0 ? 'longer' : 'shorter'}`;
    case 'rivet':
      return `Rivet ${FIXING_WORDS[move.fixing]}`;
    case 'fold':
      return move.toRad === 0
        ? `Open the ${named(move.item)} flat`
        : `Fold the ${named(move.item)} to ${degrees(move.toRad)}`;
    case 'collar':
      return `Set the collar at ${Math.round(move.toShare * 100)} % of the strands`;
    case 'thinTips':
      return 'Thin the tips of the skirt unevenly';
    case 'cutTrailer':
      return `Cut ${showLength(move.byM, system)} off the head end of the ${named(move.item)}`;
    case 'setNail':
      return `Nail weight ${showLength(Math.abs(move.byM), system)} ${move.byM > 0 ? 'further out' : 'deeper in'}`;
    case 'renewSwivel':
      return `A new ${named(move.item)} that turns freely`;
    case 'turn':
      return `Turn the hollow of the ${partTitle(move.part)} to the body`;
    default:
      return never(move, 'moveWords');
  }
}

function bendOf({ carrier }: Build, section: number): string {
  return carrier.kind === 'bentWire' ? bendName(carrier, section) : 'wire';
}

export const UNDOING_WORDS: Readonly<Record<Undoing, string>> = {
  byHand: 'undone by hand',
  withTool: 'undone with the same tool',
  opensRing: 'undone at the ring',
  destroys: 'cannot be undone',
};

/** `about 12 min` */
export function minutesWords({ minutes }: Pick<Effort, 'minutes'>): string {
  return minutes < 1 ? 'under a minute' : `about ${Math.round(minutes)} min`;
}

/** What has to give way, in order; empty where one piece is worked at. */
export function effortWords({ costs }: Effort, build: Build, to: Build, system: UnitSystem): string {
  return costs.map((cost) => costWords(cost, build, to, system)).join('; ');
}

const LEVER_NAMES = {
  speed: 'speed',
  lineOut: 'line out',
  lineDiameter: 'line',
  tipHeight: 'rod tip',
  wireDiameter: 'wire',
  armLength: 'arm',
  ballast: 'head or body',
  bladeSize: 'blade',
  bladeThickness: 'sheet of the blade',
} as const;
const GROWS: Readonly<Record<keyof typeof LEVER_NAMES, readonly [more: string, less: string]>> = {
  speed: ['faster', 'slower'],
  lineOut: ['longer', 'shorter'],
  lineDiameter: ['thicker', 'thinner'],
  tipHeight: ['higher', 'lower'],
  wireDiameter: ['thicker', 'thinner'],
  armLength: ['longer', 'shorter'],
  ballast: ['heavier', 'lighter'],
  bladeSize: ['larger', 'smaller'],
  bladeThickness: ['thicker', 'thinner'],
};

/** Less is told as 0.0 g. */
const LEAST_PULL_N = 0.0005;

/** Why a move helps, in one sentence from what moves the line in the model. */
export function reasonWords(reason: Reason, measures: CardMeasures): string {
  const line = LINE_WORDS[reason.line].name.toLowerCase();
  const pulls = (newtons: number) => {
    const { number, unit } = pullInWeight(Math.abs(newtons) / GRAVITY_MPS2, measures.system);
    return `${number} ${unit}`;
  };
  if (reason.by === 'turning') {
    const { ratesHz, dragsN } = reason;
    const [was, is] = ratesHz.map((rate) => decimalText(rate, 1));
    return `Its blade turns ${is} a second instead of ${was} and pulls ${pulls(dragsN[1])} instead of ${pulls(dragsN[0])}.`;
  }
  if (reason.by === 'noises') {
    const said = (kinds: typeof reason.gone, one: string, more: string) => {
      const names = [...new Set(kinds.map((kind) => NOISE_WORDS[kind]))];
      return names.length > 0 ? [`the ${names.join(' and the ')} ${names.length > 1 ? more : one}`] : [];
    };
    return `${capital([...said(reason.gone, 'goes', 'go'), ...said(reason.come, 'comes', 'come')].join(', '))}.`;
  }
  if (reason.by === 'forces') {
    const pull = (newtons: number, of: string) =>
      Math.abs(newtons) < LEAST_PULL_N ? [] : [`${pulls(newtons)} ${newtons < 0 ? 'less' : 'more'} ${of}`];
    const by = [...pull(reason.sinkingN, 'weight in water'), ...pull(reason.dragN, 'drag')];
    return by.length > 0
      ? `It changes the ${line} by ${by.join(' and ')}.`
      : `It changes the ${line} by how its parts lie.`;
  }
  const { lever, ratio, tenth, isShare } = reason;
  const [more, less] = GROWS[lever];
  const change = isShare
    ? `${decimalText(Math.abs(tenth) * 100, Math.abs(tenth) < 0.02 ? 1 : 0)} %`
    : lineValue(reason.line, Math.abs(tenth), measures);
  const by = `${decimalText(Math.abs(ratio - 1) * 100, 0)} % ${ratio >= 1 ? more : less}`;
  return `${lever === 'ballast' ? 'It' : `Its ${LEVER_NAMES[lever]}`} is ${by}; a tenth ${more} gives ${change} ${tenth < 0 ? 'less' : 'more'} ${line}.`;
}
