/** A delta blade and the head beside it: clear of it, ticking on it, or dragging. */
import { pointOn, type Pose } from '../carriers/wire-path';
import type { Item } from '../lure/lure';
import { deltaSweep } from '../parts/delta-form';
import { headProfile } from '../parts/head-form';
import type { PartOf } from '../parts/part';
import { bothSides } from './clearance';
import type { Layout } from './layout';
import { outlineToOutline, type PlanePoint } from './plane';
import type { DeltaSeat } from './seats';

/** How a turning blade meets what stands beside it. */
export type Touch = 'free' | 'ticking' | 'dragging';

/** Between these a tip ticks the head once a lobe: more is air, less drags and stalls. Trade estimates. */
const TICKS_WITHIN_M = 0.0004;
const DRAGS_BEYOND_M = 0.0008;

/** What a blade does that stands this far from what it may meet, m; below zero by how far it reaches in. */
export function touchOf(clearanceM: number): Touch {
  return clearanceM > TICKS_WITHIN_M ? 'free' : clearanceM < -DRAGS_BEYOND_M ? 'dragging' : 'ticking';
}

/** Where a delta blade stands: on which line of the lure, from where on. */
type DeltaPlace = Pick<DeltaSeat, 'blade' | 'x0M'>;

/** The outline of what a delta blade sweeps, in the plane of the lure. */
export function deltaOutline({ lines }: Pick<Layout, 'lines'>, { blade, x0M }: DeltaPlace): PlanePoint[] {
  return bothSides(
    lines.run,
    deltaSweep(blade).map(({ xM, radiusM }) => ({ xM: x0M + xM, radiusM })),
  );
}

function outlineOf(head: PartOf<'head'>, line: Pose, x0M: number): PlanePoint[] {
  const stations = headProfile(head);
  const at = (xM: number, upM: number) => pointOn(line, x0M + xM, upM);
  const up = stations.map(({ xM, upM }) => at(xM, upM));
  const down = stations.map(({ xM, downM }) => at(xM, -downM));
  return [...up, ...down.reverse()];
}

/** The head and its outline in the plane of the lure; null without one. */
export function headOutline(layout: Layout): { readonly item: Item; readonly outline: PlanePoint[] } | null {
  const placed = layout.off.find(({ item }) => item.part.kind === 'head');
  if (placed?.item.part.kind !== 'head') return null;
  return { item: placed.item, outline: outlineOf(placed.item.part, layout.lines.head, placed.x0M) };
}

function toOutline(layout: Pick<Layout, 'lines'>, seat: DeltaPlace, outline: readonly PlanePoint[]): number {
  return outlineToOutline(deltaOutline(layout, seat), outline);
}

/** How far a delta blade stands from a head that begins here, m; below zero by how far it reaches in. */
export function headClearance(
  layout: Pick<Layout, 'lines'>,
  seat: DeltaPlace,
  head: PartOf<'head'>,
  headX0M: number,
): number {
  return toOutline(layout, seat, outlineOf(head, layout.lines.head, headX0M));
}

/** The head beside a delta blade, how far that stands from it, m, and what it then does; null without a head. */
export function headTouch(
  layout: Layout,
  seat: DeltaPlace,
): { readonly head: Item; readonly clearanceM: number; readonly touch: Touch } | null {
  const head = headOutline(layout);
  if (!head) return null;
  const clearanceM = toOutline(layout, seat, head.outline);
  return { head: head.item, clearanceM, touch: touchOf(clearanceM) };
}
