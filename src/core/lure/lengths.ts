/**
 * Lengths to cut, each as the terms that make it up.
 * Loop of inside diameter D in wire d: π(D + d) a turn. A wrap lies about the shaft on the radius d, close wound, so a
 * turn is √((2πd)² + d²) and the shaft under it d. Source: docs/model.md, lengths and fits.
 */
import { eyeLengthM } from '../parts/hook-form';
import { layOut, tubeCoverEnd, type Layout } from './layout';
import type { Build, End, Item, WireEnd } from './lure';

export type LengthTerm =
  | { readonly code: 'loop'; readonly end: End; readonly insideDiameterM: number; readonly lengthM: number }
  | { readonly code: 'wraps'; readonly end: End; readonly wraps: number; readonly lengthM: number }
  | { readonly code: 'underWraps'; readonly end: End; readonly lengthM: number }
  | { readonly code: 'tag'; readonly end: End; readonly lengthM: number }
  | { readonly code: 'stack'; readonly lengthM: number }
  | { readonly code: 'freeRoom'; readonly lengthM: number }
  | { readonly code: 'overWraps'; readonly lengthM: number }
  | { readonly code: 'overLoop'; readonly lengthM: number }
  | { readonly code: 'overRingAndEye'; readonly lengthM: number }
  | { readonly code: 'lengthwiseShrink'; readonly share: number; readonly lengthM: number };

export interface CutLength {
  readonly of: 'wire' | 'shrinkTube';
  /** The tube's item; null for the carrier. */
  readonly item: Item | null;
  readonly terms: readonly LengthTerm[];
  /** Sum of the terms, m. */
  readonly totalM: number;
  /** What to cut: the builder's own figure if set, else the total rounded up to a whole millimetre. */
  readonly cutM: number;
}

/** Every length to cut for this build, the wire first. */
export function cutLengths(build: Build, layout: Layout = layOut(build)): CutLength[] {
  return [wireCut(build, layout), ...tubeCuts(build, layout)];
}

export function wireCut(build: Build, layout: Layout = layOut(build)): CutLength {
  const { carrier } = build;
  const d = carrier.wire.diameterM;
  return sum('wire', null, [
    ...endTerms('nose', carrier.nose, d),
    { code: 'freeRoom', lengthM: carrier.freeRoomM },
    { code: 'stack', lengthM: layout.stackM },
    ...endTerms('tail', carrier.tail, d),
  ]);
}

function endTerms(end: End, form: WireEnd, wireM: number): LengthTerm[] {
  if (form.form === 'plain') return [];
  const { insideDiameterM, turns, wraps, tagM } = form;
  return [
    { code: 'loop', end, insideDiameterM, lengthM: Math.PI * (insideDiameterM + wireM) * turns },
    { code: 'wraps', end, wraps, lengthM: wraps * Math.hypot(2 * Math.PI * wireM, wireM) },
    { code: 'underWraps', end, lengthM: wraps * wireM },
    { code: 'tag', end, lengthM: tagM },
  ];
}

/** Tubes that end up over the tail: they must cover the wraps, the loop, the rings and the hook's eye. */
function tubeCuts(build: Build, layout: Layout): CutLength[] {
  const last = layout.strand.at(-1);
  if (!last || last.item.part.kind !== 'shrinkTube') return [];
  const { tail } = layout;
  const end = tubeCoverEnd(tail, layout.off.filter(isOnTail(build)));
  const wrapsM = tail.wraps.x1M - tail.wraps.x0M;
  const loopM = tail.x1M - tail.x0M;
  const behindM = end - tail.x1M;
  const coveredM = wrapsM + loopM + behindM;
  const share = last.item.part.lengthwiseShrink;
  return [
    sum('shrinkTube', last.item, [
      { code: 'overWraps', lengthM: wrapsM },
      { code: 'overLoop', lengthM: loopM },
      { code: 'overRingAndEye', lengthM: behindM },
      { code: 'lengthwiseShrink', share, lengthM: coveredM / (1 - share) - coveredM },
    ]),
  ];
}

function isOnTail(build: Build) {
  const reachesTail = (item: Item): boolean => {
    if (item.seat.on === 'end') return item.seat.end === 'tail';
    if (item.seat.on !== 'item') return false;
    const parent = build.items[item.seat.item];
    return parent !== undefined && reachesTail(parent);
  };
  return ({ item }: { item: Item }) => reachesTail(item);
}

/** True when a tube over the tail reaches past this hook's eye, so that it holds the hook in line. */
export function tubeHoldsHook(layout: Layout, hook: { readonly item: Item; readonly x0M: number }): boolean {
  const last = layout.strand.at(-1);
  if (!last || last.item.part.kind !== 'shrinkTube' || hook.item.part.kind !== 'hook') return false;
  return last.x1M >= hook.x0M + eyeLengthM(hook.item.part) - 1e-6;
}

function sum(of: CutLength['of'], item: Item | null, terms: readonly LengthTerm[]): CutLength {
  const totalM = terms.reduce((total, term) => total + term.lengthM, 0);
  const cutM = item?.cutLengthM ?? Math.ceil(totalM * 1000 - 1e-6) / 1000;
  return { of, item, terms, totalM, cutM };
}
