/** Blades that hang from the hangers of a body and do not turn: the body is in their way. */
import type { Build, Item, ItemId } from '../lure/lure';
import type { LureBody } from '../parts/kinds/lure-body';
import { bodyAt } from '../parts/body-form';
import type { Blade } from '../parts/kinds/blade';
import { bladeReach } from '../parts/outline';
import { laidAlong, lineKind, type PlacedOff } from './placed';
import type { Layout } from './layout';
import { spinSeats } from './seats';

/** A blade under a belly, or over a back. */
export interface Flasher {
  readonly item: Item;
  readonly blade: Blade;
  readonly body: LureBody;
  /** Of its hole from the body's nose, and from its axis, m: below it is less than zero. */
  readonly holeM: number;
  readonly offAxisM: number;
  /** Hole to tip, m. */
  readonly reachM: number;
  /** How wide the body is over the middle of the blade, m. */
  readonly bodyWidthM: number;
  /** From the blade's tip, lying back, to the nearest point of a hook that could meet it, m; below zero where it is past it. */
  readonly toHookM: number | null;
  readonly hook: ItemId | null;
}

/** All that hang so, nose first. */
export function flashers(build: Build, layout: Layout): Flasher[] {
  const turning = new Set(spinSeats(build, layout).map(({ item }) => item.id));
  const hooks = layout.off.filter(({ item }) => item.part.kind === 'hook');
  return layout.off
    .flatMap((placed): Flasher[] => {
      const { item, line, pivotM, offAxisM } = placed;
      const { carrier, lines } = laidAlong(layout, line);
      if (item.part.kind !== 'blade' || turning.has(item.id) || lineKind(line) !== 'skin') return [];
      if (carrier.kind !== 'body') return [];
      const reachM = bladeReach(item.part);
      const middle = bodyAt(carrier.wire, pivotM + reachM / 2);
      const share = (middle.upM + middle.downM) / carrier.wire.heightM;
      const met = nearestBehind(placed, hooks, lines.skin.xM, reachM, layout);
      return [
        {
          item,
          blade: item.part,
          body: carrier.wire,
          holeM: pivotM,
          offAxisM,
          reachM,
          bodyWidthM: carrier.wire.widthM * share,
          toHookM: met?.gapM ?? null,
          hook: met?.item ?? null,
        },
      ];
    })
    .sort((a, b) => a.holeM - b.holeM);
}

/** Where the points of a hook begin, of its length. Trade estimate. */
const POINTS_FROM = 0.6;

/** The hook behind a blade whose points it comes nearest to. */
function nearestBehind(
  { pivotM, offAxisM }: PlacedOff,
  hooks: readonly PlacedOff[],
  noseXM: number,
  reachM: number,
  layout: Layout,
): { readonly gapM: number; readonly item: ItemId } | null {
  const holeXM = noseXM + pivotM;
  let nearest: { readonly gapM: number; readonly item: ItemId } | null = null;
  for (const { item, line, x0M, x1M, offAxisM: hookOffM } of hooks) {
    if (item.part.kind !== 'hook') continue;
    const { lines } = laidAlong(layout, line);
    const isUnder = lineKind(line) === 'skin';
    const startM = (isUnder ? lines.skin : lines.trail).xM + x0M;
    // A hook whose points are further off to the side than both reach is never met.
    const apartM = Math.abs(offAxisM - (isUnder ? hookOffM : 0));
    if (startM + (x1M - x0M) < holeXM || apartM > reachM + item.part.gapM) continue;
    const gapM = startM + POINTS_FROM * (x1M - x0M) - (holeXM + reachM);
    if (!nearest || gapM < nearest.gapM) nearest = { gapM, item: item.id };
  }
  return nearest;
}
