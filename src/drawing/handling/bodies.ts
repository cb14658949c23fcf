/** A nail weight screwed up into a soft body and an eye screwed into a hard one: from body, weight and eye as they are. */
import { skinM } from '../../core/carriers/body';
import { stateOf } from '../../core/lure/item-state';
import { itemOf, type Build, type ItemId } from '../../core/lure/lure';
import type { LureBody } from '../../core/parts/kinds/lure-body';
import { nailLengthM } from '../../core/parts/kinds/nail-weight';
import type { ScrewEye } from '../../core/parts/kinds/screw-eye';
import { softHalfM } from '../../core/parts/soft-form';
import { darker, edgeOf } from '../colour';
import { bodyBox, eyeRing, lureBodyShapes, nailShapes } from '../lure-body-shapes';
import { arrow, layer, MM, type Frame, type Layer } from './frame';
import { ellipse, polygon, polyline, type Point } from '../path';
import type { Shape } from '../shape';
import { trailerShapes } from '../soft-shapes';

const FINGER = '#d8b79c';
const TOOL = '#7d888c';
/** Of the body, shown to both sides of the nail, mm. */
const ROOM_MM = 4;

export function nailFrames(build: Build, id: ItemId): Frame[] {
  const nail = itemOf(build, id);
  const { part, seat } = nail;
  const soft = seat.on === 'item' ? itemOf(build, seat.item) : null;
  if (part.kind !== 'nailWeight' || soft?.part.kind !== 'trailer') return [];
  const state = stateOf(nail, 'nail');
  const body = soft.part;
  const at = state.atM * MM;
  const skin = softHalfM(body, state.atM) * MM;
  const long = nailLengthM(part, state) * MM;
  const out = state.outM * MM;
  const half = (body.bodyM * MM) / 2;
  const box = { x0: -ROOM_MM, x1: at + Math.max(at * 0.7, long) + ROOM_MM, y0: -half - 3, y1: half + long + JAWS_MM };
  const whole = trailerShapes(body, stateOf(soft, 'trailer'), soft.flipped);
  const over = layer(whole);
  const seen = layer(whole.map((shape) => ({ ...shape, opacity: 0.5 })));
  const thumb = layer([flank(at, -half * 0.15, half)]);
  const mark: Shape = {
    d: polyline([
      { x: at, y: skin - 1.2 },
      { x: at, y: skin + 2.4 },
    ]),
    stroke: 'var(--accent)',
    strokeWidth: 0.5,
  };
  const standing = (outMm: number): Layer =>
    layer(nailShapes(part, long, { outM: outMm / MM, leanRad: 0 }, skin), at - (part.diameterM * MM) / 2);
  const started = long * 0.8;
  const up: Point[] = [
    { x: at + half * 0.9, y: skin + started },
    { x: at + half * 0.9, y: skin + started * 0.3 },
  ];
  const beside = at + half * 0.9;
  return [
    {
      moment: 'nailMarked',
      box,
      measure: { from: { x: 0, y: half + 6 }, to: { x: at, y: half + 6 }, lengthM: state.atM },
      layers: [over, layer([mark])],
    },
    {
      moment: 'nailStarted',
      box,
      measure: null,
      layers: [
        standing(started),
        layer(jaws(at, skin + started, part.diameterM * MM)),
        over,
        thumb,
        layer(arrow(up, polyline(up), 1.6)),
      ],
    },
    {
      moment: 'nailIn',
      box,
      measure: out > 0 ? { from: { x: beside, y: skin }, to: { x: beside, y: skin + out }, lengthM: state.outM } : null,
      layers: [standing(out), seen],
    },
  ];
}

/** Room below for the jaws that hold the nail, mm. */
const JAWS_MM = 9;

/** The tip of a thumb on the flank of the body, the finger behind it. */
function flank(x: number, y: number, half: number): Shape {
  return {
    d: ellipse(x, y, half * 0.75, half * 0.5),
    fill: FINGER,
    stroke: darker(FINGER, 0.35),
    strokeWidth: 0.2,
    opacity: 0.8,
  };
}

/** Flat jaws to both sides of the nail's end. */
function jaws(x: number, endY: number, wide: number): Shape[] {
  return [-1, 1].map((side) => ({
    d: polygon([
      { x: x + side * wide * 0.5, y: endY - 2.4 },
      { x: x + side * (wide * 0.5 + 1.1), y: endY - 2.2 },
      { x: x + side * (wide * 0.5 + 2.2), y: endY + JAWS_MM },
      { x: x + side * 0.3, y: endY + JAWS_MM },
      { x: x + side * wide * 0.5, y: endY + 0.6 },
    ]),
    fill: TOOL,
    stroke: darker(TOOL, 0.4),
    strokeWidth: 0.15,
  }));
}

export function screwEyeFrames(build: Build, id: ItemId): Frame[] {
  const { part, seat } = itemOf(build, id);
  const { carrier } = build;
  if (part.kind !== 'screwEye' || carrier.kind !== 'body' || seat.on !== 'body') return [];
  const { wire: body } = carrier;
  const at = { x: seat.atM * MM, y: -skinM(body, seat.atM, seat.side) * MM };
  const down = seat.side === 'belly' ? 1 : -1;
  const bodyShapes = lureBodyShapes(body);
  const outside = bodyBox(body);
  const tool = part.threadLengthM * MM + 12;
  const box = {
    x0: outside.left - 2,
    x1: outside.left + outside.width + 2,
    y0: outside.middle - outside.height / 2 - (down < 0 ? tool : 4),
    y1: outside.middle + outside.height / 2 + (down > 0 ? tool : 4),
  };
  const y = down > 0 ? box.y0 + 2.4 : box.y1 - 1;
  const measure = { from: { x: 0, y }, to: { x: at.x, y }, lengthM: seat.atM };
  const seen = bodyShapes.map((shape) => ({ ...shape, opacity: 0.45 }));
  return [
    { moment: 'eyeHole', box, measure, layers: [layer(bodyShapes), layer(awl(at, down, part))] },
    {
      moment: 'eyeTurned',
      box,
      measure: null,
      layers: [
        layer(bodyShapes),
        layer(eye(at, down, part, part.threadLengthM * MM * 0.5)),
        layer(turn(at, down, part)),
      ],
    },
    {
      moment: 'eyeSquare',
      box,
      measure: null,
      layers: [layer(eye(at, down, part, 0)), layer(seen), layer(ring(at, down, part, body))],
    },
  ];
}

/** A fine awl, square to the skin, as deep as the thread. */
function awl({ x, y }: Point, down: number, { threadLengthM, wireDiameterM }: ScrewEye): Shape[] {
  const half = (wireDiameterM * MM) / 2;
  const deep = threadLengthM * MM;
  const tip = y - down * deep * 0.6;
  return [
    {
      d: polygon([
        { x: x - half, y: y + down * 5 },
        { x: x + half, y: y + down * 5 },
        { x, y: tip },
      ]),
      fill: TOOL,
      stroke: darker(TOOL, 0.4),
      strokeWidth: 0.15,
    },
    {
      d: polygon([
        { x: x - 1.8, y: y + down * 5 },
        { x: x + 1.8, y: y + down * 5 },
        { x: x + 1.4, y: y + down * 11 },
        { x: x - 1.4, y: y + down * 11 },
      ]),
      fill: '#a5764a',
      stroke: darker('#a5764a', 0.4),
      strokeWidth: 0.15,
    },
  ];
}

/** The eye with its thread, so far out of the skin. */
function eye({ x, y }: Point, down: number, part: ScrewEye, outMm: number): Shape[] {
  const wire = part.wireDiameterM * MM;
  const radius = ((part.eyeInnerDiameterM + part.wireDiameterM) / 2) * MM;
  const { hex } = part.finish;
  const from = y + down * outMm;
  const thread = part.threadLengthM * MM;
  const turns = Math.max(3, Math.round(thread / (wire * 0.9)));
  const ridges = Array.from({ length: turns }, (_, i): Shape => {
    const at = from - down * ((i + 0.5) / turns) * thread;
    return {
      d: polyline([
        { x: x - wire * 0.75, y: at },
        { x: x + wire * 0.75, y: at - down * wire * 0.35 },
      ]),
      stroke: darker(hex, 0.3),
      strokeWidth: wire * 0.3,
    };
  });
  return [
    {
      d: polyline([
        { x, y: from - down * thread },
        { x, y: from },
      ]),
      stroke: edgeOf(hex, 0.5),
      strokeWidth: wire,
    },
    ...ridges,
    ...eyeRing({ x, y: from + down * radius }, radius, wire, hex),
  ];
}

function turn({ x, y }: Point, down: number, part: ScrewEye): Shape[] {
  const radius = part.eyeInnerDiameterM * MM + 2;
  const middle = y + down * (part.threadLengthM * MM * 0.5 + radius * 0.6);
  const way = Array.from({ length: 17 }, (_, i) => {
    const angle = -0.4 + (i / 16) * (Math.PI + 0.8);
    return { x: x + radius * Math.cos(angle), y: middle + radius * 0.35 * Math.sin(angle) };
  });
  return arrow(way, polyline(way), 1.4);
}

/** Along the body: what hangs in it swings fore and aft. */
function ring({ x, y }: Point, down: number, part: ScrewEye, body: LureBody): Shape[] {
  const far = Math.min(body.lengthM * MM * 0.18, 9);
  const at = y + down * (part.eyeInnerDiameterM * MM + 2.5);
  const way = [
    { x: x - far, y: at },
    { x: x + far, y: at },
  ];
  return [...arrow(way, polyline(way), 1.3), ...arrow(way.toReversed(), polyline(way), 1.3)];
}
