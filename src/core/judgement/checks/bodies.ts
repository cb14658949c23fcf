/** Of hard baits and soft bodies with a blade: what swings, what floats, what knocks, what is in the way. */
import { nailMeets, type NailMeet } from '../../geometry/knocker';
import type { Layout } from '../../geometry/layout';
import { poseOf } from '../../geometry/placed';
import { spinSeats, type SpinSeat } from '../../geometry/seats';
import { unevenness } from '../../hydro/knock';
import { GRAVITY_MPS2, LAKE_WATER, type Water } from '../../hydro/water';
import type { Carrier } from '../../carriers/carrier';
import { withSection } from '../../lure/bending';
import { stateOf } from '../../lure/item-state';
import { FIRST_CARRIER, type Build, type Item } from '../../lure/lure';
import { usualSpreadRad } from '../../parts/blade-pattern';
import { GRIPS_FROM, nailLengthM, type NailState } from '../../parts/kinds/nail-weight';
import { softHalfM } from '../../parts/soft-form';
import { bodySwing, pauseSwings, type BodySwing, type Flashing } from '../../predict/body-swing';
import { noRepairs, type Finding, type Repair } from '../finding';

/** Further from upright than this a nail is knocked over. Trade estimate. */
const UPRIGHT_WITHIN_RAD = 0.14;
/** It knocks best under the widest part of the blade, within so much of its length. Trade estimate. */
const UNDER_WIDEST_SHARE = 0.3;
/** A blade that may be wider than the belly by this. Trade estimate. */
const WIDER_BY = 1.15;
/** Behind its eye a hook's points begin this near. Trade estimate. */
const CLEAR_OF_HOOK_M = 0.002;

/** Of bodies, soft and hard; nothing of other lures. */
export function bodyFindings(build: Build, layout: Layout, water: Water = LAKE_WATER, speedMps = 0.8): Finding[] {
  const seats = spinSeats(build, layout);
  const swing = bodySwing(build, water, speedMps, layout);
  return [
    ...(swing ? [...swing.flashing.flatMap((each) => flasher(build, swing, each)), ...floating(swing)] : []),
    ...seats.flatMap((seat) => free(seat, swing, water)),
    ...nailMeets(build, layout, seats).flatMap((met) => knocker(met)),
    ...seats.flatMap((seat) => againstSoft(build, layout, seat)),
    ...ringsInHangers(build),
  ];
}

function flasher(build: Build, { wobble }: BodySwing, each: Flashing): Finding[] {
  const { item, blade, bodyWidthM, toHookM, hook, swingRad, ticksHz } = each;
  const hooks = Object.values(build.items).flatMap(({ part }) => (part.kind === 'hook' ? [part.points] : []));
  const found: Finding[] = [
    {
      code: 'flasher',
      key: `flasher ${item.id}`,
      severity: wobble ? 'good' : 'caution',
      items: [item.id],
      repairs: noRepairs,
      wobbleHz: wobble?.rateHz ?? null,
      swingRad,
      ticksHz,
      hooks: hooks.length,
      points: hooks.reduce((sum, points) => sum + points, 0),
    },
  ];
  if (blade.widthM > WIDER_BY * bodyWidthM) {
    found.push({
      code: 'widerThanBelly',
      key: `widerThanBelly ${item.id}`,
      severity: 'caution',
      items: [item.id],
      repairs: noRepairs,
      bladeM: blade.widthM,
      bellyM: bodyWidthM,
    });
  }
  if (toHookM !== null && hook) {
    const severity = toHookM < 0 ? 'fault' : toHookM < CLEAR_OF_HOOK_M ? 'caution' : 'good';
    found.push({
      code: 'flasherAgainstHook',
      key: `flasherAgainstHook ${item.id}`,
      severity,
      items: [item.id, hook],
      repairs: noRepairs,
      clearM: toHookM,
    });
  }
  return found;
}

/** A blade on a ring at the tail turns, and goes on at the pause. */
function free({ item, blade, ring }: SpinSeat, swing: BodySwing | null, water: Water): Finding[] {
  if (!ring) return [];
  const behind = swing?.free.find((each) => each.item === item.id);
  return [
    {
      code: 'flashesOnPause',
      key: `flashesOnPause ${item.id}`,
      severity: 'good',
      items: [item.id],
      repairs: noRepairs,
      swings: pauseSwings(blade, water),
      turns: behind ? (behind.turns ?? 'never') : null,
      toAndFroM: behind?.toAndFroM ?? 0,
      wobbleHz: swing?.wobble?.rateHz ?? null,
    },
  ];
}

/** Whether it floats, and whether it still does what its body was made for. */
function floating({ sinkingN, bareSinkingN, secondsPerM }: BodySwing): Finding[] {
  const is = secondsPerM === null ? 'hovers' : sinkingN < 0 ? 'floats' : 'sinks';
  const isLost = bareSinkingN < 0 && is === 'sinks';
  return [
    {
      code: 'floats',
      key: 'floats',
      severity: isLost ? 'caution' : 'good',
      items: [],
      repairs: noRepairs,
      is,
      secondsPerM,
      inWaterKg: sinkingN / GRAVITY_MPS2,
      isLost,
    },
  ];
}

function knocker(met: NailMeet): Finding[] {
  const { nail, seat, knock, gapM, mostM, behindWidestM } = met;
  if (nail.part.kind !== 'nailWeight') return [];
  const state = stateOf(nail, 'nail');
  const base = { items: [nail.id, seat.item.id], repairs: noRepairs } as const;
  const found: Finding[] = [
    {
      ...base,
      code: 'knocker',
      key: `knocker ${nail.id} ${seat.item.id}`,
      severity: knock === 'jams' ? 'fault' : knock === 'misses' ? 'caution' : 'good',
      knock,
      gapM,
      mostM,
      unevenShare: unevenness(-gapM, mostM),
      repairs: knock === 'knocks' ? noRepairs : () => setNail(nail, state, state.outM + gapM + mostM / 2),
    },
  ];
  const inM = nailLengthM(nail.part, state) - state.outM;
  if (inM < GRIPS_FROM * nailLengthM(nail.part, state)) {
    found.push({ ...base, code: 'nailGrip', key: `nailGrip ${nail.id}`, severity: 'caution', inM, outM: state.outM });
  }
  if (Math.abs(state.leanRad) > UPRIGHT_WITHIN_RAD) {
    found.push({
      ...base,
      code: 'nailLeans',
      key: `nailLeans ${nail.id}`,
      severity: 'caution',
      leanRad: state.leanRad,
      repairs: () => [{ code: 'standNailUp', edits: [adjusted(nail, { ...state, leanRad: 0 })] }],
    });
  }
  if (Math.abs(behindWidestM) > UNDER_WIDEST_SHARE * seat.blade.lengthM) {
    found.push({
      ...base,
      code: 'nailPlace',
      key: `nailPlace ${nail.id}`,
      severity: 'caution',
      behindWidestM,
      repairs: () => {
        const atM = state.atM - behindWidestM * Math.cos(usualSpreadRad(seat.blade.pattern));
        return atM > 0 ? [{ code: 'moveNail', toM: atM, edits: [adjusted(nail, { ...state, atM })] }] : [];
      },
    });
  }
  return found;
}

function setNail(nail: Item, state: NailState, outM: number): Repair[] {
  if (nail.part.kind !== 'nailWeight' || outM < 0 || outM > nailLengthM(nail.part, state)) return [];
  return [{ code: 'setNail', toM: outM, edits: [adjusted(nail, { ...state, outM })] }];
}

function adjusted({ id }: Item, state: NailState) {
  return { kind: 'adjust', item: id, changes: { state } } as const;
}

/** A ring goes through its hanger with both of its coils: without play it stands and does not swing. */
const RING_PLAY_M = 0.0002;

function ringsInHangers(build: Build): Finding[] {
  return Object.values(build.items).flatMap(({ id, part, seat }): Finding[] => {
    if (part.kind !== 'splitRing') return [];
    const eye = eyeOf(build, seat);
    if (!eye) return [];
    const roomM = eye.insideM - 2 * part.wireDiameterM;
    return [
      {
        code: 'ringInHanger',
        key: `ringInHanger ${id}`,
        severity: roomM < 0 ? 'fault' : roomM < RING_PLAY_M ? 'caution' : 'good',
        items: [id, ...eye.items],
        roomM,
        repairs: noRepairs,
      },
    ];
  });
}

/** The hanger of a body, or the eye at its end, that something hangs in. */
function eyeOf({ carrier, items }: Build, seat: Item['seat']) {
  if (seat.on === 'item') {
    const holder = items[seat.item];
    return holder?.part.kind === 'screwEye' ? { insideM: holder.part.eyeInnerDiameterM, items: [holder.id] } : null;
  }
  const isAtEnd = seat.on === 'end' && (seat.carrier ?? FIRST_CARRIER) === FIRST_CARRIER;
  return isAtEnd && carrier.kind === 'body' ? { insideM: carrier.wire.eyeInnerDiameterM, items: [] } : null;
}

/** A blade that turns below a soft body, and the body's belly. */
function againstSoft({ carrier, items }: Build, layout: Layout, seat: SpinSeat): Finding[] {
  if (!seat.swivel) return [];
  const soft = layout.off.find(({ item, line }) => item.part.kind === 'trailer' && line.endsWith('head'));
  const part = soft && items[soft.item.id]?.part;
  if (!soft || part?.kind !== 'trailer') return [];
  const [axle, body] = [poseOf(layout, seat.line), poseOf(layout, soft.line)];
  if (axle.yM >= body.yM) return [];
  const spreadRad = usualSpreadRad(seat.blade.pattern);
  let clearM = Infinity;
  for (let step = 1; step <= SWEPT_STEPS; step++) {
    const armM = (step / SWEPT_STEPS) * (seat.blade.lengthM - seat.blade.holeOffsetM);
    const xM = axle.xM + seat.holeM + armM * Math.cos(spreadRad);
    const atM = xM - body.xM - soft.x0M;
    if (atM < 0 || atM > soft.x1M - soft.x0M) continue;
    const bellyM = body.yM + soft.offAxisM - softHalfM(part, atM);
    clearM = Math.min(clearM, bellyM - axle.yM - seat.dropM - armM * Math.sin(spreadRad));
  }
  if (clearM === Infinity) return [];
  return [
    {
      code: 'bladeAgainstSoft',
      key: `bladeAgainstSoft ${seat.item.id}`,
      severity: clearM < 0 ? 'fault' : 'good',
      items: [seat.item.id, soft.item.id],
      repairs: clearM < 0 ? () => dropArm(carrier, CLEAR_OF_SOFT_M - clearM) : noRepairs,
      clearM,
    },
  ];
}

/** Let down, an arm leaves so much between the blade and the body. */
const CLEAR_OF_SOFT_M = 0.0005;

/** The first leg of the arm, down from the head, so much longer. */
function dropArm(carrier: Carrier, byM: number): Repair[] {
  const [leg] = carrier.kind === 'bentWire' ? carrier.sections : [];
  if (carrier.kind !== 'bentWire' || leg?.section !== 'straight') return [];
  const down = Math.max(Math.abs(Math.sin(carrier.startRad)), 0.3);
  const to = { ...leg, lengthM: Math.ceil((leg.lengthM + byM / down) * 1e4) / 1e4 };
  return [{ code: 'dropArm', byM, edits: [withSection(carrier, 0, to)] }];
}

const SWEPT_STEPS = 12;
