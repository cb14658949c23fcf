/** What has to lie on the table before the first step. */
import { isMouldedEye } from '../parts/kinds/screw-eye';
import { oncePer } from '../once';
import { isSame } from '../same';
import { carrierRoom } from '../carriers/carrier';
import { cutLengths } from '../lengths/lengths';
import { itemOf, type Build, type Item, type ItemId } from '../lure/lure';
import type { Part } from '../parts/part';
import type { Supply, Tool } from './operation-rule';
import type { MakeStep } from './plan';

export interface Kit {
  /** In the order in which they are first needed. */
  readonly tools: readonly Tool[];
  readonly supplies: readonly Supply[];
  readonly parts: readonly KitPart[];
}

/** Equal parts that are needed one after the other. */
export interface KitPart {
  readonly part: Part;
  readonly items: readonly ItemId[];
  /** The step that takes the first of them, from 0. */
  readonly step: number;
  /** What each of them is cut to, m; null for what comes as it is. */
  readonly cutM: number | null;
}

/** Everything that has to lie ready for these steps, counted, lengths in m. */
export function kitFor(steps: readonly MakeStep[]): Kit {
  return {
    tools: [...new Set(steps.flatMap(({ tools }) => tools))],
    supplies: [...new Set(steps.flatMap(({ supplies }) => supplies))],
    parts: partsInOrder(steps),
  };
}

function partsInOrder(steps: readonly MakeStep[]): KitPart[] {
  const cutsOf = oncePer((build: Build) => cutLengths(build).filter(({ of }) => of !== 'skirtLayer'));
  const seen = new Set<ItemId>();
  const parts: KitPart[] = [];
  steps.forEach(({ operation, items, piece: { build } }, step) => {
    const isBought = !carrierRoom(build.carrier).isCut(build.carrier);
    const cuts = cutsOf(build);
    if (operation.op === 'takeBody') parts.push({ part: build.carrier.wire, items: [], step, cutM: null });
    if (operation.op === 'cutWire' || operation.op === 'cutLine') {
      const cutM = cuts.find(({ of }) => of === 'wire')?.cutM ?? null;
      parts.push({ part: build.carrier.wire, items: [], step, cutM });
    }
    const hooked = operation.op === 'tieDressing' || operation.op === 'lashKeeper' ? [...items, operation.hook] : items;
    for (const id of hooked) {
      if (seen.has(id)) continue;
      seen.add(id);
      const item = itemOf(build, id);
      // The head of a bought frame is on it, with its hook.
      if (isBought && isOnFrame(build, item)) continue;
      // Nor is an eye that is moulded into its body taken up.
      if (isMouldedEye(item.part)) continue;
      const cutM = cuts.find((cut) => cut.item?.id === id)?.cutM ?? null;
      const last = parts.at(-1);
      if (last && last.items.length > 0 && last.cutM === cutM && isSame(last.part, item.part))
        parts[parts.length - 1] = { ...last, items: [...last.items, id] };
      else parts.push({ part: item.part, items: [id], step, cutM });
    }
  });
  return parts;
}

function isOnFrame(build: Build, { part, seat }: Item): boolean {
  if (part.kind === 'head') return true;
  return seat.on === 'item' && seat.how === 'moulded' && itemOf(build, seat.item).part.kind === 'head';
}
