/** Clevises with one leg on the wire: open, leaning off it, their blade hanging from the bow. */
import type { Layout } from '../core/geometry/layout';
import { childrenOf, type Build } from '../core/lure/lure';
import { faceOnShapes } from './blade-mesh';
import { edgeOf } from './colour';
import { linePose, type DrawnThing } from './drawn-things';
import { clevisOutline } from './clevis-outline';
import { OUTLINE_MM } from './part-shapes';

const MM = 1000;
/** How far an open clevis leans, and its blade hangs from it, the second less than the first, rad. */
const LEAN_RAD = [0.9, 0.35] as const;
const HANG_RAD = [1.25, 0.55] as const;

export function begunClevises(build: Build, layout: Layout): DrawnThing[] {
  const begun = layout.strand.filter(
    ({ item }) => layout.strand.filter((each) => each.item.id === item.id).length === 1,
  );
  return begun.flatMap(({ item, leg, x0M, x1M }, i) => {
    const { part } = item;
    if (part.kind !== 'clevis') return [];
    const [lean, hang] = [LEAN_RAD[i % 2] ?? 0, HANG_RAD[i % 2] ?? 0];
    const span = (part.legGapM + 2 * part.legThicknessM) * MM;
    const leg1 = part.legThicknessM * MM;
    const { legs, bow } = clevisOutline(part, span, 1);
    const { hex } = part.finish;
    const run = linePose(layout, 'run');
    // The leg that is on the wire stays where it is; the other stands off, up and away from it.
    const isAft = leg === 'aft';
    const atMm = (isAft ? x1M : x0M) * MM;
    const turn = isAft ? lean : -lean;
    const pose = placed(run, atMm, run.turnRad + turn);
    const from = isAft ? -span : 0;
    const clevis: DrawnThing = {
      pick: item.id,
      line: pose,
      atMm: from,
      liftMm: 0,
      mirrored: false,
      shapes: [
        { d: bow, stroke: edgeOf(hex, 0.3), strokeWidth: part.lobeThicknessM * MM, round: true },
        { d: legs, fill: hex, stroke: edgeOf(hex, 0.5), strokeWidth: OUTLINE_MM },
      ],
      hit: { x0: from, x1: from + span, halfHeight: part.dropM * MM + leg1 },
      way: null,
    };
    const [cos, sin] = [Math.cos(pose.turnRad), Math.sin(pose.turnRad)];
    const [x, y] = [from + span / 2, -part.dropM * MM];
    const lobe = { xMm: pose.xMm + x * cos - y * sin, yMm: pose.yMm + x * sin + y * cos };
    const hung = childrenOf(build, item.id).flatMap(({ id, part: blade }): DrawnThing[] => {
      if (blade.kind !== 'blade') return [];
      const offset = blade.holeOffsetM * MM;
      return [
        {
          pick: id,
          line: { ...lobe, turnRad: isAft ? -hang : Math.PI + hang },
          atMm: -offset,
          liftMm: 0,
          mirrored: false,
          shapes: faceOnShapes(blade),
          hit: { x0: -offset, x1: blade.lengthM * MM, halfHeight: (blade.widthM * MM) / 2 },
          way: null,
        },
      ];
    });
    return [...hung, clevis];
  });
}

function placed(line: { xMm: number; yMm: number; turnRad: number }, atMm: number, turnRad: number) {
  return { xMm: line.xMm + atMm * Math.cos(line.turnRad), yMm: line.yMm + atMm * Math.sin(line.turnRad), turnRad };
}
