/** Room for a clevis to turn, what lies inside it, and what it bears on. */
import type { MaterialId } from '../../parts/material';
import type { Part } from '../../parts/part';
import { behindOf } from '../../in-water/bearing';
import { strandIndexes, threadParts } from '../../lure/editing';
import { noRepairs, type Finding, type Repair } from '../finding';
import { carrierRoom } from '../../carriers/carrier';
import type { Layout } from '../../geometry/layout';
import type { PlacedClevis } from '../../geometry/placed';
import type { Build, ItemId } from '../../lure/lure';
import { beadToAdd } from './blades';

/** Play a clevis needs to turn without binding, and what is usually left. Trade estimates. */
export const LEAST_ROOM_M = 0.0005;
export const USUAL_ROOM_M = 0.0015;

/** Of each clevis on this carrier. @param spare beads that a repair may reach for */
export function clevisFindings(build: Build, layout: Layout, spare: readonly Part[]): Finding[] {
  return [
    ...layout.clevises.flatMap((clevis) => [...room(build, layout, clevis), ...empty(layout, clevis)]),
    ...turning(layout).flatMap((item) => guard(build, layout, item, spare)),
  ];
}

/** What takes a blade's drag on the wire: clevises that carry one, and films. */
function turning(layout: Layout): ItemId[] {
  const clevises = layout.clevises.filter(({ item }) => layout.off.some(({ parent }) => parent === item.id));
  const films = layout.strand.filter(({ item }) => item.part.kind === 'filmBlade');
  return [...clevises, ...films].map(({ item }) => item.id);
}

function room({ carrier }: Build, { freeRoom }: Layout, { item, clevis, insideM }: PlacedClevis): Finding[] {
  const roomM = freeRoom.x1M - freeRoom.x0M;
  // Loops are rolled with the play wanted; an arm is as long as it was bent, and what is on it too long for it is told of the arm.
  const { isAsLongAsItsStack, isLimp } = carrierRoom(carrier);
  if (!isAsLongAsItsStack && !isLimp && roomM < LEAST_ROOM_M) return [];
  const isTight = roomM < LEAST_ROOM_M;
  const play: Finding = {
    code: 'clevisRoom',
    key: `clevisRoom ${item.id}`,
    severity: isTight ? 'fault' : 'good',
    items: [item.id],
    roomM,
    wantedM: LEAST_ROOM_M,
    repairs: isTight
      ? () => [
          {
            code: 'setFreeRoom',
            toM: USUAL_ROOM_M,
            edits: [{ kind: 'carrier', changes: { freeRoomM: USUAL_ROOM_M } }],
          },
        ]
      : noRepairs,
  };
  // On a line it has all the room there is.
  const plays = isLimp ? [] : [play];
  if (insideM <= clevis.legGapM) return plays;
  return [
    ...plays,
    {
      code: 'crowdedClevis',
      key: `crowdedClevis ${item.id}`,
      severity: 'fault',
      items: [item.id],
      insideM,
      gapM: clevis.legGapM,
      repairs: noRepairs,
    },
  ];
}

function empty(layout: Layout, { item }: PlacedClevis): Finding[] {
  if (layout.off.some(({ parent }) => parent === item.id)) return [];
  return [
    { code: 'emptyClevis', key: `emptyClevis ${item.id}`, severity: 'caution', items: [item.id], repairs: noRepairs },
  ];
}

function guard(build: Build, layout: Layout, item: ItemId, spare: readonly Part[]): Finding[] {
  const bearsOn = roughness(behindOf(layout, item), carrierRoom(build.carrier).isLimp);
  if (!bearsOn) return [];
  const repairs = (): readonly Repair[] => {
    const last = strandIndexes(build, item).at(-1);
    const part = beadToAdd(layout, spare);
    if (last === undefined || !part) return [];
    return [{ code: 'addBeads', count: 1, part, edits: [threadParts(build, part, last + 1)] }];
  };
  return [{ code: 'missingGuard', key: `missingGuard ${item}`, severity: 'caution', items: [item], bearsOn, repairs }];
}

/** Cut from tube or spun from sheet, with its edge towards the clevis: a leg or a blade's root catches on it. */
function hasSharpRim({ kind, material }: Part): boolean {
  return (kind === 'sleeve' || kind === 'bell' || kind === 'cap') && !SOFT_EDGED.has(material);
}

/** Tube of these is cut without a burr. */
const SOFT_EDGED: ReadonlySet<MaterialId> = new Set<MaterialId>([
  'plastic',
  'polyolefin',
  'polyester',
  'silicone',
  'rubber',
]);

function roughness(behind: Part | null, isOnLine: boolean) {
  if (behind === null) return isOnLine ? 'lineKnot' : 'wraps';
  if (behind.kind === 'hook') return 'snell';
  if (behind.kind === 'dressing') return 'thread';
  if (behind.kind === 'shrinkTube') return 'tube';
  if (behind.kind === 'splitRing') return 'split';
  if (behind.kind === 'softWire') return 'knot';
  if (hasSharpRim(behind)) return 'rim';
  return behind.material === 'lead' ? 'lead' : null;
}
