/** Delta blades: on the head or clear of it, what they run against, and the hands of a pair. */
import { deltaOutline, headTouch } from '../../geometry/blade-on-head';
import { CLEAR_MARGIN_M, hookInPlane } from '../../geometry/clearance';
import { applyEdits, type Edit } from '../../lure/edit';
import { noRepairs, type Finding, type Repair } from '../finding';
import { stateOf } from '../../lure/item-state';
import { laidWith, layOut, trailingHooks, type Layout } from '../../geometry/layout';
import { lineKind } from '../../geometry/placed';
import type { Lure } from '../../lure/lure';
import type { BentWire } from '../../carriers/bent-wire';
import { lineToOutline } from '../../geometry/plane';
import { deltaSeats, type DeltaSeat } from '../../geometry/seats';

/** How far, and in how many steps, the bend that makes it tick is looked for. */
const BEND_STEPS = 20;
const MOST_BEND_RAD = 0.7;

/** Of lures with a delta blade; nothing of others. */
export function buzzFindings(lure: Lure, layout: Layout): Finding[] {
  const seats = deltaSeats(layout);
  return [
    ...seats.flatMap((seat) => onHead(lure, layout, seat)),
    ...seats.flatMap((seat) => onHooks(layout, seat)),
    ...seats.flatMap((seat) => runsAgainst(layout, seat)),
    ...pairs(seats),
  ];
}

function onHead(lure: Lure, layout: Layout, seat: DeltaSeat): Finding[] {
  const met = headTouch(layout, seat);
  if (!met) return [];
  const { head, clearanceM, touch } = met;
  const { clacks: wanted } = stateOf(seat.item, 'deltaBlade');
  const items = [seat.item.id, head.id];
  if (wanted && touch === 'ticking') {
    return [
      {
        code: 'intendedContact',
        key: `intendedContact ${items.join(' ')}`,
        severity: 'good',
        items,
        between: 'bladeAndHead',
        repairs: noRepairs,
      },
    ];
  }
  const isWrong = touch === 'dragging' || wanted || touch === 'ticking';
  return [
    {
      code: 'bladeAgainstHead',
      key: `bladeAgainstHead ${seat.item.id}`,
      severity: touch === 'dragging' ? 'fault' : isWrong ? 'caution' : 'good',
      items,
      touch,
      wanted,
      clearanceM,
      repairs: isWrong ? () => bendUntil(lure, seat, wanted ? 0 : CLEAR_MARGIN_M) : noRepairs,
    },
  ];
}

/** The arm bent, at whichever bend asks for the least, until the blade stands this far from the head. */
function bendUntil(lure: Lure, seat: DeltaSeat, wantedM: number): Repair[] {
  const { carrier } = lure.build;
  if (carrier.kind !== 'bentWire') return [];
  const found = carrier.sections.flatMap(({ section }, index) => {
    const angleRad = section === 'bend' ? leastBend(lure, carrier, index, seat, wantedM) : null;
    return angleRad === null ? [] : [{ index, angleRad }];
  });
  const [least] = found.sort((a, b) => Math.abs(a.angleRad) - Math.abs(b.angleRad));
  if (!least) return [];
  return [{ code: 'bendArm', angleRad: least.angleRad, edits: bentBy(carrier, least.index, least.angleRad) }];
}

/** How far this bend must be bent on for the wanted clearance; null when it cannot give it. */
function leastBend(lure: Lure, carrier: BentWire, index: number, seat: DeltaSeat, wantedM: number): number | null {
  const clearanceAt = (angleRad: number) => {
    const tried = applyEdits(lure, bentBy(carrier, index, angleRad));
    const layout = tried.ok ? layOut(tried.lure.build) : null;
    const there = layout ? deltaSeats(layout).find(({ item }) => item.id === seat.item.id) : undefined;
    return layout && there ? (headTouch(layout, there)?.clearanceM ?? Infinity) : Infinity;
  };
  const sense = Math.sign(wantedM - clearanceAt(0)) || 1;
  const isBefore = (angleRad: number) => (wantedM - clearanceAt(angleRad)) * sense > 0;
  // Towards the head or away from it: which way is which depends on the form, so both are looked along.
  const stepRad = MOST_BEND_RAD / BEND_STEPS;
  for (let step = 1; step <= BEND_STEPS; step++) {
    for (const way of [1, -1]) {
      const far = way * step * stepRad;
      if (!isBefore(far)) return halved(far - way * stepRad, far, isBefore);
    }
  }
  return null;
}

/** Bisects to where the state changes; `isBefore` holds at `from` and not at `to`. */
function halved(from: number, to: number, isBefore: (angleRad: number) => boolean): number {
  let [near, far] = [from, to];
  for (let round = 0; round < 20; round++) {
    const middle = (near + far) / 2;
    if (isBefore(middle)) near = middle;
    else far = middle;
  }
  return far;
}

function bentBy({ sections }: BentWire, index: number, angleRad: number): Edit[] {
  const bent = sections.map((each, i) =>
    i === index && each.section === 'bend' ? { ...each, angleRad: each.angleRad + angleRad } : each,
  );
  return [{ kind: 'carrier', changes: { sections: bent } }];
}

function onHooks(layout: Layout, seat: DeltaSeat): Finding[] {
  const outline = deltaOutline(layout, seat);
  return trailingHooks(layout)
    .filter(({ line }) => lineKind(line) === 'head')
    .map((hook): Finding => {
      const clearanceM = lineToOutline(hookInPlane(layout, hook), outline);
      return {
        code: 'bladeAgainstHook',
        key: `bladeAgainstHook turning ${seat.item.id} ${hook.item.id}`,
        severity: clearanceM < 0 ? 'fault' : clearanceM < CLEAR_MARGIN_M ? 'caution' : 'good',
        items: [seat.item.id, hook.item.id],
        posture: 'turning',
        clearanceM,
        wantedM: CLEAR_MARGIN_M,
        isHeldByTube: false,
        repairs: noRepairs,
      };
    });
}

/** A delta blade is driven back against what stands behind it. */
function runsAgainst(layout: Layout, seat: DeltaSeat): Finding[] {
  const behind = laidWith(layout, seat.item.id).strand[seat.index + 1]?.item ?? null;
  if (behind?.part.kind === 'rivet') {
    const { fixing } = stateOf(behind, 'rivet');
    return [
      {
        code: 'rivet',
        key: `rivet ${behind.id}`,
        severity: 'good',
        items: [behind.id, seat.item.id],
        fixing,
        repairs: noRepairs,
      },
    ];
  }
  // Another blade of a pair may run against the first: only the last needs a stop.
  if (behind) return [];
  return [
    {
      code: 'rivetMissing',
      key: `rivetMissing ${seat.item.id}`,
      severity: 'caution',
      items: [seat.item.id],
      repairs: noRepairs,
    },
  ];
}

function pairs(seats: readonly DeltaSeat[]): Finding[] {
  return seats.slice(1).flatMap((rear, i): Finding[] => {
    const front = seats[i];
    if (!front) return [];
    const isOpposed = front.blade.hand !== rear.blade.hand;
    return [
      {
        code: 'counterTurning',
        key: `counterTurning ${rear.item.id}`,
        severity: isOpposed ? 'good' : 'fault',
        items: [front.item.id, rear.item.id],
        isOpposed,
        repairs: noRepairs,
      },
    ];
  });
}
