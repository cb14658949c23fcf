/** The string as it is shown: what is moved as one is one unit, in threading order, with what hangs behind what holds it. */
import { carrierRoom } from '@/core/carriers/carrier';
import { oncePer } from '@/core/once';
import { legsTogether } from '@/core/lure/editing';
import {
  childrenOf,
  itemOf,
  spotOf,
  type Build,
  type Holder,
  type Item,
  type Joined,
  type Leg,
  type SpotKind,
} from '@/core/lure/lure';
import { joinedTo } from '@/core/lure/strung';
import { hasTie } from '@/core/lure/structure';
import type { Pick } from '@/drawing/drawn-things';

export interface StringUnit {
  readonly key: string;
  readonly pick: Pick;
  readonly item: Item | null;
  /** The end, line tie or body that this is; null for parts. */
  readonly end: SpotKind | null;
  /** A clevis leg on its own; null for whole things. */
  readonly leg: Leg | null;
  /** Place on the strand and how many entries move together; null for what is not threaded. */
  readonly strand: { readonly from: number; readonly length: number } | null;
  /** Hangs on, is tied to or slid over the unit before it. */
  readonly isHeld: boolean;
}

export const stringUnits = oncePer((build: Build): readonly StringUnit[] => {
  const held = (parent: Holder): StringUnit[] =>
    childrenOf(build, parent)
      .flatMap((item): StringUnit[] => [
        { key: item.id, pick: item.id, item, end: null, leg: null, strand: null, isHeld: true },
        ...held(item.id),
      ])
      .concat(joinedTo(build, parent).flatMap(onJoined));
  /** What is on a joined carrier comes with what holds that. */
  const onJoined = ({ id, strand }: Joined): StringUnit[] => [
    ...held(spotOf(id, 'nose')),
    ...[...new Set(strand.map(({ item }) => item))].flatMap((item) => [
      { key: item, pick: item, item: itemOf(build, item), end: null, leg: null, strand: null, isHeld: true },
      ...held(item),
    ]),
    ...held(spotOf(id, 'tie')),
    ...held(spotOf(id, 'body')),
    ...held(spotOf(id, 'tail')),
  ];
  const end = (pick: SpotKind): StringUnit => ({
    key: pick,
    pick,
    item: null,
    end: pick,
    leg: null,
    strand: null,
    isHeld: false,
  });
  const threaded = build.strand.flatMap((entry, index): StringUnit[] => {
    const item = itemOf(build, entry.item);
    const together = entry.leg !== null && legsTogether(build, item.id);
    if (together && entry.leg === 'aft') return [];
    const unit: StringUnit = {
      key: entry.leg === null || together ? item.id : `${item.id} ${entry.leg}`,
      pick: item.id,
      item,
      end: null,
      leg: together ? null : entry.leg,
      strand: { from: index, length: together ? 2 : 1 },
      isHeld: false,
    };
    return entry.leg === 'aft' ? [unit] : [unit, ...held(item.id)];
  });
  const tie = hasTie(build.carrier) ? [end('tie'), ...held('tie')] : [];
  const body = carrierRoom(build.carrier).hasEyes ? [end('body'), ...held('body')] : [];
  return [end('nose'), ...held('nose'), ...tie, ...body, ...threaded, end('tail'), ...held('tail')];
});
