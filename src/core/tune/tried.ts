/**
 * Every move of a lure as tried so far: the middles it comes to, and what it takes. What is wanted of the lure may change as
 * often as it likes: a move is laid and weighed again only for lines that were not asked for before.
 */
import { itemOf, type Build, type Lure } from '../lure/lure';
import { planMake } from '../make/plan';
import { once } from '../once';
import type { Figures } from '../prepared/figures';
import { prepare, type Prepared, type Setting } from '../prepared/prepared';
import { effortOf, type Effort } from './effort';
import { OF_SOUND } from './card';
import { middlesOf, type Middles } from './middles';
import type { Move } from './move';
import { movesInTurn, type PartsAtHand } from './offered';
import { CARD_LINES, type CardLine } from './target';

export interface TriedMove {
  readonly move: Move;
  readonly effort: Effort;
  /** A part has to be got: it is none of the builder's own. */
  readonly isBought: boolean;
  readonly middles: Middles;
}

interface Found {
  readonly move: Move;
  readonly middles: Map<CardLine, number | null>;
  /** Null until it was tried, and where it cannot be made. */
  effort: Effort | null;
  isRefused: boolean;
}

/** Sound takes as long as all else. */
const WITHOUT_SOUND: readonly CardLine[] = CARD_LINES.filter((line) => !OF_SOUND.has(line));
const BRINGS_A_PART: ReadonlySet<Move['code']> = new Set<Move['code']>(['swap', 'add', 'takeWire']);
/** Of a lure whose order of work is not known. */
const UNPLANNED_MINUTES = 30;

export class MovesTried {
  private readonly prepared: Prepared;
  private readonly turns: Iterator<Move>;
  private readonly found: Found[] = [];
  private readonly asItIs = new Map<CardLine, number | null>();
  private readonly own: ReadonlySet<string>;
  /** Moves of one place take the same. */
  private readonly efforts = new Map<string, Effort>();
  private readonly whole = once(() => {
    const plan = planMake(this.lure.build);
    const tools = plan.outcome === 'planned' ? [...new Set(plan.steps.flatMap((step) => step.tools))] : [];
    return { minutes: plan.outcome === 'planned' ? plan.minutes : UNPLANNED_MINUTES, tools };
  });

  /** @throws Error for a build that structureProblem refuses */
  constructor(
    private readonly lure: Lure,
    private readonly setting: Setting,
    parts: PartsAtHand,
  ) {
    this.prepared = prepare(lure, setting);
    this.turns = movesInTurn(lure, parts);
    this.own = new Set(parts.own.map(({ id }) => id));
  }

  /** Of the lure as it is. */
  now(lines: readonly CardLine[]): Middles {
    this.addInPlace(this.asItIs, lines, () => ({ build: this.lure.build, figures: this.prepared.figures }));
    return this.asItIs;
  }

  /** All moves, most telling places first; null of one that cannot be made. */
  *each(lines: readonly CardLine[]): Generator<TriedMove | null> {
    for (let i = 0; ; i++) {
      const found = this.found[i] ?? this.nextFound();
      if (!found) return;
      yield this.tried(found, lines);
    }
  }

  private nextFound(): Found | null {
    const next = this.turns.next();
    if (next.done) return null;
    const found: Found = { move: next.value, middles: new Map(), effort: null, isRefused: false };
    this.found.push(found);
    return found;
  }

  private tried(found: Found, lines: readonly CardLine[]): TriedMove | null {
    const { move, middles } = found;
    if (found.isRefused) return null;
    this.addInPlace(middles, lines, () => {
      const done = doneTo(this.prepared, this.lure, move);
      if (done) found.effort ??= this.effortOf(move, done.build);
      return done;
    });
    found.isRefused = found.effort === null;
    if (!found.effort) return null;
    const brought = 'part' in move && BRINGS_A_PART.has(move.code) ? [move.part, ...move.twins] : [];
    const isBought = brought.length > 0 && !brought.some(({ id }) => this.own.has(id));
    return { move, effort: found.effort, isBought, middles };
  }

  private addInPlace(
    known: Map<CardLine, number | null>,
    lines: readonly CardLine[],
    work: () => { readonly build: Build; readonly figures: Figures } | null,
  ) {
    const missing = lines.filter((line) => !known.has(line));
    if (missing.length === 0) return;
    const done = work();
    if (!done) return;
    for (const [line, middle] of middlesOf(done.figures, done.build, missing, this.setting)) known.set(line, middle);
  }

  private effortOf(move: Move, to: Build): Effort {
    const known = this.efforts.get(move.place) ?? effortOf(move, this.lure.build, to, this.whole);
    this.efforts.set(move.place, known);
    return known;
  }
}

/** Tries all moves before anything is wanted, one after another: for all lines but those of sound, then for those. */
export function* trying(tried: MovesTried): Generator<number, void> {
  let count = 0;
  for (const lines of [WITHOUT_SOUND, CARD_LINES]) {
    tried.now(lines);
    for (const one of tried.each(lines)) {
      if (one) count++;
      yield count;
    }
  }
}

/** The lure with a move made; null where it cannot be. */
function doneTo(
  prepared: Prepared,
  { build }: Lure,
  move: Move,
): { readonly build: Build; readonly figures: Figures } | null {
  if (move.code === 'swap') {
    const { item, part } = move;
    const items = { ...build.items, [item]: { ...itemOf(build, item), part } };
    return { build: { ...build, items }, figures: prepared.swap(item, part) };
  }
  const next = prepared.after(move.edits);
  return next.ok ? { build: next.prepared.lure.build, figures: next.prepared.figures } : null;
}
