/** The order of work as builders do it, and what each step says. */
import { planned, steps, ids, ops, put, stacked } from '@/testing/making';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part, plainBait, plainBuzz, spinner, TAIL } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { threadParts } from '../lure/editing';
import { findings } from '../judgement/findings';
import type { Lure } from '../lure/lure';
import { closingChecks } from './closing-checks';
import { planMake } from './plan';

describe('order of work, as builders do it', () => {
  const before = (lure: Lure, ...inOrder: readonly (string | RegExp)[]) => {
    const all = ids(lure);
    const places = inOrder.map((name) => all.findIndex((id) => new RegExp(name).test(id)));
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  };

  it('inline spinner: tail first; tube after ring and hook and before the weight; the line tie last of the wire', () => {
    const lure = demoLure('hovna-lantern');
    before(
      lure,
      /rollLoop tail/,
      /hangInLoop tail splitRing/,
      /closeLoop tail/,
      /hangByRing splitRing-1 hook/,
      /capPoint/,
      /^shrinkTube/,
      /thread bead-4/,
      /thread weight/,
      /threadClevis clevis-1 blade-1/,
      /formLoop nose/,
    );
    expect(ops(lure).at(-1)).toBe('formLoop');
  });

  it('inline spinner without a tube: the ring before its loop closes, the hook last, the dressing tied in the vise first', () => {
    before(
      demoLure('mirrow-drum'),
      /tieDressing/,
      /closeLoop tail splitRing/,
      /sleeve/,
      /slideOver bell/,
      /clevis/,
      /nose/,
      /hook/,
    );
    before(demoLure('aalmo-link'), /formLoop nose/, /hangByRing splitRing-1 body/, /hangByRing splitRing-2 hook/);
  });

  it('spinnerbait: tie first along the arm, the end loop after the spacer with its swivel in it, then the rear blade, skirt, trailer', () => {
    before(
      demoLure('torvane-lanes'),
      /takeFrame/,
      /capPoint/,
      /thread bead-1/,
      /threadClevis/,
      /thread bead-2/,
      /thread sleeve-1/,
      /rollLoop tail/,
      /hangInLoop tail swivel/,
      /closeLoop tail/,
      /hangByRing splitRing-1 blade-2/,
      /slideUp sleeve-1/,
      /fitSkirt/,
      /thinTips/,
      /pushTrailer/,
    );
    before(demoLure('torvane-lanes'), /cutTubes sleeve-1/, /thread sleeve-1/);
    expect(ops(demoLure('torvane-lanes')).at(-1)).toBe('pushTrailer');
  });

  it('own bent wire: cut, bent, then cast, so that no point is near while it is bent; stinger over the trailer’s hook last', () => {
    const dressed = [
      ['keeper-clip-08', on('hook-1', 'tied')],
      ['trailer-paddle-75-smelt', on('hook-1', 'pushed')],
      ['hook-stinger-1-0', on('hook-1', 'hung')],
      ['wire-soft-copper-03', on('skirt-1', 'tied')],
      ['ring-k1', { on: 'tie' }],
    ] as const;
    const lure = dressed.reduce((sofar, [id, seat]) => put(sofar, id, seat), plainBait());
    before(lure, /cutWire/, /bendWire/, /castHead/, /capPoint/, /thread bead/, /closeLoop/, /hangByRing splitRing-1/);
    before(lure, /pullLayers/, /fitSkirt/, /lockSkirt/, /lashKeeper/, /pushTrailer/, /hangStinger/);
    before(lure, /bendWire/, /ringOverTie/);
  });

  it('buzzbait: tie first, the end turned down, the rivet fixed, the arm bent until it ticks, skirt and trailer last', () => {
    before(
      demoLure('lommer-clapper'),
      /takeFrame/,
      /bead-1/,
      /deltaBlade-1/,
      /rivet-1/,
      /turnDown/,
      /fixRivet/,
      /bendToTick/,
      /fitSkirt/,
      /pushTrailer/,
    );
    before(
      demoLure('asp-pair'),
      /deltaBlade-1/,
      /bead-2/,
      /deltaBlade-2/,
      /rivet/,
      /turnDown/,
      /fitSkirt/,
      /hangStinger/,
    );
    expect(ops(plainBuzz())).not.toContain('fixRivet');
  });

  it.each(['interleaved', 'nested'] as const)(
    'two clevises %s: both lower legs, both blades, both upper legs',
    (form) => {
      const legs = steps(stacked(form)).flatMap(({ operation }) =>
        operation.op === 'threadLeg'
          ? [`${operation.which} ${operation.clevis}`]
          : operation.op === 'hangOnClevis'
            ? [`blade ${operation.clevis}`]
            : [],
      );
      const [lower, blades, upper] = [legs.slice(0, 2), legs.slice(2, 4), legs.slice(4)];
      expect(lower.every((each) => each.startsWith('lower'))).toBe(true);
      expect(blades.every((each) => each.startsWith('blade'))).toBe(true);
      expect(upper.every((each) => each.startsWith('upper'))).toBe(true);
      const name = (each: string | undefined) => each?.split(' ')[1];
      expect(name(lower[0]) === name(upper[0])).toBe(form === 'interleaved');
    },
  );

  it('on a straight wire with no tail loop the nose is closed first; with neither nothing holds, and it says so', () => {
    const bare = spinner(['bead-brass-3', 'weight-barrel-brass-5']);
    const noTail = edited(bare, { kind: 'carrier', changes: { tail: { form: 'plain' } } });
    expect(planned(noTail.build).over).toBe('tail');
    const threads = ids(noTail).filter((id) => id.startsWith('thread'));
    expect(threads).toEqual(['thread bead-1', 'thread weight-1']);
    const none = edited(noTail, { kind: 'carrier', changes: { nose: { form: 'plain' } } });
    expect(planMake(none.build)).toMatchObject({ outcome: 'noWay', why: { code: 'nothingHolds' } });
  });

  it('what no opening leads to is named: a blade on a swivel’s closed eye', () => {
    const lure = put(put(spinner([]), 'swivel-crane-k7', TAIL), 'blade-colorado-k3', on('swivel-1', 'hung'));
    expect(planMake(lure.build)).toMatchObject({
      outcome: 'noWay',
      why: { code: 'closedEye', item: itemId('blade-1'), on: itemId('swivel-1') },
    });
  });
});

describe('what each step says', () => {
  it('measures come from the core: wire, play, tube, where the point of the hook comes out of the trailer', () => {
    const amounts = (lure: Lure, op: string) =>
      steps(lure).flatMap(({ operation, amounts: all }) => (operation.op === op ? all : []));
    expect(amounts(demoLure('hovna-lantern'), 'cutWire')).toEqual([{ of: 'cut', lengthM: 0.127 }]);
    expect(amounts(demoLure('hovna-lantern'), 'formLoop')).toContainEqual({ of: 'play', lengthM: 0.0015 });
    expect(amounts(demoLure('hovna-lantern'), 'cutTubes')).toEqual([{ of: 'cut', lengthM: 0.016 }]);
    expect(amounts(demoLure('halvane-twins'), 'thread')).toContainEqual({ of: 'count', count: 6 });
    const [out] = amounts(demoLure('torvane-lanes'), 'pushTrailer');
    // Hook eye 6 mm into the head, collar's end 15 mm ahead of where the bend begins: worked from the parts' own measures.
    const { items } = demoLure('torvane-lanes').build;
    const [head, hook] = [items[itemId('head-1')]?.part, items[itemId('hook-1')]?.part];
    if (head?.kind !== 'head' || hook?.kind !== 'hook' || out?.of !== 'pushOut') throw new Error('a bait');
    const byHand =
      head.hookAtM + hook.lengthM - hook.wireDiameterM / 2 - hook.gapM / 2 - head.lengthM - head.collarLengthM;
    expect(out.lengthM).toBeCloseTo(byHand, 9);
  });

  it('cautions stand at their steps: clipped wire, points, cement, flame, lead, hot metal, blade', () => {
    const leaded = edited(
      demoLure('hovna-lantern'),
      threadParts(demoLure('hovna-lantern').build, part('weight-egg-lead-7'), 3),
    );
    const hazards = (lure: Lure, op: string) =>
      steps(lure).flatMap(({ operation, hazards: all }) => (operation.op === op ? all : []));
    expect(hazards(leaded, 'cutWire')).toEqual(['clippedWire']);
    expect(hazards(leaded, 'tieDressing')).toEqual(['hookPoint', 'cement']);
    expect(hazards(leaded, 'shrinkTube')).toEqual(['flame']);
    expect(hazards(leaded, 'thread')).toEqual(['lead']);
    expect(hazards(leaded, 'cutTubes')).toEqual(['blade']);
    expect(hazards(plainBait(), 'castHead')).toEqual(['lead', 'hotMetal', 'hookPoint']);
    expect(hazards(demoLure('torvane-lanes'), 'cutTrailer')).toEqual(['blade']);
  });

  it('says what is closed: the line tie everything on the wire, the tube its ring, the trailer its skirt', () => {
    const closes = (lure: Lure, id: RegExp) => steps(lure).find((step) => id.test(step.id))?.lastChanceFor;
    const hovna = demoLure('hovna-lantern');
    const onWire = new Set(hovna.build.strand.map(({ item }) => item));
    for (const item of onWire) expect(closes(hovna, /formLoop nose/)).toContain(item);
    expect(closes(hovna, /^shrinkTube/)).toEqual([itemId('splitRing-1'), itemId('hook-1')]);
    expect(closes(demoLure('torvane-lanes'), /pushTrailer/)).toContain(itemId('skirt-1'));
    expect(closes(hovna, /thread weight/)).toEqual([]);
  });

  it('the closing checks carry what the Bench found about each', () => {
    for (const lure of DEMO_LURES) {
      const found = findings(lure);
      const checks = closingChecks(lure.build, found);
      expect(checks.map(({ check }) => check)).toContain('turnsFreely');
      expect(checks.some(({ findings: about }) => about.length > 0)).toBe(true);
      const hooks = checks.find(({ check }) => check === 'clearsHook');
      expect((hooks?.findings ?? []).every(({ code }) => /AgainstHook$/.test(code))).toBe(true);
    }
  });
});
