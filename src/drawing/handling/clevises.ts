/** Two clevises stacked on one wire, in the order of their own strand: which leg goes on when, one bow up, one down. */
import { wireOf } from '../../core/carriers/carrier';
import { childrenOf, itemOf, type Build, type End, type ItemId } from '../../core/lure/lure';
import type { Blade } from '../../core/parts/kinds/blade';
import { layOut } from '../../core/geometry/layout';
import { wireStrokes } from '../bent-wire';
import { darker } from '../colour';
import { faceOnShapes } from '../blade-mesh';
import { curve, ellipse, polyline, type Point } from '../path';
import type { Shape } from '../shape';
import { layer, MM, type Frame, type Layer, type Moment } from './frame';

/** Legs are drawn further apart than they stand, so that each can be told: this many times. */
const APART = 2.2;
const BLADE_SHOWN = 0.55;

export function stackFrames(build: Build, stack: readonly ItemId[], over: End): Frame[] {
  const layout = layOut(build);
  const entries = layout.strand.filter(({ item }) => stack.includes(item.id));
  const first = entries[0];
  const wire = wireOf(build.carrier);
  if (!first || stack.length < 2) return [];
  const place = (xM: number) => (xM - first.x0M) * MM * APART;
  const length = place(entries.at(-1)?.x1M ?? 0);
  const lift = Math.max(...stack.map((id) => dropOf(build, id))) * MM * 1.7;
  const blades = stack.flatMap((id) =>
    childrenOf(build, id).map(({ part }) => (part.kind === 'blade' ? part.lengthM : 0)),
  );
  const tail = Math.max(length + 9, length / 2 + Math.max(0, ...blades) * MM * BLADE_SHOWN + 3);
  const box = { x0: -9, y0: -lift - 7, x1: tail, y1: lift + 7 };
  const shaft = wireStrokes(
    polyline([
      { x: -8, y: 0 },
      { x: tail - 1, y: 0 },
    ]),
    wire.diameterM * MM * 1.2,
    wire.finish.hex,
  );
  const moments: readonly Moment[] = ['lowerLegs', 'bladesHung', 'upperLegs'];
  return moments.map((moment, stage) => ({
    moment,
    box,
    measure: null,
    layers: [layer(shaft), ...stack.flatMap((id, i) => oneClevis(id, i === 0 ? -1 : 1, stage))],
  }));

  function oneClevis(id: ItemId, side: 1 | -1, stage: number): Layer[] {
    const { part } = itemOf(build, id);
    const legs = entries.filter(({ item }) => item.id === id);
    const [fore, aft] = [legs[0], legs.at(-1)];
    if (part.kind !== 'clevis' || !fore || !aft) return [];
    const [foreX, aftX] = [place((fore.x0M + fore.x1M) / 2), place((aft.x0M + aft.x1M) / 2)];
    const [lowerX, upperX] = over === 'nose' ? [aftX, foreX] : [foreX, aftX];
    const isShut = stage === 2;
    const top = side * lift;
    // Open, its upper leg stands off the wire towards the end it will be threaded from.
    const away = over === 'nose' ? -3 : 3;
    const freeEnd: Point = isShut ? { x: upperX, y: 0 } : { x: upperX + away, y: side * lift * 0.55 };
    const bowMid: Point = { x: (lowerX + freeEnd.x) / 2, y: top };
    const { hex } = part.finish;
    const wide = part.lobeThicknessM * MM * 1.6;
    const bow = curve([
      { x: lowerX, y: 0 },
      { x: lowerX + (bowMid.x - lowerX) * 0.2, y: top * 0.75 },
      bowMid,
      { x: freeEnd.x + (bowMid.x - freeEnd.x) * 0.2, y: top * 0.75 + (freeEnd.y - 0) * 0.2 },
      freeEnd,
    ]);
    const eye = (at: Point): Shape[] => [
      { d: ellipse(at.x, at.y, wide * 0.9, wide * 1.5), fill: hex, stroke: darker(hex, 0.5), strokeWidth: 0.2 },
    ];
    const blade = childrenOf(build, id).find((child) => child.part.kind === 'blade')?.part;
    const hung = stage > 0 && blade?.kind === 'blade' ? [bladeOn(blade, bowMid)] : [];
    return [
      ...hung,
      layer([
        { d: bow, stroke: darker(hex, 0.25), strokeWidth: wide, round: true },
        ...eye({ x: lowerX, y: 0 }),
        ...eye(freeEnd),
      ]),
    ];
  }
}

/** The blade by its hole, smaller than it is, lying off to the tail. */
function bladeOn(blade: Blade, at: Point): Layer {
  return layer(faceOnShapes(blade), at.x - blade.holeOffsetM * MM * BLADE_SHOWN, at.y, BLADE_SHOWN);
}

function dropOf(build: Build, id: ItemId): number {
  const { part } = itemOf(build, id);
  return part.kind === 'clevis' ? part.dropM : 0;
}
