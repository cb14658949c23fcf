/** What must come out right, on line: each ordering by its number, and what trollers say of sinkers. */
import { heardOf, impulses, soundings } from '@/testing/hearing';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, harness, itemId, on, part } from '@/testing/lures';
import { measured } from '@/testing/measured';
import { expectOrdering, type Pair } from '@/testing/ordering';
import { DEMO_LURES } from '@/demo/scenario';
import { restClearance } from '../geometry/clearance';
import { layOut, trailingHooks } from '../geometry/layout';
import { spinSeats } from '../geometry/seats';
import { USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { LAKE_WATER } from '../hydro/water';
import { seatPart, strandIndexes, threadParts } from '../lure/editing';
import type { Lure } from '../lure/lure';
import { partsOfKind } from '../parts/catalogue';
import { nominalCrossings } from './crossings';
import { rides } from './ride';
import { predictSpin } from './spin';

const ON_LINE = DEMO_LURES.filter(({ build }) => build.carrier.kind === 'line');
const FISHED = [0.3, 0.5, 0.8, 1.1, 1.5] as const;
const HOOK = 'hook-octopus-4';
const CLEVISES = ['clevis-quick-2', 'clevis-quick-3-smoke', 'clevis-stirrup-3'];
const BLADES = ['blade-french-k1', 'blade-indiana-k2', 'blade-colorado-k1'];

function depthOf({ build }: Lure, speedMps: number, outfit: Outfit): number {
  const [line] = rides(build, LAKE_WATER, [speedMps], outfit).at[0]?.lines ?? [];
  return line?.outcome === 'sinks' ? line.depthM : 0;
}

const trolled = (massKg: number, change: Partial<Outfit> = {}): Outfit => ({
  ...USUAL_OUTFIT,
  lineOutM: 20,
  sinker: { massKg, metal: 'lead', leaderM: 0.2 },
  ...change,
});

describe('what must come out right on line', () => {
  it('a heavier sinker draws a harness deeper, thinner line that does not sink by itself too, none leaves it higher', () => {
    const heavier: Pair[] = [];
    const thinner: Pair[] = [];
    const none: Pair[] = [];
    const falls: Pair[] = [];
    for (const lure of ON_LINE) {
      const fall = (outfit: Outfit) => nominalCrossings(lure.build, LAKE_WATER, outfit).sinkMps ?? 0;
      falls.push({ name: lure.name, less: fall(USUAL_OUTFIT), more: fall(trolled(0.014)) });
      falls.push({ name: `${lure.name}, heavier`, less: fall(trolled(0.014)), more: fall(trolled(0.028)) });
      for (const speed of FISHED) {
        const name = `${lure.name} at ${speed} m/s`;
        const now = depthOf(lure, speed, trolled(0.014));
        heavier.push({ name, less: now, more: depthOf(lure, speed, trolled(0.028)) });
        const fine = trolled(0.014, { line: { kind: 'braid', diameterM: 0.00012 } });
        thinner.push({ name, less: now, more: depthOf(lure, speed, fine) });
        none.push({ name, less: depthOf(lure, speed, { ...USUAL_OUTFIT, lineOutM: 20 }), more: now });
      }
    }
    expectOrdering('heavier sinker, deeper', heavier);
    expectOrdering('thinner line, deeper', thinner);
    expectOrdering('without a sinker, shallower', none);
    expectOrdering('with a sinker it falls faster, with a heavier one faster still', falls);
  });

  it('9: on line a film open flat keeps turning down to a lower speed than folded, and than any blade of metal', () => {
    const pairs: Pair[] = [];
    const keeps = (lure: Lure) => predictSpin(lure.build, LAKE_WATER, [0.5]).blades[0]?.keeps?.mps?.value ?? Infinity;
    for (const film of partsOfKind('filmBlade')) {
      const lure = harness([film.id, 'bead-glow-4', 'bead-guard-2', HOOK]);
      const folded = edited(lure, {
        kind: 'adjust',
        item: itemId('filmBlade-1'),
        changes: { state: { of: 'film', foldRad: 0.8 } },
      });
      const flat = keeps(lure);
      pairs.push({ name: `${film.id}, folded`, less: flat, more: keeps(folded) });
      for (const blade of BLADES) {
        const metal = harness(
          ['clevis-quick-2', 'bead-glow-4', 'bead-guard-2', HOOK],
          [[blade, on('clevis-1', 'hung')]],
        );
        pairs.push({ name: `${film.id}, ${blade}`, less: flat, more: keeps(metal) });
      }
    }
    expectOrdering('9 on line', pairs);
  });

  it('12: on line a metal bead inside the clevis is louder than what is stacked beside it', () => {
    const pairs: Pair[] = [];
    for (const blade of BLADES) {
      for (const clevis of CLEVISES.slice(1)) {
        for (const speed of [0.5, 0.8, 1.2]) {
          const plain = harness(
            [clevis, 'bead-facet-4-clear', 'bead-facet-4-clear', 'bead-guard-2', HOOK],
            [[blade, on('clevis-1', 'hung')]],
          );
          const [, aft = 0] = strandIndexes(plain.build, itemId('clevis-1'));
          const caged = edited(plain, threadParts(plain.build, part('bead-brass-2'), aft));
          const heard = heardOf(caged, speed, { manner: 'steady' });
          const [inside, beside] = [soundings(heard, 'insideClevis'), soundings(heard, 'sideBySide')];
          if (inside.length === 0 || beside.length === 0) continue;
          pairs.push({
            name: `${blade} on ${clevis} at ${speed} m/s`,
            less: impulses(beside),
            more: impulses(inside),
          });
        }
      }
    }
    expect(pairs.length).toBeGreaterThan(8);
    expectOrdering('12 on line', pairs);
  });

  it('15: on line too few beads let the blade reach the hook, and beads ahead of the clevis do not help', () => {
    let compared = 0;
    for (const blade of [...BLADES, 'blade-willow-k3']) {
      const clear = (ahead: number, behind: number) => {
        const beads = (count: number) => Array<string>(count).fill('bead-plastic-4-black');
        const lure = harness(
          [...beads(ahead), 'clevis-quick-2', ...beads(behind), 'bead-guard-2', HOOK],
          [[blade, on('clevis-1', 'hung')]],
        );
        const layout = layOut(lure.build);
        const [seat] = spinSeats(lure.build, layout);
        const [hook] = trailingHooks(layout);
        if (!seat || !hook) throw new Error('a blade and a hook');
        return restClearance(layout, seat, hook).clearanceM;
      };
      expect(clear(0, 1)).toBeLessThan(0);
      expect(clear(0, 14)).toBeGreaterThan(0);
      for (const ahead of [1, 4]) expect(clear(ahead, 1)).toBeCloseTo(clear(0, 1), 12);
      compared += 4;
    }
    measured(
      'Orderings',
      '15 on line: beads ahead of the clevis change nothing, beads behind it do',
      `${compared} lures`,
      'all',
    );
  });

  it('a rolling hook twists the line, a swivel takes it; bait adds drag and weight', () => {
    const { build } = demoLure('okkel-roller');
    const bare = harness(['film-blade-24', 'bead-glow-4', 'bead-guard-2', HOOK]);
    const baited = edited(bare, seatPart(bare.build, part('bait-worm-90'), on('hook-1', 'pushed')));
    for (const speed of FISHED) {
      const [without, withBait] = [bare, baited].map((lure) => rides(lure.build, LAKE_WATER, [speed]));
      expect(withBait?.massKg).toBeGreaterThan(without?.massKg ?? 1);
      expect(withBait?.at[0]?.trim.dragN).toBeGreaterThan(without?.at[0]?.trim.dragN ?? 1);
    }
    const twisted = rides(build, LAKE_WATER, [0.6]).at[0];
    expect(twisted?.twistTurns).toBeGreaterThanOrEqual(twisted?.twistBehindSwivelTurns ?? Infinity);
  });
});
