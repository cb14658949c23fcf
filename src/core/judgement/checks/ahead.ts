/** A blade on a line ahead of a lure: what is left between them, and what it does to a diver. */
import type { Layout } from '../../geometry/layout';
import { spinSeats } from '../../geometry/seats';
import type { Edit } from '../../lure/edit';
import { FIRST_CARRIER, type Build } from '../../lure/lure';
import { carrierOfLine } from '../../geometry/placed';
import { lureBehind } from '../../lure/tie-behind';
import { usualSpreadRad } from '../../parts/blade-pattern';
import { bladeReach } from '../../parts/outline';
import { stateOf } from '../../lure/item-state';
import { noRepairs, type Finding, type Repair } from '../finding';

/** A gap set anew leaves so much behind the tip of the blade as it lies back. Trade estimate. */
const LEFT_BEHIND_M = 0.015;
/** Line that is put on where a longer gap needs it. */
const LINE_STEP_M = 0.05;

/** Of a line with a lure tied behind it; nothing of others. */
export function aheadFindings(build: Build, layout: Layout): Finding[] {
  const behind = lureBehind(build);
  const lure = layout.carriers.find(({ id }) => id === behind);
  if (build.carrier.kind !== 'line' || !lure) return [];
  const seats = spinSeats(build, layout).filter(({ line }) => carrierOfLine(line) === FIRST_CARRIER);
  const last = seats.at(-1);
  if (!last) return [];
  const { item, blade, holeM } = last;
  const aheadM = lure.fromM - holeM;
  const reachM = bladeReach(blade);
  const turningM = aheadM - reachM * Math.cos(usualSpreadRad(blade.pattern));
  const lyingM = aheadM - reachM;
  const isLost = turningM < 0;
  const isNear = lyingM < 0;
  const gap: Finding = {
    code: 'gapAhead',
    key: `gapAhead ${item.id}`,
    severity: isLost ? 'fault' : isNear ? 'caution' : 'good',
    items: [item.id],
    leftM: isLost ? turningM : lyingM,
    repairs: isNear ? () => slideStop(build, layout, LEFT_BEHIND_M - lyingM) : noRepairs,
  };
  const isDiver = lure.carrier.kind === 'body' && lure.carrier.wire.lipLengthM > 0;
  return isDiver
    ? [
        gap,
        {
          code: 'bladeAheadOfDiver',
          key: `bladeAheadOfDiver ${item.id}`,
          severity: 'good',
          items: [item.id],
          aheadM,
          repairs: noRepairs,
        },
      ]
    : [gap];
}

/** The last stop slid so much further ahead, the line longer where that takes more than there is. */
function slideStop({ carrier }: Build, { strand, shaft, stackM }: Layout, byM: number): Repair[] {
  const stop = strand.findLast(({ item }) => item.part.kind === 'stop')?.item;
  if (!stop || carrier.kind !== 'line') return [];
  const state = stateOf(stop, 'stop');
  const toM = Math.ceil((state.behindM + byM) * 1000) / 1000;
  const roomM = shaft.x1M - shaft.x0M - stackM - (toM - state.behindM);
  const longer: Edit[] =
    roomM < 0
      ? [{ kind: 'carrier', changes: { lengthM: Math.ceil((carrier.lengthM - roomM) / LINE_STEP_M) * LINE_STEP_M } }]
      : [];
  return [
    {
      code: 'slideStop',
      toM,
      edits: [...longer, { kind: 'adjust', item: stop.id, changes: { state: { ...state, behindM: toM } } }],
    },
  ];
}
