/** The blades that turn: those whose chain leads to a clevis on the wire, nose first. */
import type { Blade } from '../parts/part';
import type { Bearing } from '../hydro/spin';
import { GOOD_CLEVIS_BEARING } from '../hydro/spin';
import { layOut, type Layout, type PlacedClevis } from './layout';
import type { Build, Item, ItemId } from './lure';

export interface SpinSeat {
  readonly item: Item;
  readonly blade: Blade;
  readonly clevis: PlacedClevis;
  readonly bearing: Bearing;
  /** Axial place of the blade's hole, m. */
  readonly holeM: number;
  /** Axle to hole, m. */
  readonly dropM: number;
}

export function spinSeats(build: Build, layout: Layout = layOut(build)): SpinSeat[] {
  return layout.off
    .flatMap(({ item, pivotM, offAxisM }) => {
      const clevisId = clevisAbove(build, item);
      const clevis = layout.clevises.find((each) => each.item.id === clevisId);
      if (item.part.kind !== 'blade' || !clevis) return [];
      return [
        {
          item,
          blade: item.part,
          clevis,
          holeM: pivotM,
          dropM: offAxisM,
          bearing: {
            ...GOOD_CLEVIS_BEARING,
            dropM: offAxisM,
            wireRadiusM: layout.wireDiameterM / 2,
            faceRadiusM: clevis.clevis.boreM / 2 + clevis.clevis.legThicknessM,
          },
        },
      ];
    })
    .sort((a, b) => a.holeM - b.holeM);
}

function clevisAbove(build: Build, item: Item): ItemId | null {
  if (item.part.kind === 'clevis') return item.id;
  if (item.seat.on !== 'item') return null;
  const parent = build.items[item.seat.item];
  return parent ? clevisAbove(build, parent) : null;
}
