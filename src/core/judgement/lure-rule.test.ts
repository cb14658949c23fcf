import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part, plainSpinner, TAIL } from '@/testing/lures';
import { findingWords, repairWords } from '../../words/finding-words';
import { seatPart } from '../lure/editing';
import { findings, USUAL_CONTEXT } from './findings';
import { lureRuleSchema, ruleBreaches, type LureRule } from './lure-rule';
import { stateOf } from '../lure/item-state';
import { itemOf, type Lure } from '../lure/lure';

const RULE: LureRule = {
  id: 'rule-1',
  place: 'Lake Hovna',
  mostHooks: null,
  mostPoints: null,
  barbless: false,
  source: 'board at the landing',
  onDay: '2031-09-14',
};

const told = (lure: Lure, ...rules: LureRule[]) =>
  findings(lure, { ...USUAL_CONTEXT, rules }).filter(({ code }) => code.startsWith('rule'));

describe('hooks against the user’s own rule', () => {
  const trebled = plainSpinner();
  const second = edited(trebled, seatPart(trebled.build, part('ring-o2'), TAIL));
  const two = edited(second, seatPart(second.build, part('hook-single-1-0'), on('splitRing-2', 'hung')));

  it('says nothing while there is no rule, and that it is kept where it is', () => {
    expect(told(two)).toEqual([]);
    expect(told(two, RULE).map(({ code }) => code)).toEqual(['ruleKept']);
  });

  it.each([
    ['hooks', { mostHooks: 1 }, 'More hooks than your rule for Lake Hovna allows', '2 on it, 1 allowed'],
    ['blades', { mostBlades: 0 }, 'More blades than your rule for Lake Hovna allows', '1 on it, 0 allowed'],
    ['points', { mostPoints: 1 }, 'More points on a hook than your rule', '3 points, 1 allowed'],
    ['barbs', { barbless: true }, 'Barbed, and your rule for Lake Hovna allows no barbs', ''],
  ] as const)('names too many %s, with the number, the source and the day', (of, limit, title, figure) => {
    const [finding] = told(two, { ...RULE, ...limit });
    if (finding?.code !== 'ruleBroken') throw new Error('broken');
    expect(finding.breach.of).toBe(of);
    const words = findingWords(finding, two.build, 'metric');
    expect(words.title).toContain(title);
    expect(words.figure).toBe(figure);
    expect(words.why).toBe(
      'Your own entry, from board at the landing, looked at on 2031-09-14. The authority’s current text decides.',
    );
  });

  it('pinching every barb keeps a barbless rule; a hook made without one never broke it', () => {
    const barbless = { ...RULE, barbless: true };
    const [finding] = told(two, barbless);
    const repair = finding?.repairs()[0];
    if (!repair) throw new Error('a barb can be pinched');
    expect(repairWords(repair, 'metric')).toBe('Pinch the barb flat');
    expect(told(edited(two, ...repair.edits), barbless).map(({ code }) => code)).toEqual(['ruleKept']);
    const single = edited(trebled, { kind: 'swapPart', item: itemId('hook-1'), part: part('hook-single-1-0') });
    expect(told(single, barbless).map(({ code }) => code)).toEqual(['ruleKept']);
  });

  it('pinching a snelled hook leaves its snell, and a second hook behind a link is the one that can go', () => {
    const harness = demoLure('mirrow-drift');
    const [finding] = told(harness, { ...RULE, barbless: true });
    const pinched = edited(harness, ...(finding?.repairs()[0]?.edits ?? []));
    for (const {
      id,
      part: { kind },
    } of Object.values(harness.build.items)) {
      if (kind !== 'hook') continue;
      expect(stateOf(itemOf(pinched.build, id), 'hook')).toEqual({
        ...stateOf(itemOf(harness.build, id), 'hook'),
        pinched: true,
      });
    }
    const pair = demoLure('halvane-trail');
    const [many] = told(pair, { ...RULE, mostHooks: 1 });
    expect(many?.code).toBe('ruleBroken');
    const one = edited(pair, ...(many?.repairs()[0]?.edits ?? []));
    expect(told(one, { ...RULE, mostHooks: 1 }).map(({ code }) => code)).toEqual(['ruleKept']);
    expect(Object.values(one.build.items).some((item) => item.part.kind === 'link')).toBe(false);
  });

  it('is never broken by allowing more', () => {
    fc.assert(
      fc.property(
        fc.option(fc.nat(5)),
        fc.option(fc.integer({ min: 1, max: 3 })),
        fc.boolean(),
        (mostHooks, mostPoints, barbless) => {
          const rule = { ...RULE, mostHooks, mostPoints, barbless };
          const looser = {
            ...rule,
            mostHooks: mostHooks === null ? null : mostHooks + 1,
            mostPoints: mostPoints === null ? null : Math.min(mostPoints + 1, 3),
            barbless: false,
          };
          const breaches = (each: LureRule) => ruleBreaches(two.build, each).map(({ of }) => of);
          expect(breaches(rule)).toEqual(expect.arrayContaining(breaches(looser)));
        },
      ),
    );
  });

  it('several rules are told apart by their place', () => {
    const lure = demoLure('hovna-lantern');
    const both = told(lure, { ...RULE, barbless: true }, { ...RULE, id: 'rule-2', place: 'River Suvra', mostHooks: 1 });
    expect(both.map(({ key }) => key)).toEqual(['ruleBroken rule-1 barbs', 'ruleKept rule-2']);
  });

  it.each([
    ['a day', { onDay: 'Sunday' }],
    ['a source', { source: '' }],
    ['a place', { place: ' ' }],
    ['whole numbers', { mostHooks: 1.5 }],
    ['an id', { id: 'first' }],
  ])('needs %s', (_, fault) => {
    expect(lureRuleSchema.safeParse({ ...RULE, ...fault }).success).toBe(false);
    expect(lureRuleSchema.safeParse(RULE).success).toBe(true);
  });
});
