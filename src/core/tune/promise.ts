/** What a move promises in full: the whole card after it, how likely the target then is, what it makes and mends, and why. */
import { ballastOf } from '../lure/resized';
import { applyEdits } from '../lure/edit';
import type { Build, Lure } from '../lure/lure';
import { bladeArea } from '../parts/blade-area';
import type { Part } from '../parts/part';
import { factorPlaces, halfWidthSquared, twinsOf, verdictOf, type Verdict } from '../predict/apart';
import { moversOf, type Lever, type MovedOutput } from '../predict/movers';
import type { Asked } from '../predict/predict';
import type { Water } from '../hydro/water';
import { USUAL_SOUND } from '../predict/sound';
import type { ContactKind } from '../sound/contact';
import type { Finding } from '../judgement/finding';
import { findings } from '../judgement/findings';
import type { LureRule } from '../judgement/lure-rule';
import { cardOf, LINE_SCALES, OF_SOUND, OF_TURNING, type Card } from './card';
import { chancesOf, type ChancesOfCard } from './chance';
import { pullingMost } from './middles';
import type { Move } from './move';
import { prepare } from '../prepared/prepared';
import type { CardLine, Want } from './target';

/** A finding without what mends it: so it goes through a worker's door. */
export type BareFinding = Finding extends infer F ? (F extends Finding ? Omit<F, 'repairs'> : never) : never;

/** Why a move does what it does to the line it helps most. */
export type Reason =
  /** By something that the model knows as a lever: what it becomes of what it is, and what a tenth more of it does. */
  | {
      readonly by: 'lever';
      readonly lever: Lever['lever'];
      readonly ratio: number;
      readonly line: CardLine;
      /** Of the line with the lever a tenth more: a share, or a step in its own unit. */
      readonly tenth: number;
      readonly isShare: boolean;
    }
  /** By how its blade that pulls most turns: turns a second and pull, before and after; 0 where none turns. */
  | {
      readonly by: 'turning';
      readonly line: CardLine;
      readonly ratesHz: readonly [number, number];
      readonly dragsN: readonly [number, number];
    }
  /** By what touches after it, and no longer does. */
  | {
      readonly by: 'noises';
      readonly line: CardLine;
      readonly gone: readonly ContactKind[];
      readonly come: readonly ContactKind[];
    }
  /** By what it adds to weight in water and drag, N. */
  | { readonly by: 'forces'; readonly line: CardLine; readonly sinkingN: number; readonly dragN: number };

export interface Promised {
  readonly card: Card;
  readonly chances: ChancesOfCard;
  /** Of each line that both cards have: whether it changes by more than its spread. */
  readonly verdicts: Readonly<Partial<Record<CardLine, Verdict>>>;
  /** What is wanted and becomes less likely. */
  readonly worsens: readonly CardLine[];
  readonly makes: readonly BareFinding[];
  readonly mends: readonly BareFinding[];
  /** Null where nothing of the target gets nearer. */
  readonly reason: Reason | null;
}

export interface PromiseAsked {
  readonly lure: Lure;
  readonly water: Water;
  readonly speedMps: number;
  readonly wants: readonly Want[];
  readonly rules: readonly LureRule[];
  readonly asked: Asked;
  /** The card of the lure as it is. */
  readonly before: Card;
}

/** A chance that falls by less is no worse. */
const WORSE = 0.05;

/** @returns null for a move that cannot be made */
export function promiseOf(move: Move, asking: PromiseAsked): Promised | null {
  const { lure, water, speedMps, wants, rules, asked, before } = asking;
  const done = applyEdits(lure, move.edits);
  if (!done.ok) return null;
  const card = cardOf(done.lure.build, water, speedMps, asked);
  const [chancesBefore, chances] = [chancesOf(before, wants), chancesOf(card, wants)];
  const verdicts = verdictsOf({ card: before, build: lure.build }, { card, build: done.lure.build });
  const context = { water, speedMps, rules };
  const [found, then] = [findings(lure, context), findings(done.lure, context)].map((all) =>
    all.filter(({ severity }) => severity !== 'good').map(bare),
  );
  const isIn = (all: readonly BareFinding[] = [], { key, severity }: BareFinding) =>
    all.some((each) => each.key === key && each.severity === severity);
  const changes = wants.map(({ line, weight }, i) => ({
    line,
    weight,
    by: (chances.each[i]?.chance ?? 0) - (chancesBefore.each[i]?.chance ?? 0),
  }));
  return {
    card,
    chances,
    verdicts,
    worsens: changes.flatMap(({ line, weight, by }) =>
      weight !== 'whatever' && by < -WORSE && verdicts[line] !== 'unsure' ? [line] : [],
    ),
    makes: (then ?? []).filter((each) => !isIn(found, each)),
    mends: (found ?? []).filter((each) => !isIn(then, each)),
    reason: reasonOf(move, helped(changes), asking, done.lure, card),
  };
}

function bare(finding: Finding): BareFinding {
  return Object.fromEntries(Object.entries(finding).filter(([key]) => key !== 'repairs')) as unknown as BareFinding;
}

function helped(changes: readonly { readonly line: CardLine; readonly by: number }[]): CardLine | null {
  const most = changes.reduce<(typeof changes)[number] | null>(
    (best, each) => (each.by > (best?.by ?? 0) ? each : best),
    null,
  );
  return most?.line ?? null;
}

interface OfBuild {
  readonly card: Card;
  readonly build: Build;
}

/** Of each line whether the second has more or less of it than the spread of their difference. */
export function verdictsOf(a: OfBuild, b: OfBuild): Promised['verdicts'] {
  const stations = ({ card }: OfBuild) => [
    ...new Set(card.factors.flatMap((factor) => (factor.of === 'blade' ? [factor.station] : []))),
  ];
  const twins = twinsOf(a.build, stations(a), b.build, stations(b));
  const places = factorPlaces(a.card.factors, b.card.factors, twins);
  const found: Partial<Record<CardLine, Verdict>> = {};
  for (const line of Object.keys(a.card.lines) as CardLine[]) {
    const [one, other] = [a.card.lines[line], b.card.lines[line]];
    if (!one || !other) continue;
    const squares = halfWidthSquared(one.slopes, other.slopes, places, a.card.covariance);
    found[line] = verdictOf(one, other, LINE_SCALES[line], squares, false);
  }
  return found;
}

/** Whether two moves come to the same as far as anyone can tell: no wanted line of theirs is surely apart. */
export function areTied(a: OfBuild, b: OfBuild, wants: readonly Want[]): boolean {
  const verdicts = verdictsOf(a, b);
  return wants.every(({ line, weight }) => weight === 'whatever' || (verdicts[line] ?? 'unsure') === 'unsure');
}

function reasonOf(
  move: Move,
  line: CardLine | null,
  { lure, water, speedMps, asked, before }: PromiseAsked,
  after: Lure,
  card: Card,
): Reason | null {
  if (!line) return null;
  const gone = before.noises.filter((kind) => !card.noises.includes(kind));
  const come = card.noises.filter((kind) => !before.noises.includes(kind));
  if (OF_SOUND.has(line) && gone.length + come.length > 0) return { by: 'noises', line, gone, come };
  const sound = OF_SOUND.has(line) ? USUAL_SOUND : null;
  const movers = moversOf(lure.build, water, speedMps, { ...asked, sound }, Infinity);
  const known = leversOf(move, lure.build, after.build).flatMap(({ lever, ratio }) => {
    const key = line === 'rateHz' && 'station' in lever ? (`rateHz of ${lever.station}` as const) : line;
    const mover = movers[key as MovedOutput]?.find(
      (each) =>
        each.lever.lever === lever.lever &&
        (!('station' in each.lever) || !('station' in lever) || each.lever.station === lever.station),
    );
    return mover ? [{ lever: lever.lever, ratio, tenth: mover.change, isShare: mover.isShare }] : [];
  });
  // A lever that goes the other way than the line does is not what tells here.
  const way = Math.sign((card.lines[line]?.value ?? 0) - (before.lines[line]?.value ?? 0));
  const strength = ({ ratio, tenth }: (typeof known)[number]) => way * tenth * Math.log(ratio);
  const best = known.toSorted((a, b) => strength(b) - strength(a))[0];
  if (best && strength(best) > LEAST_STRENGTH) return { by: 'lever', line, ...best };
  const setting = { water, speedMps, ...(asked.outfit && { outfit: asked.outfit }) };
  const [from, to] = [prepare(lure, setting).figures, prepare(after, setting).figures];
  if (OF_BLADES.has(line)) {
    const [a, b] = [pullingMost(from) ?? STILL, pullingMost(to) ?? STILL];
    return { by: 'turning', line, ratesHz: [a.rateHz, b.rateHz], dragsN: [a.dragN, b.dragN] };
  }
  return {
    by: 'forces',
    line,
    sinkingN: to.sinkingN - from.sinkingN,
    dragN: (to.trim?.dragN ?? 0) - (from.trim?.dragN ?? 0),
  };
}

/** What comes of how a blade turns. */
const OF_BLADES: ReadonlySet<CardLine> = new Set<CardLine>([...OF_TURNING, ...OF_SOUND, 'keepsMps', 'startsMps']);
const STILL = { rateHz: 0, dragN: 0 };

/** A lever that does less than this explains nothing. */
const LEAST_STRENGTH = 1e-3;

/** What of a lure a move makes more or less, where the model has a lever for it. */
function leversOf(move: Move, before: Build, after: Build): { readonly lever: Lever; readonly ratio: number }[] {
  switch (move.code) {
    case 'swap': {
      const { item, from, part } = move;
      const area = bladeArea(part) / bladeArea(from);
      // Of another pattern it is not the size alone that tells.
      const isLike = from.kind !== 'blade' || part.kind !== 'blade' || from.pattern === part.pattern;
      return [
        ...(isLike && area > 0 && Number.isFinite(area)
          ? [{ lever: { lever: 'bladeSize', station: item } as const, ratio: Math.sqrt(area) }]
          : []),
        ...(isLike && 'thicknessM' in from && 'thicknessM' in part
          ? [{ lever: { lever: 'bladeThickness', station: item } as const, ratio: part.thicknessM / from.thicknessM }]
          : []),
        ...(ballastOf(before) === item
          ? [{ lever: { lever: 'ballast', station: item } as const, ratio: part.massKg / from.massKg }]
          : []),
      ];
    }
    case 'takeWire': {
      const wires: readonly Part[] = [move.from, move.part];
      const [from, to] = wires.map((wire) => (wire.kind === 'wire' ? wire.diameterM : NaN));
      return from && to ? [{ lever: { lever: 'wireDiameter' }, ratio: to / from }] : [];
    }
    case 'arm': {
      const [from, to] = [before, after].map(({ carrier }) => (carrier.kind === 'bentWire' ? carrier.armM : NaN));
      return from && to ? [{ lever: { lever: 'armLength' }, ratio: to / from }] : [];
    }
    default:
      return [];
  }
}
