/** Carriers joined to others, for lures of several. */
import { itemId, part } from '@/testing/lures';
import { partsOfKind } from '@/core/parts/catalogue';
import type { Part } from '@/core/parts/part';
import type { Carrier } from '@/core/carriers/carrier';
import type { StraightWire } from '@/core/carriers/straight-wire';
import type { Edit } from '@/core/lure/edit';
import { usualState } from '@/core/lure/item-state';
import {
  carrierIdSchema,
  USUAL_LOOP,
  type CarrierId,
  type Item,
  type ItemId,
  type Joint,
  type Lure,
  type Seat,
  type StrandEntry,
} from '@/core/lure/lure';

export function fail(message: string): never {
  throw new Error(message);
}

export const WIRE = partsOfKind('wire')[0] ?? fail('the catalogue has wire');

export const id = (text: string) => carrierIdSchema.parse(text);

export function straight(freeRoomM = 0.0015): StraightWire {
  return { kind: 'straightWire', wire: WIRE, nose: USUAL_LOOP, tail: USUAL_LOOP, freeRoomM };
}

export interface Wanted {
  readonly carrier: Carrier;
  readonly threaded: readonly Part[];
  /** Hung on its tail, one on the other. */
  readonly hung: readonly Part[];
}

/** The edit that joins a carrier with what is on it, and the ids of what hangs at its tail. */
export function joining(lure: Lure, name: CarrierId, joint: Joint, { carrier, threaded, hung }: Wanted) {
  const taken = new Set(Object.keys(lure.build.items));
  const item = (each: Part, seat: Seat): Item => {
    let n = 1;
    while (taken.has(`${each.kind}-${n}`)) n++;
    taken.add(`${each.kind}-${n}`);
    const role = each.kind === 'hook' ? 'tail hook' : null;
    return { id: itemId(`${each.kind}-${n}`), part: each, seat, role, flipped: false, state: usualState(each) };
  };
  const items: Item[] = [];
  const strand = threaded.flatMap((each): StrandEntry[] => {
    const made = item(each, { on: 'strand' });
    items.push(made);
    if (each.kind !== 'clevis') return [{ item: made.id, leg: null }];
    items.push(item(part('blade-french-k1'), { on: 'item', item: made.id, how: 'hung' }));
    return [
      { item: made.id, leg: 'fore' },
      { item: made.id, leg: 'aft' },
    ];
  });
  const tail: ItemId[] = [];
  for (const each of hung) {
    const above = tail.at(-1);
    const made = item(
      each,
      above ? { on: 'item', item: above, how: 'hung' } : { on: 'end', carrier: name, end: 'tail' },
    );
    items.push(made);
    tail.push(made.id);
  }
  const joined = [{ index: lure.build.joined.length, joined: { id: name, joint, carrier, strand } }];
  const edit: Edit = { kind: 'insert', items, entries: [], joined };
  return { edit, tail };
}
