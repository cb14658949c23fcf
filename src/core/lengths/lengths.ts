/**
 * Lengths to cut, each as the terms that make it up.
 * Loop of inside diameter D in wire d: π(D + d) a turn. A wrap lies about the shaft on the radius d, close wound, so a
 * turn is √((2πd)² + d²) and the shaft under it d. Bends and round loops: formed-wire.ts. Source: docs/model.md, lengths and
 * fits.
 */
import { turnsAllowance } from '../parts/turns';
import { snellAllowance } from '../parts/knots';
import { keeperWire } from '../parts/kinds/keeper';
import type { Link } from '../parts/kinds/link';
import type { SoftWire } from '../parts/kinds/soft-wire';
import type { Part } from '../parts/part';
import { carrierRoom, strandOf, type Carrier } from '../carriers/carrier';
import { stateOf } from '../lure/item-state';
import { layOut, tubeCoverEnd, type LaidCarrier, type Layout } from '../geometry/layout';
import { endTerms, type LengthTerm } from '../carriers/length-term';
import type { Build, CarrierId, End, Item } from '../lure/lure';
import { lineOf, type PlacedEnd } from '../geometry/placed';
import { carrierWith } from '../lure/strung';

export interface CutLength {
  readonly of: 'wire' | 'shrinkTube' | 'spacer' | 'skirtLayer' | 'keeper' | 'lockWire' | 'link';
  /** The item that is cut; null for a carrier. */
  readonly item: Item | null;
  /** The carrier whose wire it is; null for an item. */
  readonly carrier: CarrierId | null;
  readonly terms: readonly LengthTerm[];
  /** Sum of the terms, m. */
  readonly totalM: number;
  /** What to cut: the builder's own figure if set, else the total rounded up to a whole millimetre. */
  readonly cutM: number;
}

/** What each end of a lock wire is twisted over. Trade estimate. */
const LOCK_TWIST_M = 0.012;

/** Every length to cut for this build, the wires first. A bought frame has its wire cut and bent already. */
export function cutLengths(build: Build, layout: Layout = layOut(build)): CutLength[] {
  const { carriers } = layout;
  return [
    ...carriers.filter(({ carrier }) => carrierRoom(carrier).isCut(carrier)).map(carrierCut),
    ...carriers.flatMap((laid) => tubeCuts(layout, laid)),
    ...pieceCuts(build),
  ];
}

/** The first carrier's own wire, also that of a bought frame. */
export function wireCut(build: Build, layout: Layout = layOut(build)): CutLength {
  return carrierCut(layout);
}

/** A carrier's own wire, also that of a bought frame. */
export function carrierCut({
  id,
  carrier,
  stackM,
  snells,
}: Pick<LaidCarrier, 'id' | 'carrier' | 'stackM' | 'snells'>): CutLength {
  const room = carrierRoom(carrier);
  const ends = (end: End) => endTerms(end, room.end(carrier, end), strandOf(carrier));
  const wraps = snells.map((snell): LengthTerm => ({
    code: 'snell',
    ...snell,
    lengthM: snellAllowance(snell.wraps, snell.shankM, strandOf(carrier)),
  }));
  return sum('wire', null, [...ends('nose'), ...room.terms(carrier, stackM), ...wraps, ...ends('tail')], id);
}

/** The carrier that is cut; null for an item. */
export function carrierOfCut(build: Build, { carrier }: CutLength): Carrier | null {
  return carrier === null ? null : (carrierWith(build, carrier)?.carrier ?? null);
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
        const about = item.seat.on === 'item' ? build.items[item.seat.item]?.part : undefined;
        return [sum('lockWire', item, lockTerms(part, stateOf(item, 'lock').turns, about))];
      }
      case 'link':
        return [sum('link', item, linkTerms(part, stateOf(item, 'link').lengthM))];
      default:
        return [];
    }
  });
}

/** Tubes that end up over the tail: they must cover the wraps, the loop, the rings and the hook's eye. */
function tubeCuts({ off }: Layout, { id, strand, tail }: LaidCarrier): CutLength[] {
  const last = strand.at(-1);
  if (!last || last.item.part.kind !== 'shrinkTube') return [];
  const end = tubeCoverEnd(
    tail,
    off.filter(({ line }) => line === lineOf(id, 'trail')),
  );
  return [sum('shrinkTube', last.item, tubeTerms(tail, end, last.item.part.lengthwiseShrink))];
}

/** Of a tube over the tail up to here. @param share of its length that it shrinks by */
export function tubeTerms(tail: PlacedEnd, endM: number, share: number): LengthTerm[] {
  const wrapsM = tail.wraps.x1M - tail.wraps.x0M;
  const loopM = tail.x1M - tail.x0M;
  const behindM = endM - tail.x1M;
  const coveredM = wrapsM + loopM + behindM;
  return [
    { code: 'overWraps', lengthM: wrapsM },
    { code: 'overLoop', lengthM: loopM },
    { code: 'overRingAndEye', lengthM: behindM },
    { code: 'lengthwiseShrink', share, lengthM: coveredM / (1 - share) - coveredM },
  ];
}

/** What is left over at each end of a link and clipped. Trade estimate. */
const LINK_TAG_M = 0.04;
/** A link is looped through the eye before it, its two strands knotted together, and tied to the eye behind with this. */
const LINK_KNOT = { form: 'knot', knot: 'palomar', turns: 1, tagM: LINK_TAG_M } as const;
const LINK_LOOP_M = 0.006;

/** Of a link from eye to eye: a loop about the eye before it, a knot at the eye behind. */
export function linkTerms({ diameterM }: Pick<Link, 'diameterM'>, lengthM: number): LengthTerm[] {
  return [
    { code: 'finished', lengthM },
    ...endTerms('nose', { form: 'tiedLoop', insideM: LINK_LOOP_M, tagM: LINK_TAG_M }, diameterM),
    ...endTerms('tail', LINK_KNOT, diameterM),
  ];
}

/** Of a lock wire turned about the collar of a skirt. */
export function lockTerms({ diameterM }: SoftWire, turns: number, about: Part | undefined): LengthTerm[] {
  const collarM = about?.kind === 'skirt' ? about.collarDiameterM : 0;
  return [
    { code: 'lockTurns', turns, lengthM: turnsAllowance(collarM, turns, diameterM) },
    { code: 'lockTwist', lengthM: 2 * LOCK_TWIST_M },
  ];
}

function sum(
  of: CutLength['of'],
  item: Item | null,
  terms: readonly LengthTerm[],
  carrier: CarrierId | null = null,
): CutLength {
  const totalM = terms.reduce((total, term) => total + term.lengthM, 0);
  const set = item?.state?.of === 'tube' ? item.state.cutLengthM : null;
  const cutM = set ?? Math.ceil(totalM * 1000 - 1e-6) / 1000;
  return { of, item, carrier, terms, totalM, cutM };
}
