/**
 * A lure as it is drawn: bare line that would run off the page is drawn shorter, with a break. How much was left out stands
 * with the layout, so that lengths are told in full.
 */
import { oncePer } from '../once';
import { carrierRoom, type Carrier } from '../carriers/carrier';
import type { Build, Item, ItemId } from '../lure/lure';
import { layOut, type LaidCarrier, type Layout } from './layout';
import type { LeftOut } from './placed';
import { holdsItself, type Rest } from './stack';

/** Bare line longer than this is broken, and this much of it drawn, m. */
const LONGEST_M = 0.1;
const SHOWN_M = 0.045;

export interface DrawnShort {
  readonly build: Build;
  readonly layout: Layout;
}

/** The build with its long stretches of bare line shortened, laid out. The same build where it has none. */
export const drawnShort = oncePer((build: Build): DrawnShort => {
  const layout = layOut(build);
  if (!layout.carriers.some(({ carrier }) => carrierRoom(carrier).isLimp)) return { build, layout };
  const cuts = new Map(layout.carriers.map((laid) => [laid.id, longStretches(laid)]));
  if ([...cuts.values()].every((found) => found.length === 0)) return { build, layout };
  const items = { ...build.items };
  let { carrier } = build;
  const joined = build.joined.map((each) => ({ ...each }));
  for (const [id, found] of cuts) {
    const leftOutM = found.reduce((sum, { lengthM }) => sum + lengthM, 0);
    if (leftOutM === 0) continue;
    for (const { item, lengthM } of found) if (item) items[item] = nearer(items[item] as Item, lengthM);
    const on = joined.find((each) => each.id === id);
    if (on) on.carrier = shorter(on.carrier, leftOutM);
    else carrier = shorter(carrier, leftOutM);
  }
  const short: Build = { ...build, carrier, items, joined };
  const laid = layOut(short);
  const carriers = laid.carriers.map((each) => ({ ...each, leftOut: breaksOn(each, cuts.get(each.id) ?? []) }));
  return { build: short, layout: { ...laid, leftOut: carriers[0]?.leftOut ?? [], carriers } };
});

/** The same as it rests slack or hung up; each break then stands in the middle of the line that is bare there. */
export function drawnAtRest(whole: Build, rest: Rest): DrawnShort {
  const { build, layout } = drawnShort(whole);
  if (rest === 'towed') return { build, layout };
  const laid = layOut(build, rest);
  const carriers = laid.carriers.map((each) => {
    const was = layout.carriers.find(({ id }) => id === each.id)?.leftOut ?? [];
    return { ...each, leftOut: was.map(({ atM, lengthM }) => ({ atM: middleOfBare(each, atM), lengthM })) };
  });
  return { build, layout: { ...laid, leftOut: carriers[0]?.leftOut ?? [], carriers } };
}

/** Between the two that hold their places on either side of here, where nothing is for longest. */
function middleOfBare({ shaft, strand }: LaidCarrier, nearM: number): number {
  const held = strand.filter(({ item }) => holdsItself(item) !== null);
  const fromM = Math.max(shaft.x0M, ...held.flatMap(({ x1M }) => (x1M <= nearM ? [x1M] : [])));
  const toM = Math.min(shaft.x1M, ...held.flatMap(({ x0M }) => (x0M >= nearM ? [x0M] : [])));
  const between = strand.filter(({ x0M, x1M }) => x0M >= fromM && x1M <= toM);
  const edges = [fromM, ...between.flatMap(({ x0M, x1M }) => [x0M, x1M]), toM];
  let [longestM, atM] = [0, nearM];
  for (let i = 0; i < edges.length; i += 2) {
    const [startM = 0, endM = 0] = edges.slice(i, i + 2);
    if (endM - startM > longestM) [longestM, atM] = [endM - startM, (startM + endM) / 2];
  }
  return atM;
}

/** From the front of the lure to its back, however short it is drawn, m. */
export function wholeLengthM(build: Build): number {
  const { x0M, x1M } = layOut(build);
  return x1M - x0M;
}

/** Bare line to be left out: behind an item that holds its place, or (null) ahead of all. */
interface Stretch {
  readonly item: ItemId | null;
  readonly lengthM: number;
}

function longStretches({ carrier, shaft, strand }: LaidCarrier): Stretch[] {
  if (!carrierRoom(carrier).isLimp) return [];
  const found: Stretch[] = [];
  const add = (item: ItemId | null, bareM: number) => {
    if (bareM > LONGEST_M) found.push({ item, lengthM: bareM - SHOWN_M });
  };
  const front = Math.min(shaft.x1M, ...strand.map(({ x0M }) => x0M));
  // Too much is strung on it: it is drawn as it is, running over.
  if (front < shaft.x0M) return found;
  add(null, front - shaft.x0M);
  strand.forEach(({ item, x1M }, index) => {
    if (holdsItself(item) === null) return;
    add(item.id, (strand[index + 1]?.x0M ?? shaft.x1M) - x1M);
  });
  return found;
}

function shorter(carrier: Carrier, byM: number): Carrier {
  return carrier.kind === 'line' ? { ...carrier, lengthM: carrier.lengthM - byM } : carrier;
}

/** An item that holds its place, so much nearer to what holds its own behind it. */
function nearer(item: Item, byM: number): Item {
  const { state } = item;
  if (state?.of === 'stop') return { ...item, state: { ...state, behindM: state.behindM - byM } };
  if (state?.of === 'hook' && state.snell)
    return { ...item, state: { ...state, snell: { ...state.snell, behindM: state.snell.behindM - byM } } };
  return item;
}

/** In the middle of what is still drawn of it. */
function breaksOn({ shaft, strand }: LaidCarrier, stretches: readonly Stretch[]): LeftOut[] {
  return stretches.map(({ item, lengthM }) => {
    const index = strand.findIndex((each) => each.item.id === item);
    const fromM = index < 0 ? shaft.x0M : (strand[index]?.x1M ?? shaft.x0M);
    return { atM: fromM + SHOWN_M / 2, lengthM };
  });
}
