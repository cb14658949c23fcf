import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyLure } from '@/testing/any-lure';
import { demoLure, edited, itemId, on, part, plainBait, plainSpinner } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { BLADE_PATTERNS } from '../core/parts/blade-pattern';
import { CATALOGUE } from '../core/parts/catalogue';
import { costOfChange } from '../core/costs/cost';
import { applyEdits, type Edit } from '../core/lure/edit';
import { seatPart, takeOff, threadParts } from '../core/lure/editing';
import { differences } from '../core/costs/difference';
import { roomOf, type ItemState } from '../core/parts/part';
import { degrees } from './angle-words';
import { differenceWords } from './difference-words';
import { findings } from '../core/judgement/findings';
import { cutLengths } from '../core/lengths/lengths';
import { lureMass } from '../core/lengths/mass';
import { LAKE_WATER } from '../core/hydro/water';
import { doesTurn, predictSpin } from '../core/predict/spin';
import { handlingCaution } from './caution-words';
import { costWords } from './cost-words';
import { findingWords, repairWords } from './finding-words';
import { refusalWords } from './refusal-words';
import { termWords } from './length-words';
import { finishWords, KIND_WORDS, partLine, partMeasures, partTitle, stateWords } from './part-words';
import { misfits, NOWHERE } from '../core/fits/fit';
import { planMake } from '../core/make/plan';
import { misfitWords } from './fit-words';

import { chanceWords, keepsFigure, outcomeWords } from './spin-words';
import { AFTER_WORDS } from './after-words';
import { lastChanceWords, stepWords } from './make-words';
import { noWayWords } from './no-way-words';
import { HAZARD_WORDS, TOOL_WORDS } from './tool-words';

const SYSTEMS = ['metric', 'trade'] as const;

/** Words are words: no code, no number that is none, no undefined. */
function expectWords(...texts: string[]) {
  for (const text of texts) {
    expect(text).not.toMatch(/NaN|undefined|null|Infinity|\[object/);
    expect(text.trim()).toBe(text);
  }
}

describe('where a blade stalls, in words', () => {
  const keepsMps = { value: 0.45, low: 0.35, high: 0.6, slopes: [], leastKnown: [] };
  const stall = { outcome: 'stalls', keepsMps, startsMps: 0.8, isSelfStarting: false } as const;

  it('says the slowest, its band, what starts it, and how likely it turns at the present speed', () => {
    expect(keepsFigure(stall, 'mps')).toMatchObject({ value: '0.45', unit: 'm/s', band: '0.35 to 0.60' });
    expect(keepsFigure(stall, 'mps').why).toContain('it starts at 0.80 m/s, with a twitch.');
    expect(keepsFigure(stall, 'mph')).toMatchObject({ value: '1.01', unit: 'mph', band: '0.78 to 1.34' });
    expect(keepsFigure({ ...stall, isSelfStarting: true }, 'mps').why).toContain('it starts by itself at 0.80 m/s.');
    expect(chanceWords(stall, 0.5)).toBe('may stop: turns 7 times in 10');
  });
});

describe('parts in words', () => {
  it.each(CATALOGUE.map((each) => [each.id, each] as const))(
    '%s has a title, a line and its measures in both systems',
    (_, each) => {
      expectWords(partTitle(each), finishWords(each), KIND_WORDS[each.kind].many);
      for (const system of SYSTEMS) {
        expectWords(partLine(each, system));
        const measures = partMeasures(each, system);
        expect(measures.length).toBeGreaterThanOrEqual(4);
        expect(new Set(measures.map(({ name }) => name)).size).toBe(measures.length);
        expectWords(...measures.map(({ text }) => text));
        const isOther = system === 'metric' ? / in$| oz$/ : / mm$| g$/;
        for (const { text } of measures) expect(text).not.toMatch(isOther);
      }
    },
  );

  it('cautions stand where hands can come to harm', () => {
    expect(handlingCaution(part('hook-treble-4'))).toMatch(/Sharp/);
    expect(handlingCaution(part('weight-egg-lead-7'))).toMatch(
      /Lead: wash your hands.*authority’s current text decides/,
    );
    expect(handlingCaution(part('wire-stainless-090'))).toMatch(/eye protection/);
    expect(handlingCaution(part('shrink-tube-3-red'))).toMatch(/flame/);
    expect(handlingCaution(part('bead-brass-3'))).toBeNull();
  });
});

describe('any lure that can be reached', () => {
  it('from the whole catalogue: finite figures, findings and repairs in words, costs for every change', () => {
    let faults = 0;
    let repaired = 0;
    fc.assert(
      fc.property(
        anyLure(),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        fc.constantFrom(...SYSTEMS),
        (lure, speedMps, system) => {
          const start = DEMO_LURES.find(({ id }) => id === lure.id) ?? lure;
          expect(Number.isFinite(lureMass(lure.build)) && lureMass(lure.build) > 0).toBe(true);
          for (const { terms, totalM, cutM } of cutLengths(lure.build)) {
            expect(cutM).toBeGreaterThanOrEqual(totalM - 1e-9);
            for (const term of terms) {
              expect(term.lengthM).toBeGreaterThanOrEqual(0);
              expectWords(termWords(term, system));
            }
          }
          for (const finding of findings(lure, { water: LAKE_WATER, speedMps, rules: [] }, CATALOGUE)) {
            const { title, figure, why } = findingWords(finding, lure.build, system);
            expectWords(title, figure, why);
            if (finding.severity === 'fault') faults++;
            for (const repair of finding.repairs()) {
              expectWords(repairWords(repair, system));
              const after = findings(
                edited(lure, ...repair.edits),
                { water: LAKE_WATER, speedMps, rules: [] },
                CATALOGUE,
              );
              expect(after.find(({ key }) => key === finding.key)?.severity ?? 'good').toBe('good');
              repaired++;
            }
          }
          const plan = planMake(lure.build);
          if (plan.outcome === 'noWay') expectWords(noWayWords(plan.why, lure.build));
          else {
            for (const step of plan.steps) {
              const { what, how } = stepWords(step, system);
              expectWords(what, ...(how === '' ? [] : [how]));
              if (step.lastChanceFor.length > 0) expectWords(lastChanceWords(step));
              for (const hazard of step.hazards) expectWords(HAZARD_WORDS[hazard]);
              for (const tool of step.tools) expectWords(TOOL_WORDS[tool]);
              for (const check of step.after) expectWords(AFTER_WORDS[check].words);
            }
          }
          for (const { part: each } of Object.values(lure.build.items)) {
            for (const misfit of misfits(each, {
              ...NOWHERE,
              by: 'threaded',
              hanger: { hanger: 'wire', isLimp: false, diameterM: 0.002 },
            })) {
              const { title, figure, why } = misfitWords(misfit, system);
              expectWords(title, figure, why);
            }
          }
          for (const cost of costOfChange(start.build, lure.build))
            expectWords(costWords(cost, start.build, lure.build, system));
          for (const { at } of predictSpin(lure.build, LAKE_WATER, [0, speedMps, 9]).blades) {
            for (const each of at) {
              if (doesTurn(each)) continue;
              const { short, why } = outcomeWords(each);
              expectWords(short, why);
            }
          }
        },
      ),
      { seed: 41, numRuns: 150 },
    );
    expect(faults).toBeGreaterThan(20);
    expect(repaired).toBeGreaterThan(10);
  });

  it('every refusal has a sentence', () => {
    const lure = plainSpinner();
    const refused = [
      applyEdits(lure, [
        seatPart(lure.build, part('blade-french-k1'), { on: 'item', item: itemId('bead-1'), how: 'hung' }),
      ]),
      applyEdits(lure, [{ kind: 'move', from: 0, to: 1 }]),
      applyEdits(lure, [threadParts(lure.build, part('ring-k1'), 0)]),
      applyEdits(lure, [seatPart(lure.build, part('bead-brass-3'), { on: 'end', end: 'tail' })]),
      applyEdits(lure, [{ kind: 'insert', items: Object.values(lure.build.items).slice(0, 1), entries: [] }]),
      applyEdits(lure, [{ kind: 'remove', items: [itemId('clevis-1')] }]),
      applyEdits(lure, [
        { kind: 'reseat', item: itemId('bead-1'), seat: { on: 'item', item: itemId('clevis-1'), how: 'hung' } },
      ]),
    ];
    const sentences = refused.map((each) => (each.ok ? 'was not refused' : refusalWords(each.refusal)));
    expectWords(...sentences);
    expect(new Set(sentences).size).toBe(sentences.length);
    expect(sentences).not.toContain('was not refused');
    expect(refusalWords({ code: 'nothingToDo' })).toMatch(/nothing more/);
  });
});

describe('what a blade that does not turn says', () => {
  it('names the quantity and the limit when the model ends', () => {
    expect(outcomeWords({ outcome: 'outsideModel', quantity: 'speedMps', value: 9, limit: 5 }).why).toBe(
      'The model holds up to 5 m/s.',
    );
    expect(outcomeWords({ outcome: 'doesNotTurn', reason: 'frictionHoldsIt' }).why).toMatch(/Friction/);
    expect(outcomeWords({ outcome: 'didNotConverge', residual: 1 }).why).toMatch(/No steady turning/);
    expect(outcomeWords({ outcome: 'notFinite', where: 'torque' }).why).toMatch(/torque/);
  });

  it('knows every pattern by its trade name', () => {
    for (const pattern of BLADE_PATTERNS) {
      const blade = CATALOGUE.find((each) => each.kind === 'blade' && each.pattern === pattern);
      if (!blade) throw new Error(`no ${pattern} in the catalogue`);
      expect(partMeasures(blade, 'metric')[0]?.text.length).toBeGreaterThan(5);
    }
    expect(demoLure('hovna-lantern').name).toBe('Hovna Lantern');
  });
});

describe('what was done to a piece, in words', () => {
  const states: readonly [ItemState, RegExp | ''][] = [
    [{ of: 'film', foldRad: 0 }, ''],
    [{ of: 'film', foldRad: 0.5 }, /folded 29°/],
    [{ of: 'hook', pinched: true }, /barb pinched/],
    [{ of: 'hook', pinched: false }, ''],
    [{ of: 'tube', cutLengthM: 0.012 }, ''],
    [{ of: 'swivel', condition: 'free' }, ''],
    [{ of: 'swivel', condition: 'gritty' }, /gritty/],
    [{ of: 'skirt', collarAt: 0.3, tips: 'thinned' }, /tips thinned/],
    [{ of: 'trailer', cutM: 0.01, rounded: true, crookedRad: 0 }, /cut short, rounded/],
    [{ of: 'rivet', fixing: 'upset' }, /upset and filed/],
    [{ of: 'sleeve', slidUp: true }, /slid up over the end/],
    [{ of: 'deltaBlade', clacks: true }, /ticks on the head/],
    [{ of: 'lock', turns: 1 }, /1 turn$/],
    [{ of: 'lock', turns: 3 }, /3 turns/],
  ];

  it.each(states)('%o', (state, words) => {
    const of = CATALOGUE.find((each) => roomOf(each).usual?.of === state.of);
    if (!of) throw new Error(`no catalogue part is ever ${state.of}`);
    if (words === '') expect(stateWords({ part: of, state })).toBe('');
    else expect(stateWords({ part: of, state })).toMatch(words);
  });

  it('nothing done, nothing said', () => {
    for (const each of CATALOGUE) expect(stateWords({ part: each, state: null })).toBe('');
    expect(degrees(-0.01)).toBe('0.6°');
    expect(degrees(1.2)).toBe('69°');
  });
});

describe('what two versions differ in, in words', () => {
  const lure = plainBait();
  const words = (...edits: Edit[]) =>
    SYSTEMS.map((system) =>
      differences(lure.build, edited(lure, ...edits).build)
        .map((each) => differenceWords(each, system))
        .join('; '),
    );

  it('names what was put on, taken off, swapped, turned, handled and bent', () => {
    for (const [edit, said] of [
      [seatPart(lure.build, part('trailer-claw-55-rust'), on('hook-1', 'pushed')), /Single claw 55 put on/],
      [takeOff(lure.build, itemId('skirt-1')), /Skirt band taken off/],
      [{ kind: 'swapPart', item: itemId('blade-1'), part: part('blade-indiana-k4') }, /became Indiana blade #4/],
      [{ kind: 'swapPart', item: itemId('skirtLayer-1'), part: part('strip-red') }, /white.* became .*red/],
      [{ kind: 'adjust', item: itemId('skirt-1'), changes: { flipped: true } }, /Skirt band turned over/],
      [
        { kind: 'adjust', item: itemId('swivel-1'), changes: { state: { of: 'swivel', condition: 'rusty' } } },
        /Crane swivel 7 rusty/,
      ],
      [{ kind: 'carrier', changes: { armM: 0.05 } }, /bent otherwise/],
      [{ kind: 'carrier', changes: { tail: { form: 'plain' } } }, /ends of the wire/],
      [threadParts(lure.build, part('bead-glass-4-amber'), 0), /Glass bead put on/],
    ] as const satisfies readonly (readonly [Edit, RegExp])[]) {
      for (const text of words(edit)) expect(text).toMatch(said);
    }
  });
});
