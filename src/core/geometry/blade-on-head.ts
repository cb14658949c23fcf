/** A delta blade and the head beside it: clear of it, ticking on it, or dragging. */
import { pointOn } from '../carriers/wire-path';
import type { Item } from '../lure/lure';
import { deltaSweep } from '../parts/delta-form';
import { headProfile } from '../parts/head-form';
import { bothSides } from './clearance';
import type { Layout } from './layout';
import { outlineToOutline, type PlanePoint } from './plane';
import type { DeltaSeat } from './seats';

/** How a turning blade meets what stands beside it. */
export type Touch = 'free' | 'ticking' | 'dragging';

/** Between these a tip ticks the head once a lobe: more is air, less drags and stalls. Trade estimates. */
export const TICKS_WITHIN_M = 0.0004;
const DRAGS_BEYOND_M = 0.0008;

/** What a blade does that stands this far from what it may meet, m; below zero by how far it reaches in. */
export function touchOf(clearanceM: number): Touch {
  return clearanceM > TICKS_WITHIN_M ? 'free' : clearanceM < -DRAGS_BEYOND_M ? 'dragging' : 'ticking';
}

/** The outline of what a delta blade sweeps, in the plane of the lure. */
export function deltaOutline(layout: Layout, { blade, x0M }: DeltaSeat): PlanePoint[] {
  return bothSides(
    layout.lines.run,
    deltaSweep(blade).map(({ xM, radiusM }) => ({ xM: x0M + xM, radiusM })),
  );
}

/** The head and its outline in the plane of the lure; null without one. */
export function headOutline(layout: Layout): { readonly item: Item; readonly outline: PlanePoint[] } | null {
  const placed = layout.off.find(({ item }) => item.part.kind === 'head');
  if (placed?.item.part.kind !== 'head') return null;
  const stations = headProfile(placed.item.part);
  const at = (xM: number, upM: number) => pointOn(layout.lines.head, placed.x0M + xM, upM);
  const up = stations.map(({ xM, upM }) => at(xM, upM));
  const down = stations.map(({ xM, downM }) => at(xM, -downM));
  return { item: placed.item, outline: [...up, ...down.reverse()] };
}

/** The head beside a delta blade, how far that stands from it, m, and what it then does; null without a head. */
export function headTouch(
  layout: Layout,
  seat: DeltaSeat,
): { readonly head: Item; readonly clearanceM: number; readonly touch: Touch } | null {
  const head = headOutline(layout);
  if (!head) return null;
  const clearanceM = outlineToOutline(deltaOutline(layout, seat), head.outline);
  return { head: head.item, clearanceM, touch: touchOf(clearanceM) };
}
