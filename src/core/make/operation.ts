/** One thing done by hand to the lure, as coded data: which operation, on which pieces. The sentence is written where it is shown. */
import type { CarrierId, End, ItemId } from '../lure/lure';

export type Operation =
  /** The length of wire cut from stock. */
  | { readonly op: 'cutWire' }
  | { readonly op: 'cutLine' }
  /** An end of a line knotted to what hangs there, or into a loop. */
  | {
      readonly op: 'tieEnd';
      readonly end: End;
      readonly holding: readonly ItemId[];
      /** A piece made before, which this knot ties on. */
      readonly behind?: CarrierId;
    }
  /** A piece made before, hung in a ring or a snap. */
  | { readonly op: 'joinBehind'; readonly behind: CarrierId; readonly on: ItemId }
  | { readonly op: 'snell'; readonly hook: ItemId }
  /** A bought frame: wire bent, head cast on. */
  | { readonly op: 'takeFrame'; readonly head: ItemId | null; readonly hook: ItemId | null }
  /** The body of a hard bait, with the eyes moulded into it. */
  | { readonly op: 'takeBody'; readonly eyes: readonly ItemId[] }
  | { readonly op: 'screwIn'; readonly item: ItemId }
  /** An eye opened, hung and shut again; of the body's own end where `eye` is null. */
  | {
      readonly op: 'openBodyEye';
      readonly eye: ItemId | null;
      readonly end: End | null;
      readonly items: readonly ItemId[];
    }
  | { readonly op: 'screwNail'; readonly item: ItemId; readonly host: ItemId }
  | { readonly op: 'bendWire' }
  | { readonly op: 'castHead'; readonly head: ItemId; readonly hook: ItemId | null }
  /** A loop from bare wire to closed, with what hangs in it; where something does it is told as the three that follow. */
  | { readonly op: 'formLoop'; readonly end: End; readonly holding: readonly ItemId[] }
  /** The loop rolled and left open for what is to hang in it. */
  | { readonly op: 'rollLoop'; readonly end: End }
  | { readonly op: 'hangInLoop'; readonly end: End; readonly item: ItemId }
  | { readonly op: 'closeLoop'; readonly end: End; readonly holding: readonly ItemId[] }
  | { readonly op: 'turnDown' }
  /** Equal neighbours on the wire, in the order in which they go on. */
  | { readonly op: 'thread'; readonly items: readonly ItemId[] }
  | { readonly op: 'dressWire'; readonly item: ItemId }
  | { readonly op: 'slideOver'; readonly item: ItemId; readonly host: ItemId }
  /** A clevis by both legs, what hangs on it already on it. */
  | { readonly op: 'threadClevis'; readonly clevis: ItemId; readonly hung: ItemId | null }
  | { readonly op: 'threadLeg'; readonly clevis: ItemId; readonly which: 'lower' | 'upper' }
  | { readonly op: 'hangOnClevis'; readonly clevis: ItemId; readonly item: ItemId }
  | { readonly op: 'cutTubes'; readonly items: readonly ItemId[] }
  | { readonly op: 'shrinkTube'; readonly item: ItemId }
  | { readonly op: 'slideUp'; readonly item: ItemId }
  /** A ring opened once: for what it carries, and where `isHung` for what it hangs from. */
  | { readonly op: 'hangByRing'; readonly ring: ItemId; readonly items: readonly ItemId[]; readonly isHung: boolean }
  | { readonly op: 'hangByEye'; readonly hook: ItemId }
  | { readonly op: 'hangOnSnap'; readonly snap: ItemId; readonly item: ItemId }
  | { readonly op: 'ringOverTie'; readonly ring: ItemId }
  | { readonly op: 'tieDressing'; readonly item: ItemId; readonly hook: ItemId }
  | { readonly op: 'lashKeeper'; readonly item: ItemId; readonly hook: ItemId }
  | { readonly op: 'pinchBarb'; readonly hook: ItemId }
  | { readonly op: 'foldFilm'; readonly item: ItemId }
  | { readonly op: 'fixRivet'; readonly item: ItemId }
  | { readonly op: 'bendToTick'; readonly blade: ItemId }
  | { readonly op: 'pullLayers'; readonly skirt: ItemId; readonly layers: readonly ItemId[] }
  | { readonly op: 'fitSkirt'; readonly skirt: ItemId }
  | { readonly op: 'lockSkirt'; readonly item: ItemId; readonly skirt: ItemId }
  | { readonly op: 'thinTips'; readonly skirt: ItemId }
  | { readonly op: 'cutTrailer'; readonly item: ItemId }
  | { readonly op: 'pushTrailer'; readonly item: ItemId; readonly hook: ItemId }
  /** The point of the hook pressed into the back of the soft body on it. */
  | { readonly op: 'buryPoint'; readonly item: ItemId; readonly hook: ItemId }
  | { readonly op: 'hangStinger'; readonly hook: ItemId; readonly on: ItemId }
  /** A disc over the point of a hook, before what hangs in its bend. */
  | { readonly op: 'keepStinger'; readonly item: ItemId; readonly hook: ItemId }
  /** A braid link looped through the eye of the hook before it, the hook behind tied to it. */
  | { readonly op: 'tieLink'; readonly item: ItemId; readonly hook: ItemId; readonly holding: readonly ItemId[] }
  /** A bait threaded on a hook, and on those behind it. */
  | { readonly op: 'threadBait'; readonly item: ItemId; readonly hook: ItemId }
  /** A cork or a piece of tube over a point that came on early. */
  | { readonly op: 'capPoint'; readonly hook: ItemId };

export type Op = Operation['op'];
export type OperationOf<O extends Op> = Extract<Operation, { op: O }>;

/** What these are done to is on the hook already, or in the other hand. */
const ON_A_HOOK: ReadonlySet<Op> = new Set<Op>([
  'tieDressing',
  'lashKeeper',
  'pushTrailer',
  'buryPoint',
  'keepStinger',
  'tieLink',
  'threadBait',
]);

/** The items an operation puts on or works at, the one it is about first. */
export function itemsOf(operation: Operation): ItemId[] {
  const named: Named = operation as object;
  const isOnIt = ON_A_HOOK.has(operation.op);
  return [
    named.ring,
    named.item,
    ...(named.items ?? []),
    operation.op === 'hangOnClevis' ? null : named.clevis,
    named.hung,
    named.head,
    isOnIt ? null : named.hook,
    named.blade,
    operation.op === 'lockSkirt' ? null : named.skirt,
    ...(named.layers ?? []),
    ...(named.holding ?? []),
    ...(named.eyes ?? []),
  ].filter((id): id is ItemId => id !== undefined && id !== null);
}

type Named = Partial<Record<'item' | 'clevis' | 'ring' | 'skirt' | 'head' | 'blade' | 'hook' | 'hung', ItemId | null>> &
  Partial<Record<'items' | 'holding' | 'layers' | 'eyes', readonly ItemId[]>>;

/** A name that stays the same for one build, whatever the order: work is kept under it. */
export function operationId(operation: Operation): string {
  const which =
    'which' in operation
      ? ` ${operation.which}`
      : 'end' in operation && operation.end !== null
        ? ` ${operation.end}`
        : operation.op === 'joinBehind'
          ? ` ${operation.behind}`
          : '';
  return `${operation.op}${which} ${itemsOf(operation).join(' ')}`.trim();
}
