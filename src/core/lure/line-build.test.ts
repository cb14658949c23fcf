import { describe, expect, it } from 'vitest';
import { CLINCH, demoLure, edited, harness, itemId, on, part, plainSpinner } from '@/testing/lures';
import { findingWords, repairWords } from '../../words/finding-words';
import { refusalWords } from '../../words/refusal-words';
import { layOut } from '../geometry/layout';
import { RESTS } from '../geometry/stack';
import { findings } from '../judgement/findings';
import { mendings } from '../judgement/mending';
import type { Finding } from '../judgement/finding';
import { USUAL_CONTEXT } from '../judgement/findings';
import { cutLengths, wireCut } from '../lengths/lengths';
import { planMake } from '../make/plan';
import { CATALOGUE } from '../parts/catalogue';
import { applyEdits, type Edit } from './edit';
import { takeOff, threadParts } from './editing';
import type { ItemState } from '../parts/part';
import { itemOf, type Lure } from './lure';

const HOOK = 'hook-octopus-4';
const [GUARD, BEAD, CLEVIS] = ['bead-guard-2', 'bead-plastic-5-orange', 'clevis-quick-2'];
const BLADE: [string, ReturnType<typeof on>] = ['blade-french-k1', on('clevis-1', 'hung')];

/** Two hooks, four beads and a guard bead, a French blade on a quick-change clevis, half a night worm. */
const whole = () =>
  harness([CLEVIS, BEAD, BEAD, BEAD, BEAD, GUARD, HOOK, HOOK], [BLADE, ['bait-worm-90', on('hook-2', 'pushed')]]);

function set(lure: Lure, id: string, changes: object): Lure {
  const item = itemOf(lure.build, itemId(id));
  return edited(lure, {
    kind: 'adjust',
    item: item.id,
    changes: { state: { ...item.state, ...changes } as ItemState },
  });
}

function snelled(lure: Lure, id: string, changes: object): Lure {
  const { state } = itemOf(lure.build, itemId(id));
  return set(lure, id, { snell: { ...(state?.of === 'hook' ? state.snell : {}), ...changes } });
}

const found = <C extends Finding['code']>(lure: Lure, code: C) =>
  findings(lure).find((each): each is Extract<Finding, { code: C }> => each.code === code);

describe('leader lengths', () => {
  // Snell: n √((π(D + d))² + d²). Clinch: n √((2πd)² + d²) + 2πd beside its length. Worked by hand, mm.
  it.each([
    ['one hook, clinch', [HOOK], 900, 0, 900 + 23.86 + 12.57 + 40],
    ['one hook, clinch, a spare', [HOOK], 900, 150, 900 + 23.86 + 12.57 + 40 + 150],
    ['two hooks', [HOOK, HOOK], 900, 150, 900 + 2 * 23.86 + 12.57 + 40 + 150],
    ['a finer hook behind', [HOOK, 'hook-octopus-8'], 600, 0, 600 + 23.86 + 21.02 + 12.57 + 40],
  ] as const)('%s', (_, hooks, lengthMm, spareMm, wantedMm) => {
    const lure = harness(hooks, [], { lengthM: lengthMm / 1000, spareM: spareMm / 1000 });
    expect(wireCut(lure.build).totalM * 1000).toBeCloseTo(wantedMm, 1);
  });

  it('a tied loop takes its other side and its knot; a palomar is tied doubled', () => {
    const base = harness([HOOK], [], { lengthM: 0.9, spareM: 0 });
    const bare = edited(base, takeOff(base.build, itemId('swivel-1')));
    const withNose = (nose: Extract<Edit, { kind: 'carrier' }>['changes']['nose']) =>
      wireCut(edited(bare, { kind: 'carrier', changes: { nose } }).build).totalM * 1000;
    // 12 + 6 × 0.33 + 2 × 2 √((2π 0.66)² + 0.66²), and the tag.
    expect(withNose({ form: 'tiedLoop', insideM: 0.012, tagM: 0.03 })).toBeCloseTo(900 + 23.86 + 30.78 + 30, 1);
    // 2 (√((2π 0.33)² + 0.33²) + 2π 0.33) + 4 × 0.33, and the tag.
    expect(withNose({ form: 'knot', knot: 'palomar', turns: 1, tagM: 0.05 })).toBeCloseTo(900 + 23.86 + 9.67 + 50, 1);
  });

  it('spacing runs from the last wrap to the next eye, and a link is cut from eye to eye with its knots', () => {
    const lure = snelled(whole(), 'hook-2', { behindM: 0.052 });
    const { strand } = layOut(lure.build);
    const [front, last] = strand.filter(({ item }) => item.part.kind === 'hook');
    expect((last?.x0M ?? 0) - (front?.x1M ?? 0)).toBeCloseTo(0.052, 12);
    expect(last?.x1M).toBeCloseTo(layOut(lure.build).shaft.x1M, 12);
    const link = cutLengths(demoLure('halvane-trail').build).find(({ of }) => of === 'link');
    expect(link?.totalM).toBeGreaterThan(0.028 + 2 * 0.04);
  });
});

describe('what is on a line', () => {
  it('rests in three places: drawn by the stream, slack, and hung up by its hook', () => {
    const lure = whole();
    const [towed, slack, hung] = RESTS.map((rest) => layOut(lure.build, rest));
    const places = (layout = towed) =>
      layout?.strand.filter(({ item }) => item.part.kind === 'bead').map(({ x0M }) => x0M) ?? [];
    const hooks = (layout = towed) =>
      layout?.strand.filter(({ item }) => item.part.kind === 'hook').map(({ x0M }) => x0M) ?? [];
    places(towed).forEach((x, i) => {
      expect(places(hung)[i]).toBeLessThan(places(slack)[i] ?? 0);
      expect(places(slack)[i]).toBeLessThan(x);
    });
    // Hooks are held, whatever the rest; the blade goes with its clevis.
    for (const layout of [slack, hung]) expect(hooks(layout)).toEqual(hooks(towed));
    const blade = (layout = towed) => layout?.off.find(({ item }) => item.part.kind === 'blade')?.pivotM ?? 0;
    expect(blade(hung)).toBeLessThan(0.01);
    expect(blade(towed)).toBeGreaterThan(0.75);
    // Nothing overlaps in any of them.
    for (const { strand } of [towed, slack, hung].flatMap((each) => each ?? []))
      strand.slice(1).forEach(({ x0M }, i) => expect(x0M).toBeGreaterThanOrEqual((strand[i]?.x1M ?? 0) - 1e-12));
  });

  it('a stop holds its place and keeps a blade ahead of it where it was set', () => {
    const lure = harness([CLEVIS, BEAD, 'stop-rubber-m', HOOK], [BLADE]);
    const at = (behindM: number) => {
      const { strand } = layOut(set(lure, 'stop-1', { behindM }).build);
      const place = (id: string) => strand.find(({ item }) => item.id === id);
      return { stop: place('stop-1'), bead: place('bead-1'), hook: place('hook-1') };
    };
    for (const behindM of [0.05, 0.3]) {
      const { stop, bead, hook } = at(behindM);
      expect((hook?.x0M ?? 0) - (stop?.x1M ?? 0)).toBeCloseTo(behindM, 12);
      expect(bead?.x1M).toBeCloseTo(stop?.x0M ?? 0, 12);
    }
  });

  it('hooks and stops go on line only, knots are tied in line only, and line is no wire', () => {
    const wire = plainSpinner();
    const refused = (lure: Lure, edit: Edit) => {
      const applied = applyEdits(lure, [edit]);
      if (applied.ok) throw new Error('it should be refused');
      expect(refusalWords(applied.refusal).length).toBeGreaterThan(15);
      return applied.refusal.code;
    };
    expect(refused(wire, threadParts(wire.build, part(HOOK), 0))).toBe('cannotSit');
    expect(refused(wire, threadParts(wire.build, part('stop-rubber-m'), 0))).toBe('cannotSit');
    expect(refused(wire, { kind: 'carrier', changes: { nose: CLINCH } })).toBe('notOfThisWire');
    const line = part('line-braid-19');
    if (line.kind !== 'line') throw new Error('a line');
    expect(refused(wire, { kind: 'carrier', changes: { wire: line } })).toBe('notOfThisWire');
    expect(refused(wire, { kind: 'carrier', changes: { lengthM: 1 } })).toBe('notOfThisWire');
    const loop = { form: 'bentLoop', insideDiameterM: 0.003, gapM: 0 } as const;
    expect(refused(whole(), { kind: 'carrier', changes: { tail: loop } })).toBe('notOfThisWire');
    expect(
      refused(whole(), { kind: 'adjust', item: itemId('hook-1'), changes: { state: { of: 'hook', pinched: true } } }),
    ).toBe('wrongState');
  });
});

describe('what is found on a line, and is not where it is in order', () => {
  const sound = whole();
  const wrong: readonly [Finding['code'], Lure, Lure][] = [
    ['lineTooShort', sound, edited(sound, { kind: 'carrier', changes: { lengthM: 0.06 } })],
    ['knotGuard', sound, harness([CLEVIS, 'bead-brass-5', HOOK], [BLADE])],
    ['pointTurnsIn', sound, snelled(sound, 'hook-2', { enters: 'backSide' })],
    ['hookSpacing', sound, snelled(sound, 'hook-2', { behindM: 0.002 })],
    ['baitOnHooks', sound, snelled(sound, 'hook-2', { behindM: 0.12 })],
    ['gate', sound, edited(sound, { kind: 'adjust', item: itemId('clevis-1'), changes: { flipped: true } })],
    ['sawsLine', sound, edited(sound, { kind: 'swapPart', item: itemId('clevis-1'), part: part('clevis-folded-1') })],
    ['lineTwist', demoLure('okkel-roller'), unswivelled()],
    ['rollsBehind', demoLure('okkel-roller'), harness([BEAD, HOOK, 'hook-rolling-4'])],
    ['stopHolds', stopped('stop-peg-wood'), worn(stopped('stop-knot-red', 'blade-colorado-k3'))],
    ['slipsOverKnot', sound, edited(harness([CLEVIS, BEAD], [BLADE]), { kind: 'carrier', changes: { tail: CLINCH } })],
  ];

  function unswivelled(): Lure {
    const lure = demoLure('okkel-roller');
    return edited(lure, takeOff(lure.build, itemId('swivel-1')));
  }

  /** A stop that has lost most of its grip. */
  function worn(lure: Lure): Lure {
    const { part: stop } = itemOf(lure.build, itemId('stop-1'));
    if (stop.kind !== 'stop') throw new Error('a stop');
    return edited(lure, { kind: 'swapPart', item: itemId('stop-1'), part: { ...stop, gripN: 0.15 } });
  }

  function stopped(stop: string, blade = 'blade-french-k1'): Lure {
    return harness(['clevis-quick-3-smoke', BEAD, stop, HOOK], [[blade, on('clevis-1', 'hung')]]);
  }

  it.each(wrong)('%s', (code, right, bad) => {
    const open = found(bad, code);
    expect(open?.severity).toMatch(/fault|caution/);
    const there = found(right, code);
    expect(there === undefined || there.severity === 'good').toBe(true);
    for (const each of [open, there]) {
      if (!each) continue;
      const { title, why } = findingWords(each, bad.build, 'metric');
      expect(title.length).toBeGreaterThan(8);
      expect(why.length).toBeGreaterThan(15);
    }
  });

  it('most of it is mended at a press, and the blade’s room by beads', () => {
    const mended = new Set<string>();
    const few = harness([CLEVIS, BEAD, GUARD, HOOK, HOOK], [BLADE]);
    expect(found(few, 'bladeAgainstHook')?.severity).toBe('fault');
    for (const [, , bad] of [...wrong, ['bladeAgainstHook', few, few] as const]) {
      for (const { repairs } of Object.values(mendings(bad, USUAL_CONTEXT, CATALOGUE))) {
        for (const repair of repairs) {
          expect(repairWords(repair, 'metric').length).toBeGreaterThan(5);
          expect(applyEdits(bad, repair.edits).ok).toBe(true);
          mended.add(repair.code);
        }
      }
    }
    for (const code of ['lengthenLine', 'snellFromPoint', 'setSpacing', 'turnGate', 'putOn', 'addBeads'])
      expect(mended).toContain(code);
  });
});

describe('what leads to each hook carries what the user asks', () => {
  const strengths = (lure: Lure, leastKg: number) =>
    findings(lure, { ...USUAL_CONTEXT, leastKg }).filter((each) => each.code === 'strength');

  it('nothing is judged until it is told; the weakest of line, knots and links counts', () => {
    expect(findings(whole()).some(({ code }) => code === 'strength')).toBe(false);
    // 62.8 N by a clinch of 0.85: 5.44 kg.
    expect(strengths(whole(), 5.4)).toMatchObject([{ severity: 'good' }]);
    expect(strengths(whole(), 5.5)).toMatchObject([{ severity: 'caution', key: 'strength line' }]);
    // On wire only the link is asked; a tail blade's ring and swivel lead to no hook.
    expect(strengths(demoLure('halvane-trail'), 10)).toMatchObject([{ severity: 'good' }]);
    expect(strengths(demoLure('halvane-trail'), 30)).toMatchObject([{ key: 'strength link-1', severity: 'caution' }]);
    expect(strengths(demoLure('torvane-lanes'), 60)).toEqual([]);
    expect(strengths(demoLure('torvane-flash'), 60)).toEqual([]);
  });

  it('a stronger line of the same stuff is offered, and mends it', () => {
    const context = { ...USUAL_CONTEXT, leastKg: 7 };
    const { repairs } = mendings(whole(), context, CATALOGUE)['strength line'] ?? { repairs: [] };
    expect(repairs[0]?.code).toBe('swapFor');
    const mended = edited(whole(), ...(repairs[0]?.edits ?? []));
    expect(strengths(mended, 7)).toMatchObject([{ severity: 'good' }]);
  });
});

it('a harness is made hook end first: the last hook, the next, beads and blade, the rod end, the bait', () => {
  const plan = planMake(demoLure('suvra-mouth').build);
  if (plan.outcome !== 'planned') throw new Error(plan.why.code);
  const steps = plan.steps.map(({ operation }) => operation.op).filter((op) => op !== 'capPoint');
  const firsts = [...new Set(steps)];
  expect(firsts).toEqual(['cutLine', 'snell', 'thread', 'threadClevis', 'tieEnd', 'threadBait']);
  expect(plan.steps.filter(({ operation: { op } }) => op === 'snell').flatMap(({ items }) => items)).toEqual([
    'hook-1',
    'hook-2',
    'hook-3',
  ]);
  // Every point that comes on is capped at once.
  const capped = plan.steps.filter(({ operation: { op } }) => op === 'capPoint').map(({ items: [hook] }) => hook);
  expect(capped).toEqual(['hook-1', 'hook-2', 'hook-3']);
});
