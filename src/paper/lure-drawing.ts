/**
 * A lure in ink at its own size: outlines and pale tones, for paper. The blade is laid back along the wire and seen face
 * on, so that its length and what it clears can be measured off the page.
 */
import { poseOf } from '../core/geometry/placed';
import { PATTERNS, FILM_LOBE } from '../core/parts/blade-pattern';
import { filmLobe, outlineRim } from '../core/parts/outline';
import { outsideRadius } from '../core/geometry/outside-radius';
import { pointOn } from '../core/carriers/wire-path';
import type { Layout } from '../core/geometry/layout';
import type { Build } from '../core/lure/lure';
import { deltaSeats, filmSeats, spinSeats } from '../core/geometry/seats';
import { darker, lighter } from '../drawing/colour';
import { deltaFlat } from '../drawing/bait-shapes';
import { drawElevation, linePose, type PagePose } from '../drawing/drawn-things';
import { clevisOutline } from '../drawing/clevis-outline';
import { ellipse, polygon } from '../drawing/path';
import type { Shape } from '../drawing/shape';
import { path, type Mark } from './page';

const MM = 1000;
const OUTLINE_MM = 0.15;

/**
 * @param xMm where the lure's own x = 0 lies on the page
 * @param axisMm height of its axis on the page
 * @param scale 1 is true size
 */
export function lureInInk(build: Build, layout: Layout, xMm: number, axisMm: number, scale: number): Mark[] {
  const things = drawElevation(build, layout).flatMap(({ line, shapes, atMm, liftMm, mirrored }) => {
    const [x, y] = onPage(line, atMm, liftMm);
    return shapes.map((shape) => inInk(shape, x, y, mirrored ? -scale : scale, scale, line.turnRad));
  });
  /** A place on a line of the lure, on the page. */
  function onPage({ xMm: lineX, yMm: lineY, turnRad }: PagePose, atMm: number, liftMm: number): [number, number] {
    const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
    return [xMm + (lineX + atMm * cos + liftMm * sin) * scale, axisMm + (lineY + atMm * sin - liftMm * cos) * scale];
  }
  const run = linePose(layout, 'run');
  const { turnRad } = run;
  const clevises = layout.clevises.flatMap(({ clevis, foreM, aftM, item }): Mark[] => {
    const { legs, bow } = clevisOutline(clevis, (aftM - foreM) * MM, 1);
    const { hex } = item.part.finish;
    const place = { scaleX: scale, scaleY: scale, turnRad };
    const [x, y] = onPage(run, foreM * MM, 0);
    return [
      path(bow, x, y, { ...place, stroke: darker(hex, 0.4), strokeMm: clevis.lobeThicknessM * MM * 0.8 }),
      path(legs, x, y, {
        ...place,
        fill: lighter(hex, 0.5),
        stroke: darker(hex, 0.6),
        strokeMm: OUTLINE_MM,
      }),
    ];
  });
  const blades = spinSeats(build, layout).flatMap(({ blade, line, holeM, dropM }): Mark[] => {
    const rim = outlineRim(PATTERNS[blade.pattern].outline, blade).map(({ alongM, acrossM }) => ({
      x: alongM * MM,
      y: acrossM * MM,
    }));
    const hole = (blade.holeDiameterM / 2) * MM;
    const pose = linePose(layout, line);
    const place = onPage(pose, holeM * MM, dropM * MM);
    return sheet(polygon(rim), ellipse(0, 0, hole, hole), place, pose.turnRad, blade.finish.hex, scale);
  });
  const films = filmSeats(layout).flatMap(({ film, hubM, spreadRad }): Mark[] => {
    const lobe = outlineRim(FILM_LOBE, filmLobe(film)).map(({ alongM, acrossM }) => ({ alongM, acrossM }));
    return ([1, -1] as const).flatMap((side) => {
      const points = lobe.map(({ alongM, acrossM }) => ({
        x: (alongM * Math.cos(spreadRad) + acrossM * 0.35) * MM,
        y: -side * alongM * Math.sin(spreadRad) * MM,
      }));
      return sheet(polygon(points), null, onPage(run, hubM * MM, 0), turnRad, film.finish.hex, scale);
    });
  });
  const deltas = deltaSeats(layout).flatMap(({ blade, x0M }): Mark[] => {
    const [x, y] = onPage(run, x0M * MM, 0);
    return deltaFlat(blade).map((shape) => inInk(shape, x, y, scale, scale, turnRad));
  });
  return [...things, ...clevises, ...blades, ...films, ...deltas];
}

export interface LurePlace {
  /** 1 is true size. */
  readonly scale: number;
  readonly xMm: number;
  readonly axisMm: number;
  /** Where its ink ends below. */
  readonly endsMm: number;
}

/** A lure in the middle of this width, at the first of these scales at which it is no longer than that. */
export function placeLure(
  layout: Layout,
  leftMm: number,
  topMm: number,
  wideMm: number,
  scales: readonly number[],
): LurePlace {
  const longMm = (layout.x1M - layout.x0M) * MM;
  const scale = scales.find((each) => longMm * each <= wideMm) ?? SMALLEST_SCALE;
  const { upM, downM } = inkHeights(layout);
  const axisMm = topMm + upM * MM * scale;
  return {
    scale,
    axisMm,
    xMm: leftMm + (wideMm - longMm * scale) / 2 - layout.x0M * MM * scale,
    endsMm: axisMm + downM * MM * scale,
  };
}

const SMALLEST_SCALE = 0.1;

/** How far the ink reaches above and below the axis, m. */
function inkHeights(layout: Layout): { readonly upM: number; readonly downM: number } {
  const across = layout.off.flatMap(({ item, line, offAxisM, pivotM }) => {
    const { part } = item;
    const { yM } = pointOn(poseOf(layout, line), pivotM);
    const half = part.kind === 'blade' ? offAxisM + part.widthM / 2 : outsideRadius(part);
    return [yM + half, yM - half];
  });
  const strung = layout.strand.flatMap(({ x0M, radiusM }) => {
    const { yM } = pointOn(layout.lines.run, x0M);
    return [yM + radiusM, yM - radiusM];
  });
  const all = [0.006, -0.006, layout.y0M, layout.y1M, ...across, ...strung];
  return { upM: Math.max(...all), downM: -Math.min(...all) };
}

/** A sheet laid over the rest: thin enough to see through. */
function sheet(
  rim: string,
  hole: string | null,
  [xMm, yMm]: readonly [number, number],
  turnRad: number,
  hex: string,
  scale: number,
): Mark[] {
  const place = { scaleX: scale, scaleY: scale, turnRad };
  return [
    path(rim, xMm, yMm, { ...place, fill: lighter(hex, 0.75), opacity: 0.45 }),
    path(rim, xMm, yMm, { ...place, stroke: darker(hex, 0.6), strokeMm: 0.25 }),
    ...(hole === null ? [] : [path(hole, xMm, yMm, { ...place, stroke: darker(hex, 0.6), strokeMm: OUTLINE_MM })]),
  ];
}

function inInk(
  { d, fill, stroke, strokeWidth, opacity }: Shape,
  x: number,
  y: number,
  scaleX: number,
  scaleY: number,
  turnRad: number,
) {
  const hex = fill === undefined ? null : typeof fill === 'string' ? fill : middleOf(fill);
  return path(d, x, y, {
    scaleX,
    scaleY,
    turnRad,
    fill: hex === null ? null : pale(hex),
    stroke: stroke ?? null,
    strokeMm: strokeWidth ?? 0.1,
    opacity: opacity ?? 1,
  });
}

function middleOf({ stops }: { readonly stops: readonly { readonly at: number; readonly colour: string }[] }): string {
  const near = [...stops].sort((a, b) => Math.abs(a.at - 0.5) - Math.abs(b.at - 0.5))[0];
  return near?.colour ?? '#888888';
}

function pale(hex: string): string {
  return /^#[0-9a-f]{6}$/i.test(hex) ? lighter(hex, 0.45) : hex;
}
