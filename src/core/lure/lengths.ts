/**
 * Lengths to cut, each as the terms that make it up.
 * Loop of inside diameter D in wire d: π(D + d) a turn. A wrap lies about the shaft on the radius d, close wound, so a
 * turn is √((2πd)² + d²) and the shaft under it d. Bends and round loops: formed-wire.ts. Source: docs/model.md, lengths and
 * fits.
 */
import { eyeLengthM } from '../parts/hook-form';
import { layOut, tubeCoverEnd, type Layout } from './layout';
import { turnsAllowance, wireIn, wireInEnd, wrapsAllowance } from '../parts/formed-wire';
import { keeperWire } from '../parts/kinds/keeper';
import type { WireEnd } from '../parts/wire-form';
import { stateOf } from './item-state';
import { wireEnd, type BentWire, type Build, type End, type Item } from './lure';

export type LengthTerm =
  | { readonly code: 'loop'; readonly end: End; readonly insideDiameterM: number; readonly lengthM: number }
  | { readonly code: 'wraps'; readonly end: End; readonly wraps: number; readonly lengthM: number }
  | { readonly code: 'underWraps'; readonly end: End; readonly lengthM: number }
  | { readonly code: 'tag'; readonly end: End; readonly lengthM: number }
  | { readonly code: 'stack'; readonly lengthM: number }
  | { readonly code: 'freeRoom'; readonly lengthM: number }
  /** Cast into the head. */
  | { readonly code: 'inHead'; readonly lengthM: number }
  | { readonly code: 'straight'; readonly lengthM: number }
  | { readonly code: 'bend'; readonly angleRad: number; readonly insideRadiusM: number; readonly lengthM: number }
  | { readonly code: 'coil'; readonly turns: number; readonly insideDiameterM: number; readonly lengthM: number }
  | { readonly code: 'arm'; readonly lengthM: number }
  | { readonly code: 'turnedDown'; readonly lengthM: number }
  | { readonly code: 'spacer'; readonly lengthM: number }
  | { readonly code: 'strip'; readonly strands: number; readonly lengthM: number }
  | { readonly code: 'keeper'; readonly lengthM: number }
  | { readonly code: 'lockTurns'; readonly turns: number; readonly lengthM: number }
  | { readonly code: 'lockTwist'; readonly lengthM: number }
  | { readonly code: 'overWraps'; readonly lengthM: number }
  | { readonly code: 'overLoop'; readonly lengthM: number }
  | { readonly code: 'overRingAndEye'; readonly lengthM: number }
  | { readonly code: 'lengthwiseShrink'; readonly share: number; readonly lengthM: number };

export interface CutLength {
  readonly of: 'wire' | 'shrinkTube' | 'spacer' | 'skirtLayer' | 'keeper' | 'lockWire';
  /** The item that is cut; null for the carrier. */
  readonly item: Item | null;
  readonly terms: readonly LengthTerm[];
  /** Sum of the terms, m. */
  readonly totalM: number;
  /** What to cut: the builder's own figure if set, else the total rounded up to a whole millimetre. */
  readonly cutM: number;
}

/** Wire that a builder casts into a head. Trade estimate. */
const IN_HEAD_M = 0.012;
/** What each end of a lock wire is twisted over. Trade estimate. */
const LOCK_TWIST_M = 0.012;

/** Every length to cut for this build, the wire first. A bought frame has its wire cut and bent already. */
export function cutLengths(build: Build, layout: Layout = layOut(build)): CutLength[] {
  const { carrier } = build;
  const isBought = carrier.kind === 'bentWire' && carrier.bought !== null;
  return [...(isBought ? [] : [wireCut(build, layout)]), ...tubeCuts(build, layout), ...pieceCuts(build)];
}

/** The carrier's own wire, also that of a bought frame. */
export function wireCut(build: Build, layout: Layout = layOut(build)): CutLength {
  const { carrier } = build;
  const d = carrier.wire.diameterM;
  const ends = (end: End) => endTerms(end, wireEnd(carrier, end), d);
  return sum('wire', null, [
    ...ends('nose'),
    ...(carrier.kind === 'straightWire'
      ? ([
          { code: 'freeRoom', lengthM: carrier.freeRoomM },
          { code: 'stack', lengthM: layout.stackM },
        ] as const)
      : bentTerms(carrier)),
    ...ends('tail'),
  ]);
}

function bentTerms({ sections, armM, wire }: BentWire): LengthTerm[] {
  const d = wire.diameterM;
  return [
    { code: 'inHead', lengthM: IN_HEAD_M },
    ...sections.map((each): LengthTerm => {
      switch (each.section) {
        case 'straight':
          return { code: 'straight', lengthM: each.lengthM };
        case 'bend':
          return { code: 'bend', angleRad: each.angleRad, insideRadiusM: each.insideRadiusM, lengthM: wireIn(each, d) };
        case 'coil':
          return { code: 'coil', turns: each.turns, insideDiameterM: each.insideDiameterM, lengthM: wireIn(each, d) };
      }
    }),
    { code: 'arm', lengthM: armM },
  ];
}

function endTerms(end: End, form: WireEnd, wireM: number): LengthTerm[] {
  switch (form.form) {
    case 'plain':
      return [];
    case 'bentOver':
      return [{ code: 'turnedDown', lengthM: form.lengthM }];
    case 'bentLoop':
      return [{ code: 'loop', end, insideDiameterM: form.insideDiameterM, lengthM: wireInEnd(form, wireM) }];
    case 'wrappedLoop': {
      const { insideDiameterM, turns, wraps, tagM } = form;
      return [
        { code: 'loop', end, insideDiameterM, lengthM: turnsAllowance(insideDiameterM, turns, wireM) },
        { code: 'wraps', end, wraps, lengthM: wrapsAllowance(wraps, wireM) },
        { code: 'underWraps', end, lengthM: wraps * wireM },
        { code: 'tag', end, lengthM: tagM },
      ];
    }
  }
}

/** Spacers cut from tube, strips of a banded skirt, keepers and lock wires. */
function pieceCuts(build: Build): CutLength[] {
  return Object.values(build.items).flatMap((item): CutLength[] => {
    const { part } = item;
    switch (part.kind) {
      case 'sleeve':
        return part.material === 'plastic' ? [sum('spacer', item, [{ code: 'spacer', lengthM: part.lengthM }])] : [];
      case 'skirtLayer':
        return [sum('skirtLayer', item, [{ code: 'strip', strands: part.strands, lengthM: part.lengthM }])];
      case 'keeper':
        return [sum('keeper', item, [{ code: 'keeper', lengthM: keeperWire(part) }])];
      case 'softWire': {
        const { turns } = stateOf(item, 'lock');
        const about = item.seat.on === 'item' ? build.items[item.seat.item]?.part : undefined;
        const collarM = about?.kind === 'skirt' ? about.collarDiameterM : 0;
        return [
          sum('lockWire', item, [
            { code: 'lockTurns', turns, lengthM: turnsAllowance(collarM, turns, part.diameterM) },
            { code: 'lockTwist', lengthM: 2 * LOCK_TWIST_M },
          ]),
        ];
      }
      default:
        return [];
    }
  });
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
  const set = item?.state?.of === 'tube' ? item.state.cutLengthM : null;
  const cutM = set ?? Math.ceil(totalM * 1000 - 1e-6) / 1000;
  return { of, item, terms, totalM, cutM };
}
