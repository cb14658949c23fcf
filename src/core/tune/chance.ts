/**
 * How likely a lure does what is wanted of it. All factors are drawn together as normal numbers with their covariance Σ. A line
 * with slopes m then stands mᵀx / √(mᵀΣm) off its middle, laid on its own band, nine cases in ten of it, to either side. A wish said twice is one event; two that hang on one
 * factor are not multiplied. Of what is only said of turning blades it is asked as well that they turn.
 *
 * The same draws every time, so that two lures are compared by the same luck; their error is √(p(1 − p)/DRAWS), at most 0.8 %.
 * A draw is kept in half widths of its line, and an edge is looked for there, so that many lures are held against one set.
 */
import { goTogether, HALF_WIDTHS_A_SIGMA, TO_NOTHING, type Banded } from '../predict/band';
import { normals, seeded } from '../random';
import { LINE_SCALES, OF_TURNING, type Card } from './card';
import { CARD_LINES, type CardLine, type Want } from './target';

/** In words of 32. */
const DRAWS = 4000;
const WORDS = DRAWS / 32;
const SEED = 17;

export interface Met {
  readonly want: Want;
  /** That it is met, 0…1; null where the line cannot be said of this lure at this speed. */
  readonly chance: number | null;
}

/** How well a lure meets what is wanted of it. */
export interface Chances {
  /** In the order of the wants. */
  readonly each: readonly Met[];
  /** That all musts are met together, 0…1: 0 where one of them cannot be said; 1 where nothing must be. */
  readonly allMusts: number;
  /**
   * What is to be made more, 0…1: over all draws, nothing where a must is missed, else a half, and of the other half the
   * share of what would be liked that is met. Without anything that would be liked it is the chance of all musts.
   */
  readonly worth: number;
}

export interface ChancesOfCard extends Chances {
  /** Pairs of wants that work against each other: both together less likely than if they were strangers. */
  readonly against: readonly (readonly [Want, Want])[];
}

/** So much less likely than strangers, and each by itself likely enough, two wishes work against each other. */
const AGAINST = 0.5;
const LIKELY_ENOUGH = 0.2;

/** Of each line its draws, in half widths. */
export type Draws = ReadonlyMap<CardLine, Float64Array>;

export function chancesOf(card: Card, wants: readonly Want[]): ChancesOfCard {
  const draws = drawTogether(card, linesOf(wants));
  const events = eventsOf(draws, (line) => card.lines[line], card.speedMps, wants);
  const chances = chancesIn(events, wants);
  const against = wants.flatMap((want, i) =>
    wants.slice(i + 1).flatMap((other, k): [Want, Want][] => {
      const j = i + 1 + k;
      const [a, b] = [chances.each[i]?.chance ?? 0, chances.each[j]?.chance ?? 0];
      const both = share([events[i] ?? null, events[j] ?? null]);
      return Math.min(a, b) >= LIKELY_ENOUGH && both < AGAINST * a * b ? [[want, other]] : [];
    }),
  );
  return { ...chances, against };
}

/** The same of a lure whose lines go together as the drawn ones do, from its own values. */
export function chancesWith(
  draws: Draws,
  saidOf: (line: CardLine) => Banded | null,
  speedMps: number,
  wants: readonly Want[],
): Chances {
  return chancesIn(eventsOf(draws, saidOf, speedMps, wants), wants);
}

/** The lines that a target asks for, and whether the blades turn. */
export function linesOf(wants: readonly Want[]): CardLine[] {
  return [...new Set<CardLine>([...wants.map(({ line }) => line), 'keepsMps'])];
}

/** A bit for each draw. */
type Bits = Uint32Array;
type Event = Bits | null;

/** Of each want in which draws it is met; null where its line cannot be said. */
function eventsOf(
  draws: Draws,
  saidOf: (line: CardLine) => Banded | null,
  speedMps: number,
  wants: readonly Want[],
): Event[] {
  const keeps = saidOf('keepsMps');
  const turns = keeps && met(draws, 'keepsMps', keeps, null, speedMps);
  return wants.map(({ line, low, high }): Event => {
    const said = saidOf(line);
    if (!said) return null;
    const event = met(draws, line, said, low, high);
    if (!OF_TURNING.has(line) || !turns) return event;
    bothInPlace(event, turns);
    return event;
  });
}

function met(draws: Draws, line: CardLine, said: Banded, low: number | null, high: number | null): Bits {
  const drawn = draws.get(line);
  if (!drawn) throw new Error(`chances: ${line} was not drawn`);
  const from = low === null ? -Infinity : halfWidthsTo(line, said, low, true);
  const to = high === null ? Infinity : halfWidthsTo(line, said, high, false);
  const event = new Uint32Array(WORDS);
  for (let word = 0, i = 0; word < WORDS; word++) {
    let bits = 0;
    for (let bit = 0; bit < 32; bit++, i++) {
      const at = drawn[i] as number;
      if (at >= from && at <= to) bits |= 1 << bit;
    }
    event[word] = bits;
  }
  return event;
}

/** What holds in both is left in the first. */
function bothInPlace(event: Bits, other: Bits) {
  for (let word = 0; word < WORDS; word++) (event[word] as number) &= other[word] as number;
}

function share(events: readonly Event[]): number {
  const all = together(events);
  return all ? countOf(all) / DRAWS : 0;
}

/** In which draws all of these are met; null where one of them cannot be said. */
function together(events: readonly Event[]): Event {
  const all = new Uint32Array(WORDS).fill(0xffffffff);
  for (const event of events) {
    if (!event) return null;
    bothInPlace(all, event);
  }
  return all;
}

function countOf(event: Bits): number {
  let count = 0;
  for (let word = 0; word < WORDS; word++) count += bitsIn(event[word] as number);
  return count;
}

/** Bits of a word that are set: pairs, fours and eights of them are summed side by side. */
function bitsIn(word: number): number {
  const pairs = word - ((word >>> 1) & 0x55555555);
  const fours = (pairs & 0x33333333) + ((pairs >>> 2) & 0x33333333);
  return Math.imul((fours + (fours >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

function chancesIn(events: readonly Event[], wants: readonly Want[]): Chances {
  const musts = together(events.filter((_, i) => wants[i]?.weight === 'must'));
  const likes = events.filter((_, i) => wants[i]?.weight === 'wouldLike');
  const allMusts = musts ? countOf(musts) / DRAWS : 0;
  const each = wants.map((want, i): Met => ({ want, chance: events[i] ? countOf(events[i]) / DRAWS : null }));
  if (likes.length === 0 || !musts) return { each, allMusts, worth: allMusts };
  const liked = likes.reduce((sum, event) => sum + share([event, musts]), 0);
  return { each, allMusts, worth: (allMusts + liked / likes.length) / 2 };
}

/**
 * Draws of the lines: of all factors at once, and of each line what its slopes make of them. A line that cannot be said of
 * this card, or that no factor moves, is drawn free of all others.
 */
export function drawTogether({ lines: said, covariance }: Card, lines: readonly CardLine[]): Draws {
  const root = choleskyRoot(covariance);
  return new Map(
    lines.map((line): [CardLine, Float64Array] => {
      const slopes = said[line]?.slopes ?? [];
      const own = Math.sqrt(goTogether(slopes, slopes, covariance));
      const drawn = new Float64Array(DRAWS);
      const add = (column: Float64Array, share: number) => {
        for (let n = 0; n < DRAWS; n++) drawn[n] = (drawn[n] as number) + share * (column[n] as number);
      };
      if (own === 0) add(luckOf(covariance.length + CARD_LINES.indexOf(line)), 1 / HALF_WIDTHS_A_SIGMA);
      else {
        covariance.forEach((_, k) => {
          const share = slopes.reduce((sum, slope, i) => sum + slope * (root[i]?.[k] ?? 0), 0);
          if (share !== 0) add(luckOf(k), share / own / HALF_WIDTHS_A_SIGMA);
        });
      }
      return [line, drawn];
    }),
  );
}

/** Normal numbers, the same every time, and others for each place. */
function luckOf(place: number): Float64Array {
  const known = LUCK.get(place);
  if (known) return known;
  const random = seeded(SEED + place);
  // From above 0 to 1, as a logarithm wants it.
  const normal = normals(() => 1 - random());
  const column = Float64Array.from({ length: DRAWS }, normal);
  LUCK.set(place, column);
  return column;
}

const LUCK = new Map<number, Float64Array>();

/** How many half widths off the middle an edge of a window lies, below it less than none. */
export function halfWidthsTo(line: CardLine, { value, low, high }: Banded, edge: number, isLowEdge: boolean): number {
  const isStep = LINE_SCALES[line] === 'step';
  const isAbove = edge > value;
  const width = isStep
    ? isAbove
      ? high - value
      : value - low
    : value <= 0
      ? 0
      : isAbove
        ? Math.log(high / value)
        : low > 0
          ? Math.log(value / low)
          : TO_NOTHING;
  // What has no width is met always or never.
  if (!(width > 0)) return (isLowEdge ? edge <= value : edge < value) ? -Infinity : Infinity;
  if (isStep) return (edge - value) / width;
  return edge > 0 ? Math.log(edge / value) / width : -Infinity;
}

/** L with L Lᵀ the matrix; a row that hangs wholly on those before it adds nothing of its own. */
function choleskyRoot(matrix: readonly (readonly number[])[]): number[][] {
  const root = matrix.map((row) => row.map(() => 0));
  matrix.forEach((row, i) => {
    for (let j = 0; j <= i; j++) {
      const [own, other] = [root[i] as number[], root[j] as number[]];
      let left = row[j] ?? 0;
      for (let k = 0; k < j; k++) left -= (own[k] as number) * (other[k] as number);
      if (i === j) own[j] = Math.sqrt(Math.max(0, left));
      else own[j] = (other[j] as number) > ROUNDING ? left / (other[j] as number) : 0;
    }
  });
  return root;
}

const ROUNDING = 1e-9;
