import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import {
  bait,
  demoLure,
  edited,
  itemId,
  on,
  part,
  plainBait,
  plainSpinner,
  spinner,
  TAIL,
  twoPieces,
} from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { findings } from '../core/judgement/findings';
import { seatPart, threadParts } from '../core/lure/editing';
import type { ItemState } from '../core/parts/part';
import type { Build, Lure } from '../core/lure/lure';
import { closingChecks } from '../core/make/closing-checks';
import { OPERATIONS } from '../core/make/operation-rules';
import type { Op } from '../core/make/operation';
import { planMake, standsAfter, type MakeStep } from '../core/make/plan';
import { TOOLS } from '../core/make/operation-rule';
import { showLength } from '../core/units/write';
import { AFTER_WORDS, SENSE_WORDS } from './after-words';
import { CLOSING_WORDS } from './closing-words';
import { amountName, stepWords, unsaidAmounts } from './make-words';
import { noWayWords } from './no-way-words';
import { HAZARD_WORDS, SUPPLY_WORDS, TOOL_WORDS, UNDOING_WORDS, WAIT_WORDS } from './tool-words';
import { spokenStep } from './spoken-words';

const put = (lure: Lure, id: string, seat: Parameters<typeof seatPart>[2]) =>
  edited(lure, seatPart(lure.build, part(id), seat));
const state = (lure: Lure, id: string, value: ItemState) =>
  edited(lure, { kind: 'adjust', item: itemId(id), changes: { state: value } });

function stepsOf(build: Build): readonly MakeStep[] {
  const plan = planMake(build);
  if (plan.outcome !== 'planned') throw new Error(noWayWords(plan.why, build));
  return plan.steps;
}

/** Lures that between them need everything a builder's hand can do here. */
function everyHandling(): Lure[] {
  const opened = put(put(spinner([]), 'ring-k2', TAIL), 'body-egg-10', on('splitRing-1', 'hung'));
  const fullBait = [
    ['keeper-clip-08', on('hook-1', 'tied')],
    ['trailer-claw-65-black', on('hook-1', 'pushed')],
    ['hook-stinger-1-0', on('hook-1', 'hung')],
    ['hook-disc-clear-m', on('hook-1', 'kept')],
    ['wire-soft-copper-03', on('skirt-1', 'tied')],
    ['ring-k1', { on: 'tie' }],
  ] as const;
  const dressed = fullBait.reduce((lure, [id, seat]) => put(lure, id, seat), plainBait());
  const film = spinner(['film-blade-30', 'bead-brass-3', 'dressing-hackle-olive']);
  return [
    ...DEMO_LURES,
    twoPieces(),
    state(demoLure('mirrow-ember'), 'trailer-1', {
      of: 'trailer',
      cutM: 0,
      rounded: false,
      crookedRad: 0,
      pointBuried: true,
    }),
    state(put(opened, 'hook-single-2-open', on('body-1', 'hung')), 'hook-1', { of: 'hook', pinched: true }),
    state(state(dressed, 'trailer-1', { of: 'trailer', cutM: 0.008, rounded: true, crookedRad: 0 }), 'skirt-1', {
      of: 'skirt',
      collarAt: 0.3,
      tips: 'thinned',
    }),
    state(film, 'filmBlade-1', { of: 'film', foldRad: 0.5 }),
    bait('spinnerbait', ['bead-brass-4'], []),
    put(demoLure('torvane-flash'), 'hook-treble-6', on('snap-1', 'hung')),
    // An eye of its own screwed in, a hook hung in it without a ring.
    put(
      put(demoLure('halvane-glint'), 'screw-eye-08-10', { on: 'body', side: 'belly', atM: 0.04 }),
      'hook-treble-8',
      on('screwEye-2', 'hung'),
    ),
  ];
}

describe('what each step of making says', () => {
  it('every operation is needed by some lure, and has its words', () => {
    const seen = new Map<Op, MakeStep>();
    for (const lure of everyHandling()) for (const step of stepsOf(lure.build)) seen.set(step.operation.op, step);
    expect([...seen.keys()].toSorted()).toEqual((Object.keys(OPERATIONS) as Op[]).toSorted());
  });

  it('any lure that can be reached: sentences in both systems, nothing left open, said in full', () => {
    let steps = 0;
    fc.assert(
      fc.property(anyDressedLure(), fc.constantFrom('metric', 'trade'), (lure, system) => {
        const plan = planMake(lure.build);
        if (plan.outcome === 'noWay') {
          expect(noWayWords(plan.why, lure.build)).toMatch(/[.:]/);
          return;
        }
        for (const step of plan.steps) {
          steps++;
          const { what, how } = stepWords(step, system as 'metric' | 'trade');
          expect(what).toMatch(/^[A-Z].*\.$/);
          expect(`${what} ${how}`).not.toMatch(/undefined|NaN|null|\s{2,}\S|, \.|: \./);
          const said = spokenStep(step, system as 'metric' | 'trade');
          expect(said).toContain(what.split(' ')[0]);
          expect(said).not.toMatch(/\d mm\b|\d in\b|#|°/);
          for (const hazard of step.hazards) expect(said).toContain(HAZARD_WORDS[hazard].slice(0, 12));
          const other = system === 'metric' ? /\d in\b/ : /\d mm\b/;
          // A part's own name may carry its maker's measure.
          if (
            !/\d mm\b/.test(
              JSON.stringify(lure.build)
                .match(/"name":"[^"]*"/g)
                ?.join(' ') ?? '',
            )
          )
            expect(`${what} ${how}`).not.toMatch(other);
        }
      }),
      { seed: 3, numRuns: 80 },
    );
    expect(steps).toBeGreaterThan(500);
  });

  it('every tool, supply, amount, wait, check and danger that a step names has its words', () => {
    for (const tool of TOOLS) expect(TOOL_WORDS[tool].length).toBeGreaterThan(3);
    for (const lure of everyHandling()) {
      for (const step of stepsOf(lure.build)) {
        for (const supply of step.supplies) expect(SUPPLY_WORDS[supply].length).toBeGreaterThan(3);
        for (const amount of step.amounts) expect(amountName(amount).length).toBeGreaterThan(2);
        for (const check of step.after) {
          const { sense, words } = AFTER_WORDS[check];
          expect(SENSE_WORDS[sense]).toMatch(/Look|Listen|Feel/);
          expect(words.length).toBeGreaterThan(10);
        }
        if (step.wait) expect(WAIT_WORDS[step.wait.for].length).toBeGreaterThan(5);
        expect(UNDOING_WORDS[step.undoing]).toMatch(/\.$/);
        expect(step.after.length, step.id).toBeGreaterThan(0);
        expect(step.minutes, step.id).toBeGreaterThan(0);
      }
      for (const { check } of closingChecks(lure.build, findings(lure))) expect(CLOSING_WORDS[check]).toMatch(/\.$/);
    }
  });

  it('steps that can hurt carry their caution, every one: cutting, heat, cement, points, metal, knives', () => {
    const CAUTION: Readonly<Partial<Record<Op, readonly string[]>>> = {
      cutWire: ['clippedWire'],
      formLoop: ['clippedWire'],
      closeLoop: ['clippedWire'],
      turnDown: ['clippedWire'],
      castHead: ['hotMetal', 'hookPoint'],
      cutTubes: ['blade'],
      shrinkTube: ['flame'],
      tieDressing: ['hookPoint', 'cement'],
      dressWire: ['cement'],
      lashKeeper: ['clippedWire', 'hookPoint'],
      lockSkirt: ['clippedWire'],
      pinchBarb: ['hookPoint'],
      fitSkirt: ['hookPoint'],
      thinTips: ['blade'],
      cutTrailer: ['blade'],
      pushTrailer: ['hookPoint'],
      hangStinger: ['hookPoint'],
      hangByEye: ['hookPoint'],
      capPoint: ['hookPoint'],
    };
    let checked = 0;
    for (const lure of everyHandling()) {
      for (const { operation, hazards, items, id } of stepsOf(lure.build)) {
        for (const hazard of CAUTION[operation.op] ?? []) {
          expect(hazards, id).toContain(hazard);
          checked++;
        }
        const isLead = items.some((item) => lure.build.items[item]?.part.material === 'lead');
        if (isLead && ['thread', 'slideOver', 'takeFrame', 'castHead'].includes(operation.op))
          expect(hazards).toContain('lead');
        const hangsHook = items.some((item) => lure.build.items[item]?.part.kind === 'hook');
        if (hangsHook && operation.op.startsWith('hang')) expect(hazards, id).toContain('hookPoint');
      }
    }
    expect(checked).toBeGreaterThan(60);
  });

  it('every measure of a step stands in its sentences or beside them, once', () => {
    const hovna = demoLure('hovna-lantern');
    const nose = stepsOf(hovna.build).find(({ id }) => id === 'formLoop nose');
    if (!nose) throw new Error('the line tie is rolled');
    expect(unsaidAmounts(nose, 'metric')).toEqual(['inside 3.2 mm', 'wraps 3', 'play to leave 1.50 mm']);
    expect(unsaidAmounts(nose, 'trade')).toEqual(['inside 0.126 in', 'wraps 3', 'play to leave .059 in']);
    for (const lure of everyHandling()) {
      for (const step of stepsOf(lure.build)) {
        const { what, how } = stepWords(step, 'metric');
        const all = `${what} ${how} ${unsaidAmounts(step, 'metric').join(' ')}`;
        for (const amount of step.amounts) {
          if ('lengthM' in amount) expect(all, step.id).toContain(showLength(amount.lengthM, 'metric'));
          if ('count' in amount && amount.count > 1) expect(all, step.id).toContain(String(amount.count));
        }
        for (const said of unsaidAmounts(step, 'metric'))
          expect(spokenStep(step, 'metric')).toContain(said.split(' ')[0]);
      }
    }
  });

  it('parts of one name are told apart: by finish, else by standing in front or behind', () => {
    const fan = demoLure('suvra-fan');
    const said = stepsOf(fan.build).map((step) => stepWords(step, 'metric').what);
    expect(said).toContain('Thread the lower leg of the rear folded clevis, wide #2.');
    expect(said).toContain('Hang the willow blade #3 (silver plate) on the waiting front folded clevis, wide #2.');
    const one = plainSpinner();
    expect(
      stepsOf(one.build)
        .map((step) => stepWords(step, 'metric').what)
        .join(' '),
    ).not.toMatch(/front|rear/);
  });

  it('a washer on both sides is two steps, three beads beside each other one', () => {
    const lure = edited(plainSpinner(), threadParts(plainSpinner().build, part('bead-copper-4'), 2, 3));
    const threads = stepsOf(lure.build).filter(({ operation }) => operation.op === 'thread');
    const copper = threads.filter((step) => stepWords(step, 'metric').what.includes('copper'));
    expect(copper).toHaveLength(1);
    expect(copper[0]?.amounts).toEqual([{ of: 'count', count: 3 }]);
    expect(copper.map((step) => stepWords(step, 'metric').what)).toEqual(['Thread 3 × 4.0 mm copper bead.']);
  });

  it('everything that every handling makes is made exactly, step by step', () => {
    for (const { build } of everyHandling()) {
      const plan = planMake(build);
      if (plan.outcome !== 'planned') throw new Error('there is a way');
      expect(standsAfter(build, plan.steps, plan.steps.length).build).toEqual(build);
    }
  });
});
