/** A lure seen from the front, as it comes towards the eye: what stands where about the line of pull. */
import { outsideRadius } from '../core/geometry/outside-radius';
import type { LaidCarrier, Layout } from '../core/geometry/layout';
import { bodyProfile, lipOf } from '../core/parts/body-form';
import type { LureBody } from '../core/parts/kinds/lure-body';
import { carrierOfLine, isLifted, lineKind, lineOf, poseOf, type Line } from '../core/geometry/placed';
import { pointOn } from '../core/carriers/wire-path';
import type { ItemId } from '../core/lure/lure';
import { deltaSeats } from '../core/geometry/seats';
import type { DeltaBlade } from '../core/parts/kinds/delta-blade';
import type { Part } from '../core/parts/part';
import { LIP_HEX } from './lure-body-shapes';
import type { Motion } from './motion';

/** A place as the eye before the nose sees it, mm: to the right of the eye, and up. The lure's own right is the eye's left. */
export interface FrontPlace {
  readonly rightMm: number;
  readonly upMm: number;
}

/** A part as wide and as tall as it is, its middle at a place. */
export interface FrontPart extends FrontPlace {
  /** The item, or what of the body of a hard bait it is. */
  readonly key: string;
  readonly halfWidthMm: number;
  readonly halfHeightMm: number;
  readonly colour: string;
}

/** Which way it turns as the eye sees it; `either` where the water decides. */
export type FrontTurn = 'clockwise' | 'anticlockwise' | 'either' | 'still';

/** What a turning blade sweeps. */
export interface FrontSweep extends FrontPlace {
  readonly station: ItemId;
  readonly radiusMm: number;
  readonly turns: FrontTurn;
}

export interface FrontView {
  readonly wires: readonly (readonly FrontPlace[])[];
  /** Nearest to the eye last. */
  readonly parts: readonly FrontPart[];
  readonly sweeps: readonly FrontSweep[];
  /** From the shank to the point. */
  readonly points: readonly (readonly [FrontPlace, FrontPlace])[];
  /** Half of what it all takes, about a middle so far above the line of pull, mm. */
  readonly halfMm: number;
  readonly middleMm: number;
}

const MM = 1000;
/** A treble's points stand a third of a turn apart, one up. */
const TREBLE_RAD = [Math.PI / 2, Math.PI / 2 + (2 * Math.PI) / 3, Math.PI / 2 + (4 * Math.PI) / 3];

export function frontView(layout: Layout, motions: readonly Motion[]): FrontView {
  const turning = new Set(motions.flatMap(({ station, clevis }) => [station, ...(clevis ? [clevis.item] : [])]));
  const hands = new Map(deltaSeats(layout).map(({ item, blade }) => [item.id, blade.hand]));
  const placeOf = (line: Line, alongM: number, offAxisM = 0): FrontPlace => {
    const { yM } = pointOn(poseOf(layout, line), alongM, isLifted(line) ? offAxisM : 0);
    return { rightMm: -asideM(layout, line, alongM) * MM, upMm: yM * MM };
  };
  const strung = layout.carriers.flatMap(({ id, strand }) =>
    strand.map(({ item, x0M, x1M }) => ({ item, line: lineOf(id, 'run'), alongM: (x0M + x1M) / 2, offAxisM: 0 })),
  );
  const hung = layout.off.map(({ item, line, pivotM, offAxisM }) => ({ item, line, alongM: pivotM, offAxisM }));
  const shown = [...strung, ...hung].filter(({ item }) => !turning.has(item.id) && item.part.kind !== 'hook');
  const hanging = shown
    .map(({ item, line, alongM, offAxisM }): FrontPart => ({
      key: item.id,
      ...placeOf(line, alongM, offAxisM),
      ...halvesOf(item.part),
      colour: item.part.finish.hex,
    }))
    .toSorted((a, b) => b.halfWidthMm - a.halfWidthMm);
  const parts = [...layout.carriers.flatMap(bodyFromFront), ...hanging];
  const sweeps = motions.map(({ station, line, holeM, dropM, reachM, spreadRad, rateHz }) => ({
    station,
    ...placeOf(line, holeM),
    radiusMm: (dropM + reachM * Math.sin(spreadRad)) * MM,
    turns: rateHz > 0 ? turnsOf(hands.get(station)) : 'still',
  }));
  const points = layout.off.flatMap(({ item, line, pivotM, offAxisM }) => {
    if (item.part.kind !== 'hook') return [];
    const at = placeOf(line, pivotM, offAxisM);
    const gapMm = item.part.gapM * MM;
    return (item.part.points === 3 ? TREBLE_RAD : [Math.PI / 2]).map(
      (turn) => [at, { rightMm: at.rightMm + gapMm * Math.cos(turn), upMm: at.upMm + gapMm * Math.sin(turn) }] as const,
    );
  });
  const wires = layout.carriers.flatMap(({ path }) =>
    path
      ? [path.sections.flatMap((each) => each.points).map(({ yM, zM }) => ({ rightMm: -zM * MM, upMm: yM * MM }))]
      : [],
  );
  const ups = [
    ...parts.flatMap(({ upMm, halfHeightMm }) => [upMm - halfHeightMm, upMm + halfHeightMm]),
    ...sweeps.flatMap(({ upMm, radiusMm }) => [upMm - radiusMm, upMm + radiusMm]),
    ...points.flat().map(({ upMm }) => upMm),
    ...wires.flat().map(({ upMm }) => upMm),
  ];
  const asides = [
    ...parts.map(({ rightMm, halfWidthMm }) => Math.abs(rightMm) + halfWidthMm),
    ...sweeps.map(({ rightMm, radiusMm }) => Math.abs(rightMm) + radiusMm),
  ];
  const [low, high] = [Math.min(0, ...ups), Math.max(0, ...ups)];
  return {
    wires,
    parts,
    sweeps,
    points,
    middleMm: (low + high) / 2,
    halfMm: Math.max(LEAST_HALF_MM, (high - low) / 2, ...asides),
  };
}

/** The body of a hard bait as wide and as high as it is, and its lip below. */
function bodyFromFront({ id, carrier, lines }: LaidCarrier): FrontPart[] {
  if (carrier.kind !== 'body') return [];
  const { wire: body } = carrier;
  const { at, upM, downM } = highestOf(body);
  const front: FrontPart = {
    key: `${id} body`,
    rightMm: 0,
    upMm: (pointOn(lines.skin, at).yM + (upM - downM) / 2) * MM,
    halfWidthMm: (body.widthM / 2) * MM,
    halfHeightMm: ((upM + downM) / 2) * MM,
    colour: body.finish.hex,
  };
  const lip = lipOf(body);
  if (!lip) return [front];
  const { yM } = pointOn(lines.skin, 0);
  return [
    front,
    {
      key: `${id} lip`,
      rightMm: 0,
      upMm: (yM + (lip.root.yM + lip.tip.yM) / 2) * MM,
      halfWidthMm: (body.lipWidthM / 2) * MM,
      halfHeightMm: (Math.abs(lip.tip.yM - lip.root.yM) / 2) * MM,
      colour: LIP_HEX,
    },
  ];
}

function highestOf(body: LureBody) {
  const [first, ...rest] = bodyProfile(body).map(({ xM, upM, downM }) => ({ at: xM, upM, downM }));
  if (!first) throw new Error('highestOf: a body has stations');
  return rest.reduce((most, each) => (each.upM + each.downM > most.upM + most.downM ? each : most), first);
}

/** A bare wire is still shown at a size that says what it is. */
const LEAST_HALF_MM = 8;

/** A surface blade is a screw: a right-hand one turns as a right-hand screw goes forward, anticlockwise to the eye before it. */
function turnsOf(hand: DeltaBlade['hand'] | undefined): FrontTurn {
  if (!hand) return 'either';
  return hand === 'right' ? 'anticlockwise' : 'clockwise';
}

/** How far an arm that is bent aside stands out to the lure's own right there, m. */
function asideM(layout: Layout, line: Line, alongM: number): number {
  const { path } = layout.carriers.find(({ id }) => id === carrierOfLine(line)) ?? layout;
  if (!path || lineKind(line) === 'head') return 0;
  return path.armStartZM + Math.max(0, alongM) * Math.sin(path.armSideRad);
}

function halvesOf(part: Part): Pick<FrontPart, 'halfWidthMm' | 'halfHeightMm'> {
  if (part.kind === 'head') return { halfWidthMm: (part.widthM / 2) * MM, halfHeightMm: (part.heightM / 2) * MM };
  // One that does not turn lies back: its edge is seen, as wide as it is.
  if (part.kind === 'blade') {
    return { halfWidthMm: (part.widthM / 2) * MM, halfHeightMm: Math.max(part.cupDepthM / 2, 0.0006) * MM };
  }
  const radiusMm = outsideRadius(part) * MM;
  return { halfWidthMm: radiusMm, halfHeightMm: radiusMm };
}
