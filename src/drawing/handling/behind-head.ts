/** What goes on behind a head: the skirt on its collar, the trailer on the hook, the twist that locks the skirt. */
import { stateOf } from '../../core/lure/item-state';
import { childrenOf, itemOf, type Build, type Item, type ItemId } from '../../core/lure/lure';
import { skirtOn } from '../../core/geometry/skirt-on';
import type { PartOf } from '../../core/parts/part';
import { headShapes } from '../bait-shapes';
import { wireStrokes } from '../bent-wire';
import { darker } from '../colour';
import { paintOf } from '../paint';
import { hookShapes } from '../part-shapes';
import { curve, ellipse, polyline, rectangle, type Point } from '../path';
import type { Shape } from '../shape';
import { skirtShapes, trailerShapes } from '../soft-shapes';
import { arc, arrow, frameIn, layer, MM, type Frame, type Layer } from './frame';

interface Behind {
  readonly head: PartOf<'head'>;
  readonly hook: PartOf<'hook'> | null;
}

/** The head that this item sits behind, and the hook cast in it. */
function behind(build: Build, item: Item): Behind | null {
  let holder: Item | undefined = item;
  while (holder && holder.part.kind !== 'head') {
    holder = holder.seat.on === 'item' ? build.items[holder.seat.item] : undefined;
  }
  if (holder?.part.kind !== 'head') return null;
  const hook = childrenOf(build, holder.id).find(({ part }) => part.kind === 'hook')?.part;
  return { head: holder.part, hook: hook?.kind === 'hook' ? hook : null };
}

export function skirtFrames(build: Build, id: ItemId): Frame[] {
  const skirt = itemOf(build, id);
  const at = behind(build, skirt);
  if (!at || skirt.part.kind !== 'skirt') return [];
  const { head, hook } = at;
  const collarM = head.lengthM;
  const form = skirtOn(build, skirt);
  const strands = layer(skirtShapes(skirt.part, form), collarM * MM);
  const bare = bareHead(head, hook);
  const tail = ((hook?.lengthM ?? 0.03) + head.hookAtM) * MM;
  const out = Math.max(form.toNoseM, form.toTailM) * MM * Math.sin(form.flareRad) * 0.7 + 3;
  const box = {
    x0: -2,
    y0: -out,
    x1: Math.max(tail, collarM * MM + form.toTailM * MM * 0.8) + 6,
    y1: out,
  };
  const bareMm = Math.max(head.heightM / 2, hook?.gapM ?? 0) * MM + 4;
  const bandX = tail * 0.62;
  const band: Shape = {
    d: rectangle(
      bandX,
      -skirt.part.collarDiameterM * MM * 0.6,
      bandX + skirt.part.collarLengthM * MM,
      skirt.part.collarDiameterM * MM * 0.6,
    ),
    fill: paintOf(skirt.part.finish, 'across'),
    stroke: darker(skirt.part.finish.hex, 0.5),
    strokeWidth: 0.15,
  };
  const way: Point[] = [
    { x: bandX - 1, y: -head.collarDiameterM * MM - 2.5 },
    { x: collarM * MM + 3, y: -head.collarDiameterM * MM - 2.5 },
  ];
  return [
    {
      moment: 'bandOver',
      box: { ...box, y0: -bareMm, y1: bareMm, x1: tail + 3 },
      measure: null,
      layers: [...bare, layer([band, ...arrow(way, polyline(way), 1.8)])],
    },
    { moment: 'bandOn', box, measure: null, layers: [...bare, strands] },
  ];
}

export function trailerFrames(build: Build, id: ItemId, pushOutM: number | null): Frame[] {
  const item = itemOf(build, id);
  const at = behind(build, item);
  if (!at || item.part.kind !== 'trailer') return [];
  const { head, hook } = at;
  const state = stateOf(item, 'trailer');
  const startMm = (head.lengthM + head.collarLengthM) * MM;
  const lengthMm = (item.part.lengthM - state.cutM) * MM;
  const bodyMm = item.part.bodyM * MM;
  const bare = bareHead(head, hook);
  const gap = (hook?.gapM ?? 0.01) * MM;
  const box = { x0: -2, y0: -gap - 10, x1: startMm + lengthMm + 3, y1: bodyMm * 1.9 + 2 };
  const soft = trailerShapes(item.part, state, item.flipped);
  const beside = layer(soft, startMm, bodyMm * 1.25 + 1);
  const outX = startMm + (pushOutM ?? 0) * MM;
  const mark: Shape[] =
    pushOutM === null
      ? []
      : [
          {
            d: polyline([
              { x: outX, y: -gap - 3 },
              { x: outX, y: bodyMm * 1.9 },
            ]),
            stroke: 'var(--accent)',
            strokeWidth: 0.4,
            dash: [1.6, 1.1],
          },
        ];
  const measureY = -gap - 2;
  const measure =
    pushOutM === null ? null : { from: { x: startMm, y: measureY }, to: { x: outX, y: measureY }, lengthM: pushOutM };
  const core: Shape = {
    d: polyline([
      { x: startMm, y: 0 },
      { x: outX, y: 0 },
    ]),
    stroke: 'var(--accent)',
    strokeWidth: 0.5,
    dash: [1.6, 1.1],
  };
  return [
    { moment: 'trailerBeside', box, measure, layers: [...bare, beside, layer(mark)] },
    { moment: 'trailerOn', box, measure: null, layers: [...bare, layer(soft, startMm), layer([core])] },
  ];
}

/** The collar from behind, with the wire that locks the skirt round it. */
export function lockFrames(build: Build, id: ItemId, skirtId: ItemId): Frame[] {
  const lock = itemOf(build, id);
  const skirt = itemOf(build, skirtId).part;
  if (lock.part.kind !== 'softWire' || skirt.kind !== 'skirt') return [];
  const wire = lock.part.diameterM * MM * 1.3;
  const collar = (skirt.collarDiameterM * MM) / 2;
  const { turns } = stateOf(lock, 'lock');
  const { hex } = lock.part.finish;
  const radius = (n: number) => collar + wire * (n + 0.6);
  const rounds = Array.from({ length: turns }, (_, n) =>
    wireStrokes(polyline(arc(0, 0, radius(n * 0.55), 0, 2 * Math.PI, 60)), wire, hex),
  ).flat();
  const outer = radius((turns - 1) * 0.55);
  const round: Shape = {
    d: ellipse(0, 0, collar, collar),
    fill: skirt.finish.hex,
    stroke: darker(skirt.finish.hex, 0.5),
    strokeWidth: 0.2,
  };
  const ends = (spread: number) =>
    [-1, 1].flatMap((side) =>
      wireStrokes(
        polyline([
          { x: side * 0.4, y: -outer },
          { x: side * spread, y: -outer - 6 },
        ]),
        wire,
        hex,
      ),
    );
  const twist = [0, 1].flatMap((strand) =>
    wireStrokes(
      curve(
        Array.from({ length: 13 }, (_, i) => ({
          x: Math.sin((i / 12) * Math.PI * 4 + strand * Math.PI) * wire * 0.7,
          y: -outer - (i / 12) * 6,
        })),
      ),
      wire,
      hex,
    ),
  );
  const pressed = wireStrokes(
    polyline(arc(0, 0, outer + wire, Math.PI / 2, Math.PI / 2 + 3 / (outer + wire), 8)),
    wire * 1.5,
    hex,
  );
  const box = { x0: -outer - 4, y0: -outer - 8, x1: outer + 4, y1: outer + 1.5 };
  const frame = frameIn(box);
  return [
    frame('lockTurns', [round, ...rounds, ...ends(4)]),
    frame('lockTwist', [round, ...rounds, ...twist]),
    frame('lockPressed', [round, ...rounds, ...pressed]),
  ];
}

function bareHead(head: PartOf<'head'>, hook: PartOf<'hook'> | null): Layer[] {
  return [...(hook ? [layer(hookShapes(hook), head.hookAtM * MM)] : []), layer(headShapes(head))];
}
