/** Skirts and trailers: strands and a kicking tail, how the trailer is threaded, what stands before the hook's point, what keeps a stinger. */
import type { Trailer } from '../../parts/kinds/trailer';
import type { Edit } from '../../lure/edit';
import { seatPart } from '../../lure/editing';
import { noRepairs, type Finding, type Repair } from '../finding';
import { stateOf } from '../../lure/item-state';
import { coveredPoint } from '../../geometry/covered-point';
import { softHalfM } from '../../parts/soft-form';
import type { ItemState, Part } from '../../parts/part';
import type { Layout } from '../../geometry/layout';
import type { PlacedOff } from '../../geometry/placed';
import { childrenOf, itemOf, type Build, type Item } from '../../lure/lure';
import { skirtOn } from '../../geometry/skirt-on';

/** A trailer as thick as this many collars pushes the strands out. Trade estimate. */
const BALLOONS_ABOVE = 1.25;
/** A trailer threaded off by more than this rolls the lure. Trade estimate. */
const MOST_CROOKED_RAD = (2 * Math.PI) / 180;
/** Strands may lie over the first of a kicking tail by this much. Trade estimate. */
const STRANDS_OVER_M = 0.003;
const LEAST_COLLAR_SHARE = 0.1;

/** Of skirts, trailers and stingers; nothing of a lure without them. @param spare parts that a repair may reach for */
export function softFindings(build: Build, layout: Layout, spare: readonly Part[]): Finding[] {
  const skirts = layout.off.filter(({ item }) => item.part.kind === 'skirt');
  const trailers = layout.off.filter(({ item }) => item.part.kind === 'trailer');
  return [
    ...skirts.flatMap(({ item }) => sides(build, item)),
    ...trailers.flatMap((placed) => trailerFindings(build, layout, placed, skirts[0] ?? null)),
    ...layout.off.flatMap(({ item }) => stingerFindings(build, item, spare)),
  ];
}

/** Discs offered at most. */
const MOST_DISCS = 2;

function stingerFindings(build: Build, { id, part, seat }: Item, spare: readonly Part[]): Finding[] {
  if (part.kind !== 'hook' || seat.on !== 'item') return [];
  const main = itemOf(build, seat.item);
  if (main.part.kind !== 'hook') return [];
  const isKept = childrenOf(build, main.id).some((each) => each.part.kind === 'hookDisc');
  const onPoint = { on: 'item', item: main.id, how: 'kept' } as const;
  return [
    {
      code: 'stingerKept',
      key: `stingerKept ${id}`,
      severity: isKept ? 'good' : 'caution',
      items: [id, main.id],
      repairs: isKept
        ? noRepairs
        : () =>
            spare
              .filter(({ kind }) => kind === 'hookDisc')
              .slice(0, MOST_DISCS)
              .map((disc): Repair => ({ code: 'putOn', part: disc, edits: [seatPart(build, disc, onPoint)] })),
    },
  ];
}

function sides(build: Build, item: Item): Finding[] {
  const { groups, toNoseM, toTailM, longSide } = skirtOn(build, item);
  const base = { severity: 'good', items: [item.id], repairs: noRepairs } as const;
  if (groups.length === 0) {
    return [{ ...base, code: 'skirtWithoutLayers', key: `skirtWithoutLayers ${item.id}`, severity: 'caution' }];
  }
  return [{ ...base, code: 'skirtSides', key: `skirtSides ${item.id}`, toNoseM, toTailM, longSide }];
}

function trailerFindings(build: Build, layout: Layout, placed: PlacedOff, skirt: PlacedOff | null): Finding[] {
  const { item } = placed;
  const { part } = item;
  if (part.kind !== 'trailer') return [];
  const state = stateOf(item, 'trailer');
  const base = { items: [item.id], repairs: noRepairs } as const;
  const isCrooked = state.crookedRad > MOST_CROOKED_RAD;
  return [
    {
      ...base,
      code: 'trailerStraight',
      key: `trailerStraight ${item.id}`,
      severity: isCrooked ? 'caution' : 'good',
      crookedRad: state.crookedRad,
      repairs: isCrooked
        ? () => [{ code: 'threadStraight', edits: [set(item, { ...state, crookedRad: 0 })] }]
        : noRepairs,
    },
    ...buried(layout, placed, part),
    ...overhang(layout, placed, part),
    ...blunt(item, part, skirt),
    ...claw(item, part),
    ...(skirt ? strands(build, placed, part, skirt) : []),
  ];
}

/** A back pushed up by more than this, of its height, no longer lies straight. Trade estimate. */
const PUSHED_UP_SHARE = 0.5;

/** A point under the skin of the back passes weed; one that ends deep within hardly comes out at the strike. */
function buried(layout: Layout, placed: PlacedOff, part: Trailer): Finding[] {
  const { item } = placed;
  const point = coveredPoint(layout, placed);
  if (!point) return [];
  const aboveM = point.upM - softHalfM(part, point.atM + stateOf(item, 'trailer').cutM);
  return [
    {
      code: 'pointBuried',
      key: `pointBuried ${item.id}`,
      severity: aboveM < 0 || aboveM > PUSHED_UP_SHARE * part.bodyM ? 'caution' : 'good',
      items: [item.id, point.hook],
      aboveM,
      repairs: noRepairs,
    },
  ];
}

/** How much of the trailer swims behind the bend of the hook: for information, a fault only when none does. */
function overhang(layout: Layout, { item, x0M, x1M, parent }: PlacedOff, part: Trailer): Finding[] {
  const hook = layout.off.find((each) => each.item.id === parent);
  if (!hook) return [];
  const behindBendM = x1M - hook.x1M;
  return [
    {
      code: 'trailerOverhang',
      key: `trailerOverhang ${item.id}`,
      severity: behindBendM > part.lengthM - part.kicksFromM - STRANDS_OVER_M || behindBendM > 0 ? 'good' : 'caution',
      items: [item.id],
      behindBendM,
      ofLengthM: x1M - x0M,
      repairs: noRepairs,
    },
  ];
}

function blunt(item: Item, part: Trailer, skirt: PlacedOff | null): Finding[] {
  const state = stateOf(item, 'trailer');
  // Cut short it is as blunt as it is thick, however it was moulded.
  const isBlunt = (part.head === 'blunt' || state.cutM > 0) && !state.rounded;
  if (skirt?.item.part.kind !== 'skirt' || !isBlunt) return [];
  const collarM = skirt.item.part.collarDiameterM;
  if (part.bodyM <= collarM * BALLOONS_ABOVE) return [];
  return [
    {
      code: 'bluntTrailer',
      key: `bluntTrailer ${item.id}`,
      severity: 'caution',
      items: [item.id],
      bodyM: part.bodyM,
      collarM,
      repairs: () => [{ code: 'roundTrailer', edits: [set(item, { ...state, rounded: true })] }],
    },
  ];
}

function claw({ id, flipped }: Item, { style }: Trailer): Finding[] {
  if (style !== 'claw' || !flipped) return [];
  const edits: Edit[] = [{ kind: 'adjust', item: id, changes: { flipped: false } }];
  return [
    {
      code: 'clawAtPoint',
      key: `clawAtPoint ${id}`,
      severity: 'caution',
      items: [id],
      repairs: () => [{ code: 'turnClaw', edits }],
    },
  ];
}

/** Strands that lie over the part that kicks hold it still. */
function strands(build: Build, placed: PlacedOff, part: Trailer, skirt: PlacedOff): Finding[] {
  const form = skirtOn(build, skirt.item);
  const { cutM } = stateOf(placed.item, 'trailer');
  const strandsM = skirt.x1M + form.toTailM;
  const kicksFromM = placed.x0M + part.kicksFromM - cutM;
  if (strandsM <= kicksFromM + STRANDS_OVER_M || form.isThinned || form.groups.length === 0) return [];
  const skirtState = stateOf(skirt.item, 'skirt');
  const tailM = kicksFromM - skirt.x1M;
  const whole = form.toNoseM + form.toTailM;
  // The long side turned to the nose, or the tips thinned, frees the tail.
  const toShare = Math.max(LEAST_COLLAR_SHARE, 1 - tailM / whole);
  const repairs =
    toShare <= 0.5
      ? [{ code: 'moveCollar', toShare, edits: [set(skirt.item, { ...skirtState, collarAt: toShare })] } as const]
      : [];
  return [
    {
      code: 'strandsFoulTail',
      key: `strandsFoulTail ${placed.item.id}`,
      severity: 'caution',
      items: [placed.item.id, skirt.item.id],
      strandsM,
      kicksFromM,
      repairs: () => [...repairs, { code: 'thinTips', edits: [set(skirt.item, { ...skirtState, tips: 'thinned' })] }],
    },
  ];
}

function set({ id }: Item, state: ItemState): Edit {
  return { kind: 'adjust', item: id, changes: { state } };
}
