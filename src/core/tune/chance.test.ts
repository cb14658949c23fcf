/** Chances of meeting a target, against random draws of all factors, and what must hold of them whatever is wanted. */
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { targetFileJsonSchema } from '../../../scripts/lure-file-schema';
import { describe, expect, it } from 'vitest';
import { drawnRide } from '@/testing/drawn-ride';
import { DEMO_LURES } from '@/demo/scenario';
import { demoLure, plainSpinner } from '@/testing/lures';
import { normals } from '@/core/random';
import { seeded } from '@/testing/seeded';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { LAKE_WATER } from '../hydro/water';
import { HALF_WIDTHS_A_SIGMA } from '../predict/band';
import { factorsOf } from '../predict/factors';
import { lureInWater } from '../predict/lure-in-water';
import { predict } from '../predict/predict';
import { cardOf } from './card';
import { chancesOf } from './chance';
import { CARD_LINES, WEIGHTS, type CardLine, type Want } from './target';
import { readTargetFile, writeTargetFile } from './target-file';

const SPEED = 0.8;
const want = (line: CardLine, low: number | null, high: number | null, weight: Want['weight'] = 'must'): Want => ({
  line,
  low,
  high,
  weight,
});
const cards = DEMO_LURES.map(({ build }) => cardOf(build, LAKE_WATER, SPEED));

/** A window about the value of a line, from so many half bands below to so many above; null for no such line. */
function about(card: (typeof cards)[number], line: CardLine, below: number, above: number): Want | null {
  const said = card.lines[line];
  if (!said || said.low === said.high) return null;
  return want(line, said.value - below * (said.value - said.low), said.value + above * (said.high - said.value));
}

describe('the chance that all musts are met', () => {
  it('is that of random draws of all factors together, worked out anew each time', () => {
    const DRAWS = 400;
    const off: number[] = [];
    for (const lure of [
      plainSpinner('blade-colorado-k3'),
      plainSpinner('blade-french-o2'),
      demoLure('hovna-lantern'),
    ]) {
      const { build } = lure;
      const inWater = lureInWater(build, LAKE_WATER, USUAL_OUTFIT);
      const card = cardOf(build, LAKE_WATER, SPEED);
      const { thumpNs, depthM, keepsMps } = card.lines;
      const level = predict(build, LAKE_WATER, [SPEED]).spin.blades[0]?.keeps;
      if (!thumpNs || !depthM || !keepsMps || !level) throw new Error(`${lure.name} turns and sinks`);
      // Draws tell of the water along the axle, the card of the lure.
      const ofLure = keepsMps.value / level.mps.value;
      const targets: Want[][] = [
        [want('thumpNs', thumpNs.value, null), want('depthM', null, depthM.value)],
        [want('thumpNs', thumpNs.value, null), want('depthM', depthM.value, null)],
        [want('keepsMps', null, keepsMps.value), want('thumpNs', null, thumpNs.value)],
        [
          want('keepsMps', null, keepsMps.high),
          want('depthM', depthM.low, depthM.value),
          want('thumpNs', thumpNs.low, null),
        ],
      ];
      const factors = factorsOf(inWater.spinners.map(({ station }) => station));
      const normal = normals(seeded(41));
      const draws = Array.from({ length: DRAWS }, () =>
        drawnRide(
          inWater,
          SPEED,
          factors,
          factors.map(() => normal() / HALF_WIDTHS_A_SIGMA),
        ),
      );
      for (const wants of targets) {
        const met = draws.filter((drawn) => {
          const values: Partial<Record<CardLine, number | null>> = {
            thumpNs: drawn.thumpNs,
            depthM: drawn.depthM,
            keepsMps: drawn.keptMps * ofLure,
          };
          return wants.every(({ line, low, high }) => {
            const value = values[line] ?? null;
            return value !== null && (low === null || value >= low) && (high === null || value <= high);
          });
        }).length;
        off.push(Math.abs(chancesOf(card, wants).allMusts - met / DRAWS));
      }
    }
    expect(off).toHaveLength(12);
    expect(Math.max(...off)).toBeLessThan(0.1);
  });

  it('does not change when a must is said twice, and never grows by another must', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...cards),
        fc.array(fc.tuple(fc.constantFrom(...CARD_LINES), fc.double({ min: -0.5, max: 2, noNaN: true })), {
          minLength: 1,
          maxLength: 5,
        }),
        (card, picked) => {
          const wants = picked.flatMap(([line, by]) => about(card, line, by, by + 0.6) ?? []);
          const { allMusts, each } = chancesOf(card, wants);
          expect(chancesOf(card, [...wants, ...wants]).allMusts).toBe(allMusts);
          for (const { chance } of each) expect(allMusts).toBeLessThanOrEqual(chance ?? 1);
          // What would only be liked is in no way of what must be.
          const softened = wants.map((one): Want => ({ ...one, weight: 'wouldLike' }));
          expect(chancesOf(card, softened).allMusts).toBe(1);
          // Wider windows are met at least as often.
          const wider = wants.map((one): Want => ({ ...one, low: null }));
          wider.forEach((one, i) =>
            expect(chancesOf(card, [one]).allMusts).toBeGreaterThanOrEqual(each[i]?.chance ?? 1),
          );
        },
      ),
      { numRuns: 60, seed: 20261129 },
    );
  });

  it('does not multiply two musts that hang on the same factors; opposite ones are said to work against each other', () => {
    const [card] = cards;
    const thump = card?.lines.thumpNs;
    const pulse = card?.lines.pulseN;
    if (!card || !thump || !pulse) throw new Error('the first demo lure thumps');
    const harder = [want('thumpNs', thump.value, null), want('pulseN', pulse.value, null)];
    const { each, allMusts, against } = chancesOf(card, harder);
    expect(allMusts).toBeGreaterThan(1.15 * (each[0]?.chance ?? 1) * (each[1]?.chance ?? 1));
    expect(against).toEqual([]);
    const torn = [want('thumpNs', thump.value * 1.02, null), want('thumpNs', null, thump.value * 0.98)];
    const both = chancesOf(card, torn);
    expect(both.allMusts).toBe(0);
    expect(both.against).toEqual([torn]);
  });

  it('of a line that cannot be said is none, by name', () => {
    const card = cardOf(plainSpinner().build, LAKE_WATER, SPEED);
    expect(card.lines.planingMps).toBeNull();
    const { each, allMusts } = chancesOf(card, [want('planingMps', null, 2)]);
    expect([each[0]?.chance, allMusts]).toEqual([null, 0]);
  });
});

describe('a target file', () => {
  const read = (wants: unknown, more: object = {}) =>
    readTargetFile(JSON.stringify({ format: 'mazurka-target', version: 1, name: 'slow and hard', wants, ...more }));
  const problem = (reading: ReturnType<typeof readTargetFile>) => (reading.ok ? null : reading.problem);

  it('has its schema in docs, as it is read', () => {
    const committed: unknown = JSON.parse(readFileSync('docs/target-file.schema.json', 'utf8'));
    expect(JSON.parse(JSON.stringify(targetFileJsonSchema()))).toEqual(committed);
  });

  it('is read back as it was written', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            line: fc.constantFrom(...CARD_LINES),
            low: fc.double({ min: -50, max: 50, noNaN: true }).map((low) => low + 0),
            by: fc.double({ min: 1e-6, max: 9, noNaN: true }),
            weight: fc.constantFrom(...WEIGHTS),
          }),
          { minLength: 1, maxLength: 12 },
        ),
        (all) => {
          const wants = all.map(({ line, low, by, weight }) => ({ line, low, high: low + by, weight }));
          const target = { name: 'slow and hard', wants };
          expect(readTargetFile(writeTargetFile(target))).toEqual({ ok: true, target });
        },
      ),
      { numRuns: 40, seed: 99 },
    );
  });

  it('is refused with an empty or reversed window, without wants, of a line there is none of, or from the future', () => {
    const line = { line: 'thumpNs', low: 0.004, high: null, weight: 'must' };
    expect(read([line]).ok).toBe(true);
    expect(problem(read([{ ...line, low: null }]))).toMatchObject({
      message: expect.stringMatching(/at least one edge/),
    });
    expect(problem(read([{ ...line, high: 0.003 }]))).toMatchObject({ message: expect.stringMatching(/lies below/) });
    expect(problem(read([]))?.code).toBe('faultyField');
    expect(problem(read([{ ...line, line: 'beauty' }]))).toMatchObject({ path: 'wants.0.line' });
    expect(problem(read([line], { version: 2 }))).toMatchObject({ code: 'fromTheFuture', version: 2, known: 1 });
    expect(problem(read([line], { format: 'mazurka-lure' }))?.code).toBe('notATargetFile');
    expect(problem(readTargetFile('{'))?.code).toBe('notJson');
    expect(problem(readTargetFile(`{"name":"${'x'.repeat(70_000)}"}`))?.code).toBe('tooLarge');
  });
});
