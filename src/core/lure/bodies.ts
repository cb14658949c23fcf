/**
 * A lure as bodies in the water: where each has its mass, the water it displaces and the drag it makes. Blades that turn
 * are not among the drags: how they pull is for the spin model, which gives their drag at their own places.
 *
 * Areas: `axialM2` is drag area with the flow along the lure, `sideM2` with the flow across it, `slopeM2` how the force
 * across grows with a small angle to the flow (slender bodies: twice their base, Munk). Coefficients are trade estimates
 * unless a source is named.
 */
import { wireMass } from '../parts/mass';
import { densityOf } from '../parts/material';
import { TURNING_AREAS, WIRE_DRAG, type Areas } from '../parts/kinds/room';
import { roomOf } from '../parts/part';
import { stateOf } from './item-state';
import type { Layout } from './layout';
import { cutLengths, wireCut, type CutLength } from './lengths';
import { childrenOf, type Build, type Item, type ItemId } from './lure';
import { itemMass } from './mass';
import { deltaSeats, filmSeats, spinSeats } from './spin-seats';
import { pointOn } from './wire-path';

/** Of its areas, strands lie down as it goes faster; see hydro/trim.ts. */
export interface Body extends Areas {
  readonly of: ItemId | 'wire';
  readonly massKg: number;
  readonly volumeM3: number;
  /** Middle of it in the plane of the lure, x to the tail and y up, and how far beside that plane, m. */
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
}

export function bodiesOf(build: Build, layout: Layout): Body[] {
  const cuts = cutLengths(build, layout);
  const turning = new Set(
    [...spinSeats(build, layout), ...filmSeats(layout), ...deltaSeats(layout)].map(({ item }) => item.id),
  );
  const strung = layout.strand.flatMap(({ item, leg, x0M, x1M }) =>
    leg === 'aft' ? [] : [bodyAt(build, layout, cuts, item, 'run', (x0M + x1M) / 2, 0, x1M - x0M, turning)],
  );
  // Strips hang with their band: their mass lies along their strands.
  const off = layout.off.map(({ item, line, x0M, x1M, offAxisM }) => {
    const { part } = item;
    const middleM = part.kind === 'skirtLayer' ? x0M + STRIP_MIDDLE * part.lengthM : (x0M + x1M) / 2;
    return bodyAt(build, layout, cuts, item, line, middleM, offAxisM, x1M - x0M, turning);
  });
  return [...strung, ...off, ...wireBodies(build, layout)];
}

/** Where the middle of a strip's mass lies behind its band, of its length. Trade estimate. */
const STRIP_MIDDLE = 0.25;

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
  const { part, state, flipped } = item;
  const room = roomOf(part);
  const { xM, yM } = pointOn(layout.lines[line], alongM, line === 'head' ? upM : 0);
  const massKg = itemMass(item, cuts);
  return {
    of: item.id,
    massKg,
    volumeM3: room.displacedM3(part, massKg),
    xM,
    yM,
    zM: sideOf(build, layout, item, line, alongM),
    ...(turning.has(item.id)
      ? TURNING_AREAS
      : room.areas(part, { state, flipped, lengthM, held: childrenOf(build, item.id).map((child) => child.part) })),
  };
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
