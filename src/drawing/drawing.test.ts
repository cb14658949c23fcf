import { describe, expect, it } from 'vitest';
import { LAKE_WATER } from '../core/hydro/water';
import { predictSpin } from '../core/predict/spin';
import { edited, itemId, on, part, plainSpinner } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { PATTERNS } from '../core/parts/blade-pattern';
import { CATALOGUE, partsOfKind } from '../core/parts/catalogue';
import { bladeReach, planArea } from '../core/parts/outline';
import { takeOff, threadParts } from '../core/lure/editing';
import { itemOf } from '../core/lure/lure';
import { layOut } from '../core/geometry/layout';
import { deltaSeats, filmSeats, spinSeats } from '../core/geometry/seats';
import { bladeMesh, lobeOfBlade, poseBlade, type BladePose } from './blade-mesh';
import { edgeOf, mix } from './colour';
import { drawElevation } from './drawn-things';
import { paintOf } from './paint';
import { portrait } from './drawn-kinds';
import type { Shape } from './shape';
import { curve, polygon, scatter } from './path';
import { motionsOf } from './motion';
import { reachOf } from './stage-reach';
import { stageScale, viewOf } from './stage-view';

/** All numbers of a path, to be looked at together. */
function numbers(d: string): number[] {
  return (d.match(/-?\d+(\.\d+)?(e-?\d+)?/g) ?? []).map(Number);
}

/** Corner points of a facet or an outline of straight lines. */
function corners(d: string): [number, number][] {
  const all = numbers(d);
  return Array.from({ length: all.length / 2 }, (_, i) => [all[2 * i] ?? 0, all[2 * i + 1] ?? 0]);
}

function areaOf(points: readonly [number, number][]): number {
  return Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = points[(i + 1) % points.length] ?? [0, 0];
      return sum + (x * nextY - nextX * y) / 2;
    }, 0),
  );
}

function boxOf(shapes: readonly Shape[]) {
  const points = shapes.filter(({ d }) => !d.includes('a')).flatMap(({ d }) => corners(d.replace(/[HV]/g, 'L')));
  const xs = points.map(([x]) => x);
  return { from: Math.min(...xs), to: Math.max(...xs) };
}

const FACE_ON: BladePose = {
  holeMm: 0,
  dropMm: 0,
  spreadRad: 0,
  setAngleRad: 0,
  azimuthRad: Math.PI / 2,
  flipped: false,
};

describe('the drawn blade', () => {
  const blades = partsOfKind('blade');

  it.each(blades.map((blade) => [blade.id, blade] as const))('%s seen square on has its true plan area', (_, blade) => {
    const { facets } = poseBlade(bladeMesh(lobeOfBlade(blade), { along: 40, across: 10 }), FACE_ON);
    const drawnMm2 = facets.reduce((sum, { points }) => sum + areaOf(points.map(({ x, y }) => [x, y])), 0);
    const planMm2 = planArea(PATTERNS[blade.pattern].outline, blade) * 1e6;
    expect(Math.abs(drawnMm2 / planMm2 - 1)).toBeLessThan(0.02);
  });

  it('reaches from its root to its tip, standing at the spread from the wire', () => {
    const [blade] = blades;
    if (!blade) throw new Error('there are blades');
    const spreadRad = 0.7;
    const pose = { ...FACE_ON, holeMm: 12, dropMm: 2, spreadRad, azimuthRad: 0 };
    const points = poseBlade(bladeMesh(lobeOfBlade(blade)), pose).facets.flatMap((facet) => facet.points);
    const reach = bladeReach(blade) * 1000;
    const tip = points.reduce((far, point) => (point.y < far.y ? point : far));
    expect(tip.x).toBeCloseTo(12 + reach * Math.cos(spreadRad), 0);
    expect(-tip.y).toBeCloseTo(2 + reach * Math.sin(spreadRad), 0);
  });

  it('shows its front and its hollow by turns, in their own finishes, and is behind the lure for half a turn', () => {
    const blade = blades.find(({ id }) => id === 'blade-french-o4');
    if (!blade) throw new Error('black front, copper hollow');
    const mesh = bladeMesh(lobeOfBlade(blade));
    const at = (azimuthRad: number, flipped = false) =>
      poseBlade(mesh, { ...FACE_ON, spreadRad: 0.6, azimuthRad, flipped });
    const reds = ({ facets }: ReturnType<typeof poseBlade>) =>
      facets.reduce(
        (sum, { fill }) => sum + Number.parseInt(fill.slice(1, 3), 16) - Number.parseInt(fill.slice(5, 7), 16),
        0,
      ) / facets.length;
    const [near, far] = [at(Math.PI / 2), at(-Math.PI / 2)];
    expect(near.towardsEye).toBe(true);
    expect(far.towardsEye).toBe(false);
    expect(reds(far)).toBeGreaterThan(reds(near) + 20);
    expect(reds(at(Math.PI / 2, true))).toBeGreaterThan(reds(near) + 20);
    const depths = near.facets.map(({ depth }) => depth);
    expect(depths).toEqual([...depths].sort((a, b) => a - b));
  });
});

/** Delta blades and films turn; strips are drawn with the band that holds them. */
const MOVING_OR_WITHIN: ReadonlySet<string> = new Set(['deltaBlade', 'filmBlade', 'skirtLayer']);

describe('the elevation', () => {
  it.each(DEMO_LURES.map((lure) => [lure.name, lure] as const))(
    'of %s draws every part where the layout puts it',
    (_, lure) => {
      const layout = layOut(lure.build);
      const things = drawElevation(lure.build, layout);
      const picks = new Set(things.map(({ pick }) => pick));
      const moving = new Set(spinSeats(lure.build, layout).flatMap(({ item, clevis }) => [item.id, clevis?.item.id]));
      for (const { id, part: each } of Object.values(lure.build.items)) {
        const isElsewhere = moving.has(id) || MOVING_OR_WITHIN.has(each.kind);
        expect(picks.has(id) || isElsewhere).toBe(true);
      }
      for (const end of layout.path ? (['wire', 'tail'] as const) : (['wire', 'nose', 'tail'] as const))
        expect(picks).toContain(end);
      for (const { item, x0M, x1M } of layout.strand) {
        const drawn = things.find(({ pick }) => pick === item.id);
        if (!drawn || item.part.kind === 'shrinkTube' || item.part.kind === 'dressing') continue;
        // Its snell is drawn there, the hook among what hangs.
        if (item.part.kind === 'hook') continue;
        const { from, to } = boxOf(drawn.shapes);
        expect(drawn.atMm + from).toBeCloseTo(x0M * 1000, 3);
        if (item.part.kind !== 'cap') expect(drawn.atMm + to).toBeCloseTo(x1M * 1000, 3);
      }
    },
  );

  it('puts numbers only, and colours that exist, into every path of every part', () => {
    for (const each of CATALOGUE) {
      const { shapes, width, height } = portrait(each);
      expect(width * height).toBeGreaterThan(0);
      for (const { d, fill, stroke } of shapes) {
        expect(d).not.toMatch(/NaN|undefined|Infinity/);
        for (const colour of [fill, stroke]) if (typeof colour === 'string') expect(colour).toMatch(/^#[0-9a-f]{6}$/);
      }
    }
  });

  it('draws a turned part end for end, and a tube over loop, ring and eye', () => {
    const lure = plainSpinner();
    const capped = edited(lure, threadParts(lure.build, part('cap-brass-6'), 2));
    const turned = edited(capped, { kind: 'adjust', item: itemId('cap-1'), changes: { flipped: true } });
    const shapesOf = (each: typeof lure) =>
      JSON.stringify(drawElevation(each.build, layOut(each.build)).find(({ pick }) => pick === 'cap-1')?.shapes);
    expect(shapesOf(turned)).not.toBe(shapesOf(capped));
    const tubed = edited(lure, threadParts(lure.build, part('shrink-tube-4-clear'), lure.build.strand.length));
    const layout = layOut(tubed.build);
    const tube = drawElevation(tubed.build, layout).find(({ pick }) => pick === 'shrinkTube-1');
    const ring = layout.off.find(({ item }) => item.part.kind === 'splitRing');
    expect(tube?.hit.x0).toBeCloseTo(layout.tail.wraps.x0M * 1000, 9);
    expect(tube?.hit.x1 ?? 0).toBeGreaterThan((ring?.x1M ?? 1) * 1000);
  });

  it('draws what hangs forward from the nose to the left of it', () => {
    const lure = plainSpinner();
    const flashing = edited(
      lure,
      {
        kind: 'insert',
        items: [
          { ...itemOf(lure.build, itemId('splitRing-1')), id: itemId('splitRing-2'), seat: { on: 'end', end: 'nose' } },
        ],
        entries: [],
      },
      { kind: 'reseat', item: itemId('blade-1'), seat: on('splitRing-2', 'hung') },
    );
    const layout = layOut(flashing.build);
    const ring = drawElevation(flashing.build, layout).find(({ pick }) => pick === 'splitRing-2');
    expect(ring?.mirrored).toBe(true);
    expect(ring?.hit.x0).toBeLessThan(0);
    expect(layout.x0M).toBeLessThan(-0.02);
  });
});

describe('the stage', () => {
  it('fits every demo lure into its width and height at one scale, axis and nose on the page', () => {
    for (const { build } of DEMO_LURES) {
      for (const [width, height] of [
        [960, 310],
        [390, 330],
        [2000, 500],
      ] as const) {
        const layout = layOut(build);
        const motions = motionsOf(
          spinSeats(build, layout),
          filmSeats(layout),
          deltaSeats(layout),
          predictSpin(build, LAKE_WATER, [0.8]),
        );
        const view = viewOf(stageScale(reachOf(layout, motions), { widthPx: width, heightPx: height, topPx: 0 }));
        expect(view.toX(layout.x0M)).toBeGreaterThanOrEqual(0);
        expect(view.toX(layout.x1M)).toBeLessThanOrEqual(width);
        expect((view.toX(0.05) - view.toX(0)) / 50).toBeCloseTo(view.pxPerMm, 9);
      }
    }
  });
});

describe('paths and paints', () => {
  it('close polygons, pass curves through their points, and scatter the same each time', () => {
    const points = [
      { x: 0, y: 0 },
      { x: 1, y: 2 },
      { x: 3, y: 1 },
    ];
    expect(polygon(points)).toBe('M0 0L1 2L3 1Z');
    expect(curve(points)).toMatch(/^M0 0C.* 1 2C.* 3 1$/);
    const values = Array.from({ length: 500 }, (_, i) => scatter(i, 3));
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...values)).toBeLessThan(1);
    expect(values.reduce((a, b) => a + b) / 500).toBeGreaterThan(0.4);
  });

  it('give every finish of the catalogue a paint of rising stops, and mix colours between their ends', () => {
    for (const { finish } of CATALOGUE) {
      for (const form of ['across', 'ball'] as const) {
        const { stops } = paintOf(finish, form);
        expect(stops.map(({ at }) => at)).toEqual(stops.map(({ at }) => at).sort((a, b) => a - b));
        expect(stops.at(-1)?.at).toBe(1);
      }
    }
    expect(mix('#000000', '#ffffff', 0.5)).toBe('#808080');
    expect(mix('#102030', '#405060', 2)).toBe('#405060');
  });
});

describe('what can be overlooked', () => {
  it('a clevis without a blade hangs down from the wire; with one it is drawn with the blade, turning', () => {
    const lure = plainSpinner();
    const bare = edited(lure, takeOff(lure.build, itemId('blade-1')));
    const picks = (build: typeof lure.build) => drawElevation(build, layOut(build)).map(({ pick }) => pick);
    expect(picks(lure.build)).not.toContain('clevis-1');
    const clevis = drawElevation(bare.build, layOut(bare.build)).find(({ pick }) => pick === 'clevis-1');
    const heights = clevis?.shapes.flatMap(({ d }) => numbers(d).filter((_, i) => i % 2 === 1)) ?? [];
    expect(Math.max(...heights)).toBeGreaterThan(2);
  });

  it('the edge of a black piece is lighter than it, of any other darker', () => {
    const sum = (hex: string) =>
      numbers(
        hex.replace(/#(..)(..)(..)/, (_, r, g, b) => [r, g, b].map((x) => parseInt(String(x), 16)).join(' ')),
      ).reduce((a, b) => a + b, 0);
    for (const { finish } of CATALOGUE) {
      const [edge, own] = [sum(edgeOf(finish.hex, 0.5)), sum(finish.hex)];
      if (own < 130) expect(edge, finish.name).toBeGreaterThan(own);
      if (own > 200) expect(edge, finish.name).toBeLessThan(own);
    }
  });
});
