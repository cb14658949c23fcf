/**
 * Whether what leads to each hook carries what the user wants it to: line and links, less what their knots cost. Wire, hooks
 * and rings of a lure carry more than any leader; what leads to no hook carries no fish and is never too weak.
 */
import { knotShare, SNELL_SHARE } from '../../parts/knots';
import { wireEnd, type Carrier } from '../../carriers/carrier';
import { type Build, type End, type Item, type ItemId } from '../../lure/lure';
import { GRAVITY_MPS2 } from '../../hydro/water';
import { carrierOfItem, carrierWith } from '../../lure/strung';
import type { Part } from '../../parts/part';
import { noRepairs, type Finding, type Repair } from '../finding';

interface WeakPoint {
  /** A link, or null for the line. */
  readonly link: Item | null;
  readonly carriesN: number;
}

/** @param leastKg what has to be carried, as a mass that weighs as much; null where the user said nothing */
export function strengthFindings(build: Build, leastKg: number | null, spare: readonly Part[]): Finding[] {
  if (leastKg === null) return [];
  const wantedN = leastKg * GRAVITY_MPS2;
  const hooks = Object.values(build.items).filter(({ part }) => part.kind === 'hook');
  const points = hooks.flatMap((hook) => pathTo(build, hook));
  if (points.length === 0) return [];
  const weak = new Map<ItemId | null, WeakPoint>();
  for (const point of points) {
    const id = point.link?.id ?? null;
    if (point.carriesN < wantedN && point.carriesN < (weak.get(id)?.carriesN ?? Infinity)) weak.set(id, point);
  }
  if (weak.size === 0) {
    const carriesN = Math.min(...points.map((point) => point.carriesN));
    return [{ code: 'strength', key: 'strength', severity: 'good', items: [], carriesN, wantedN, repairs: noRepairs }];
  }
  return [...weak.values()].map(({ link, carriesN }): Finding => ({
    code: 'strength',
    key: `strength ${link?.id ?? 'line'}`,
    severity: 'caution',
    items: link ? [link.id] : [],
    carriesN,
    wantedN,
    repairs: () => stronger(link, wantedN / carriesN, build, spare),
  }));
}

/** Every line and link between the tie and this hook. */
function pathTo(build: Build, hook: Item): WeakPoint[] {
  const points: WeakPoint[] = [];
  let root = hook;
  for (let at: Item | undefined = hook; at;) {
    root = at;
    if (at.part.kind === 'link') points.push({ link: at, carriesN: at.part.breakingN * knotShare('palomar') });
    at = at.seat.on === 'item' ? build.items[at.seat.item] : undefined;
  }
  const carrier = carrierWith(build, carrierOfItem(build, hook))?.carrier;
  if (carrier?.wire.kind === 'line') {
    points.push({ link: null, carriesN: carrier.wire.breakingN * leastShare(carrier, root) });
  }
  return points;
}

/** What the weakest knot on the way to a hook leaves of the line's strength; `root` is what holds it to the line. */
function leastShare(carrier: Carrier, root: Item): number {
  const share = (end: End) => {
    const form = wireEnd(carrier, end);
    return form.form === 'knot' ? knotShare(form.knot) : form.form === 'tiedLoop' ? knotShare('tiedLoop') : 1;
  };
  return Math.min(share('nose'), root.seat.on === 'strand' ? SNELL_SHARE : share('tail'));
}

const MOST_OFFERED = 3;

/** Line or link of the same stuff that is this many times as strong, the thinnest first. */
function stronger(link: Item | null, byAtLeast: number, { carrier }: Build, spare: readonly Part[]): Repair[] {
  const now = link?.part ?? carrier.wire;
  if (now.kind !== 'line' && now.kind !== 'link') return [];
  return spare
    .filter(
      (part) => part.kind === now.kind && part.material === now.material && part.breakingN >= now.breakingN * byAtLeast,
    )
    .flatMap((part) => (part.kind === 'line' || part.kind === 'link' ? [part] : []))
    .sort((a, b) => a.diameterM - b.diameterM)
    .slice(0, MOST_OFFERED)
    .map((part): Repair => ({
      code: 'swapFor',
      part,
      edits: link
        ? [{ kind: 'swapPart', item: link.id, part }]
        : part.kind === 'line'
          ? [{ kind: 'carrier', changes: { wire: part } }]
          : [],
    }));
}
