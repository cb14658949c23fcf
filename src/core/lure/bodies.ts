/**
 * A lure as bodies in the water: where each has its mass, the water it displaces and the drag it makes. Blades that turn
 * are not among the drags: how they pull is for the spin model, which gives their drag at their own places.
 *
 * Areas: `axialM2` is drag area with the flow along the lure, `sideM2` with the flow across it, `slopeM2` how the force
 * across grows with a small angle to the flow (slender bodies: twice their base, Munk). Coefficients are trade estimates
 * unless a source is named.
 */
import { headVolume } from '../parts/head-form';
import { wireMass } from '../parts/mass';
import { densityOf } from '../parts/material';
import type { Part, Trailer } from '../parts/part';
import { isBored } from '../parts/profile';
import { stateOf } from './item-state';
import type { Layout } from './layout';
import { cutLengths, wireCut, type CutLength } from './lengths';
import type { Build, Item, ItemId } from './lure';
import { itemMass } from './mass';
import { outsideRadius } from './outside-radius';
import { skirtForm } from './skirt-form';
import { deltaSeats, filmSeats, spinSeats } from './spin-seats';
import { pointOn } from './wire-path';

/** What kind of thing makes the drag: each kind's coefficient is known about as well as any other of it. */
export type DragKind = 'hard' | 'soft' | 'wire' | 'blade';

export interface Body {
  readonly of: ItemId | 'wire';
  readonly kind: DragKind;
  readonly massKg: number;
  readonly volumeM3: number;
  /** Middle of it in the plane of the lure, x to the tail and y up, and how far beside that plane, m. */
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  readonly axialM2: number;
  /** Of `axialM2`'s kind, of strands that lie down as it goes faster; see hydro/trim.ts. */
  readonly strandM2: number;
  readonly sideM2: number;
  readonly slopeM2: number;
}

/** Drag of a turned or moulded body end on, on its frontal area, in the wake of what is before it on the wire. */
const STRUNG_DRAG = 0.22;
const HEAD_DRAG = { bullet: 0.32, ball: 0.45, minnow: 0.3, flat: 0.55, cone: 0.4 } as const;
/** A flat head planes: its force across grows faster than a slender body's. */
const HEAD_LIFT = { bullet: 2, ball: 1.6, minnow: 2, flat: 3, cone: 1.8 } as const;
const ACROSS_DRAG = 1.1;
const WIRE_DRAG = 1.1;
/** On the section of its head: a body of 0.3 and what kicks behind it, about as large as the body, broadside to the flow in part. */
const TAIL_DRAG: Readonly<Record<Trailer['style'], number>> = {
  paddleTail: 1.4,
  kickingFrog: 1.5,
  grub: 0.7,
  claw: 0.9,
  segmentedMinnow: 0.5,
};
/** Of that, the body's own, which is less when it is cut shorter. */
const BODY_DRAG = 0.3;
const DRESSING_DRAG = 0.45;
/** Of the strands of a skirt that stand into the flow, the share that is not in the lee of others. */
const SKIRT_OPEN = 0.3;

export function bodiesOf(build: Build, layout: Layout): Body[] {
  const cuts = cutLengths(build, layout);
  const turning = new Set(
    [...spinSeats(build, layout), ...filmSeats(layout), ...deltaSeats(layout)].map(({ item }) => item.id),
  );
  const strung = layout.strand.flatMap(({ item, leg, x0M, x1M }) =>
    leg === 'aft' ? [] : [bodyAt(build, layout, cuts, item, 'run', (x0M + x1M) / 2, 0, x1M - x0M, turning)],
  );
  const off = layout.off
    .filter(({ item, how }) => how !== 'banded' || item.part.kind !== 'skirtLayer')
    .map(({ item, line, x0M, x1M, offAxisM }) =>
      bodyAt(build, layout, cuts, item, line, (x0M + x1M) / 2, offAxisM, x1M - x0M, turning),
    );
  // Strips hang with their band: their mass lies along their strands.
  const layers = layout.off
    .filter(({ item }) => item.part.kind === 'skirtLayer')
    .map(({ item, line, x0M }) =>
      bodyAt(build, layout, cuts, item, line, x0M + lengthOf(item.part) * 0.25, 0, 0, turning),
    );
  return [...strung, ...off, ...layers, ...wireBodies(build, layout)];
}

function lengthOf(part: Part): number {
  return part.kind === 'skirtLayer' ? part.lengthM : 0;
}

function bodyAt(
  build: Build,
  layout: Layout,
  cuts: readonly CutLength[],
  item: Item,
  line: keyof Layout['lines'],
  alongM: number,
  upM: number,
  lengthM: number,
  turning: ReadonlySet<ItemId>,
): Body {
  const { part } = item;
  const { xM, yM } = pointOn(layout.lines[line], alongM, line === 'head' ? upM : 0);
  const massKg = itemMass(item, cuts);
  return {
    of: item.id,
    massKg,
    volumeM3: part.kind === 'head' ? headVolume(part) : massKg / densityOf(part.material),
    xM,
    yM,
    zM: sideOf(build, layout, item, line, alongM),
    strandM2: 0,
    ...(turning.has(item.id) ? STILL : areasOf(build, item, lengthM)),
  };
}

const STILL = { kind: 'blade', axialM2: 0, sideM2: 0, slopeM2: 0 } as const;

type Areas = Pick<Body, 'kind' | 'axialM2' | 'sideM2' | 'slopeM2'> & Partial<Pick<Body, 'strandM2'>>;

function areasOf(build: Build, item: Item, lengthM: number): Areas {
  const { part } = item;
  switch (part.kind) {
    case 'head': {
      const front = (Math.PI / 4) * part.heightM * part.widthM;
      return {
        kind: 'hard',
        axialM2: HEAD_DRAG[part.shape] * front,
        sideM2: 0.8 * part.lengthM * part.widthM,
        slopeM2: HEAD_LIFT[part.shape] * (Math.PI / 4) * part.widthM ** 2,
      };
    }
    case 'hook': {
      const wires = part.points * (1.6 * part.gapM) * part.wireDiameterM;
      return {
        kind: 'hard',
        axialM2: WIRE_DRAG * wires,
        sideM2: WIRE_DRAG * part.lengthM * part.wireDiameterM,
        slopeM2: 0,
      };
    }
    case 'skirt': {
      const form = skirtForm(build, item);
      const standing = form.groups.reduce(
        (sum, { count, widthM, toNoseM, toTailM }) =>
          sum + count * widthM * (toNoseM * 1 + toTailM * Math.sin(form.flareRad) * 0.6),
        0,
      );
      const strandM2 = SKIRT_OPEN * standing;
      return { kind: 'soft', axialM2: 0, strandM2, sideM2: 0.6 * (strandM2 + 0.012 * form.toTailM), slopeM2: 0 };
    }
    case 'skirtLayer':
    case 'softWire':
      return { kind: 'soft', axialM2: 0, sideM2: 0, slopeM2: 0 };
    case 'trailer': {
      const { cutM } = stateOf(item, 'trailer');
      const front = (Math.PI / 4) * part.bodyM ** 2;
      return {
        kind: 'soft',
        // What is cut off is body; what kicks behind it stays.
        axialM2: (TAIL_DRAG[part.style] - BODY_DRAG * (cutM / part.lengthM)) * front,
        sideM2: 0.8 * (part.lengthM - cutM) * part.bodyM,
        slopeM2: 2.4 * front,
      };
    }
    case 'dressing': {
      const front = (Math.PI / 4) * part.bulkM ** 2;
      return {
        kind: 'soft',
        axialM2: DRESSING_DRAG * front,
        sideM2: 0.5 * part.fibreLengthM * part.bulkM,
        slopeM2: front,
      };
    }
    case 'blade':
      // One that hangs and does not turn: edge on to the flow.
      return {
        kind: 'blade',
        axialM2: 0.1 * part.lengthM * part.widthM,
        sideM2: part.lengthM * part.widthM,
        slopeM2: 0,
      };
    default: {
      const radiusM = outsideRadius(part);
      const front = Math.PI * radiusM ** 2;
      const isLong = isBored(part) || part.kind === 'body';
      return {
        kind: 'hard',
        axialM2: STRUNG_DRAG * front,
        sideM2: ACROSS_DRAG * 2 * radiusM * Math.max(lengthM, 0),
        slopeM2: isLong ? 2 * front : 0,
      };
    }
  }
}

/** How far beside the plane of the lure this sits: on an arm bent sideways, at the tail of a crooked trailer. */
function sideOf(build: Build, layout: Layout, item: Item, line: keyof Layout['lines'], alongM: number): number {
  if (item.part.kind === 'trailer') {
    const { crookedRad } = stateOf(item, 'trailer');
    return (item.part.lengthM / 2) * Math.sin(crookedRad);
  }
  const { path } = layout;
  if (!path || (line !== 'run' && line !== 'trail')) return 0;
  const { carrier } = build;
  const share = carrier.kind === 'bentWire' && line === 'run' ? Math.min(1, alongM / Math.max(carrier.armM, 1e-6)) : 1;
  return path.armStartZM + (path.armEndZM - path.armStartZM) * share;
}

/** The wire's own mass and drag: as one piece when it is straight, section by section when it is bent. */
function wireBodies(build: Build, layout: Layout): Body[] {
  const { wire } = build.carrier;
  const density = densityOf(wire.material);
  const piece = (lengthM: number, xM: number, yM: number, zM: number, acrossM: number): Body => {
    const massKg = wireMass(wire, lengthM);
    const side = WIRE_DRAG * wire.diameterM * lengthM;
    return {
      of: 'wire',
      kind: 'wire',
      massKg,
      volumeM3: massKg / density,
      xM,
      yM,
      zM,
      axialM2: WIRE_DRAG * wire.diameterM * acrossM,
      strandM2: 0,
      sideM2: side,
      slopeM2: 0,
    };
  };
  const terms = wireCut(build, layout).terms.filter(({ code }) => code !== 'tag');
  if (!layout.path) {
    const lengthM = terms.reduce((sum, term) => sum + term.lengthM, 0);
    return [piece(lengthM, (layout.nose.x0M + layout.tail.x1M) / 2, 0, 0, 2 * layout.nose.loopInsideRadiusM)];
  }
  const { path } = layout;
  const bent = path.sections.map(({ fromM, toM, start, end, points }) => {
    const lengthM = toM - fromM;
    const middle = points[Math.floor(points.length / 2)];
    return piece(lengthM, middle?.xM ?? start.xM, middle?.yM ?? start.yM, middle?.zM ?? 0, Math.abs(end.yM - start.yM));
  });
  const { carrier } = build;
  const armM = carrier.kind === 'bentWire' ? carrier.armM : 0;
  const middle = pointOn(path.arm, armM / 2);
  const end = pointOn(path.arm, armM);
  const rises = armM * Math.abs(Math.sin(path.arm.angleRad));
  const start = path.sections[0]?.start ?? path.arm;
  // What is in the head and in the end's loop is in the length of the wire and in none of its sections.
  const ends = terms.flatMap((term) => {
    if (term.code === 'inHead') return [piece(term.lengthM, start.xM, start.yM, 0, 0)];
    return 'end' in term || term.code === 'turnedDown' ? [piece(term.lengthM, end.xM, end.yM, path.armEndZM, 0)] : [];
  });
  return [...bent, piece(armM, middle.xM, middle.yM, (path.armStartZM + path.armEndZM) / 2, rises), ...ends];
}
