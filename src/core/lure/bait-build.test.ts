import { describe, expect, it } from 'vitest';
import { bentAt, demoLure, edited, itemId, on, part, plainBait, TAIL } from '@/testing/lures';
import { CUT_WORDS, termWords } from '../../words/length-words';
import { refusalWords } from '../../words/refusal-words';
import { costWords } from '../../words/cost-words';
import { partsOfKind } from '../parts/catalogue';
import type { PartKind } from '../parts/part';
import { costOfChange } from '../costs/cost';
import { applyEdits } from './edit';
import { seatPart, takeOff, threadParts } from './editing';
import { usualState } from './item-state';
import { layOut } from '../geometry/layout';
import { poseOf } from '../geometry/placed';
import { cutLengths } from '../lengths/lengths';
import { howSchema, type Item, type Lure } from './lure';
import type { How } from '../parts/kinds/room';
import { lureMass } from '../lengths/mass';
import { canSitOn, canThread } from './structure';

const put = (lure: Lure, id: string, seat: Parameters<typeof seatPart>[2]) =>
  edited(lure, seatPart(lure.build, part(id), seat));
const sound = plainBait();
const closed = edited(sound, { kind: 'mark', made: { onDay: '2031-09-20', build: sound.build } });

describe('what a change costs on a made bait', () => {
  const codes = (lure: Lure) => costOfChange(closed.made?.build ?? sound.build, lure.build).map(({ code }) => code);

  it('skirts, trailers and stingers slip off by hand; bending bends; a bead opens the end loop; a head is new', () => {
    expect(codes(closed)).toEqual([]);
    expect(codes(put(closed, 'trailer-frog-70-black', on('hook-1', 'pushed')))).toEqual(['slipsOff']);
    expect(codes(put(closed, 'hook-stinger-1-0', on('hook-1', 'hung')))).toEqual(['slipsOff']);
    expect(codes(edited(closed, takeOff(closed.build, itemId('skirtLayer-1'))))).toEqual(['slipsOff']);
    expect(codes(bentAt(closed, 3, { angleRad: -2.75 }))).toEqual(['bendsWire']);
    expect(codes(edited(closed, threadParts(closed.build, part('bead-glass-4-amber'), 0)))).toEqual(['opensEndLoop']);
    const head = { kind: 'swapPart', item: itemId('head-1'), part: part('head-ball-10-lead') } as const;
    expect(codes(edited(closed, head))).toEqual(['newHead']);
  });

  it('more wire than there is, other wire, or a wrapped end: the wire is cut anew', () => {
    expect(codes(edited(closed, { kind: 'carrier', changes: { armM: 0.07 } }))).toEqual(['cutsWire']);
    const thicker = part('wire-stainless-102');
    if (thicker.kind !== 'wire') throw new Error('a wire');
    expect(codes(edited(closed, { kind: 'carrier', changes: { wire: thicker } }))).toEqual(['cutsWire']);
    const wrapped = edited(sound, {
      kind: 'carrier',
      changes: { tail: { form: 'wrappedLoop', insideDiameterM: 0.003, turns: 1, wraps: 2, tagM: 0.01 } },
    });
    const beaded = edited(wrapped, threadParts(wrapped.build, part('bead-glass-4-amber'), 0));
    expect(costOfChange(wrapped.build, beaded.build).map(({ code }) => code)).toEqual(['cutsWire']);
    for (const cost of costOfChange(wrapped.build, sound.build)) {
      expect(costWords(cost, wrapped.build, sound.build, 'metric').length).toBeGreaterThan(10);
    }
  });
});

describe('lengths of a bait', () => {
  it('names wire, spacer, strips, keeper and lock, each the sum of its terms, in words', () => {
    let lure = put(sound, 'keeper-clip-10', on('hook-1', 'tied'));
    lure = put(lure, 'wire-soft-steel-04', on('skirt-1', 'tied'));
    lure = edited(lure, threadParts(lure.build, part('sleeve-spacer-clear-14'), 1));
    const cuts = cutLengths(lure.build);
    expect(new Set(cuts.map(({ of }) => of))).toEqual(new Set(['wire', 'spacer', 'skirtLayer', 'keeper', 'lockWire']));
    for (const { of, terms, totalM, cutM } of cuts) {
      expect(terms.reduce((sum, { lengthM }) => sum + lengthM, 0)).toBeCloseTo(totalM, 12);
      expect(cutM).toBeGreaterThanOrEqual(totalM - 1e-9);
      expect(cutM - totalM).toBeLessThan(0.001);
      expect(CUT_WORDS[of].length).toBeGreaterThan(3);
      for (const term of terms) expect(termWords(term, 'metric')).not.toMatch(/undefined|NaN/);
    }
    const lock = (turns: number) =>
      cutLengths(
        edited(lure, { kind: 'adjust', item: itemId('softWire-1'), changes: { state: { of: 'lock', turns } } }).build,
      ).find(({ of }) => of === 'lockWire')?.totalM ?? 0;
    expect(lock(4) - lock(3)).toBeCloseTo(Math.PI * (0.006 + 0.0004), 9);
  });

  it('a bought frame has no wire to cut, and weighs as much as its own wire bent', () => {
    const clapper = demoLure('lommer-clapper');
    expect(cutLengths(clapper.build).map(({ of }) => of)).not.toContain('wire');
    const { carrier } = clapper.build;
    if (carrier.kind !== 'bentWire') throw new Error('a frame is bent');
    const own = edited(clapper, { kind: 'carry', carrier: { ...carrier, bought: null } });
    expect(lureMass(own.build)).toBeCloseTo(lureMass(clapper.build), 12);
    expect(cutLengths(own.build).map(({ of }) => of)).toContain('wire');
  });

  it('a trailer weighs what is left of it', () => {
    const whole = put(sound, 'trailer-grub-60-pearl', on('hook-1', 'pushed'));
    const half = edited(whole, {
      kind: 'adjust',
      item: itemId('trailer-1'),
      changes: { state: { of: 'trailer', cutM: 0.03, rounded: false, crookedRad: 0 } },
    });
    const trailer = part('trailer-grub-60-pearl');
    expect(lureMass(whole.build) - lureMass(half.build)).toBeCloseTo(trailer.massKg / 2, 9);
  });
});

describe('what sits on what', () => {
  const KINDS: readonly PartKind[] = [
    'head',
    'swivel',
    'deltaBlade',
    'rivet',
    'skirt',
    'skirtLayer',
    'trailer',
    'keeper',
    'softWire',
    'body',
    'frame',
    'hook',
    'blade',
  ];
  const sample = (kind: PartKind) => {
    const [found] = partsOfKind(kind);
    if (!found) throw new Error(`no ${kind}`);
    return found;
  };

  it.each(KINDS)('a %s goes where the hand can put it and is refused in words everywhere else', (kind) => {
    const each = sample(kind);
    for (const parent of Object.values(sound.build.items)) {
      for (const how of howSchema.options) {
        const applied = applyEdits(sound, [seatPart(sound.build, each, on(parent.id, how))]);
        if (canSitOn(kind, parent.part.kind, how)) {
          expect(applied.ok || applied.refusal.code === 'seatTaken').toBe(true);
        } else expect(applied.ok).toBe(false);
        if (!applied.ok) expect(refusalWords(applied.refusal).length).toBeGreaterThan(15);
      }
    }
    const threaded = applyEdits(sound, [threadParts(sound.build, each, 0)]);
    expect(threaded.ok).toBe(canThread(kind, sound.build.carrier));
  });

  it('a head takes one hook and one skirt, a hook one trailer, a wire one head; another has no room', () => {
    const again: [string, How, string][] = [
      ['head-1', 'moulded', 'hook-long-1-0'],
      ['head-1', 'collared', 'skirt-one-white'],
    ];
    for (const [item, how, id] of again) {
      const applied = applyEdits(sound, [seatPart(sound.build, part(id), on(item, how))]);
      expect(applied).toMatchObject({ ok: false, refusal: { code: 'seatTaken' } });
    }
    const second = applyEdits(sound, [seatPart(sound.build, part('head-ball-10-lead'), { on: 'end', end: 'nose' })]);
    expect(second).toMatchObject({ ok: false, refusal: { code: 'seatTaken', on: 'nose' } });
  });

  it('a state belongs to its kind: another is refused, and every part comes in one of its own', () => {
    const wrong = applyEdits(sound, [
      { kind: 'adjust', item: itemId('swivel-1'), changes: { state: { of: 'rivet', fixing: 'free' } } },
    ]);
    expect(wrong).toMatchObject({ ok: false, refusal: { code: 'wrongState' } });
    for (const { part: each, state } of Object.values<Item>(sound.build.items)) expect(state).toEqual(usualState(each));
  });

  it('a straight wire has no arm and a bent one no play: the other’s measures are refused', () => {
    expect(applyEdits(sound, [{ kind: 'carrier', changes: { freeRoomM: 0.001 } }])).toMatchObject({
      ok: false,
      refusal: { code: 'notOfThisWire' },
    });
    expect(applyEdits(demoLure('mirrow-drum'), [{ kind: 'carrier', changes: { armM: 0.05 } }])).toMatchObject({
      ok: false,
      refusal: { code: 'notOfThisWire', carrier: 'straightWire' },
    });
    expect(
      applyEdits(demoLure('mirrow-drum'), [seatPart(demoLure('mirrow-drum').build, part('ring-k1'), { on: 'tie' })]),
    ).toMatchObject({ ok: false });
  });
});

describe('where the parts of a bait lie', () => {
  it('skirt on the collar, trailer behind it, stinger in the bend, ring at the tie, chain behind the arm', () => {
    let lure = put(sound, 'trailer-claw-65-black', on('hook-1', 'pushed'));
    lure = put(lure, 'hook-stinger-2-0', on('hook-1', 'hung'));
    lure = put(lure, 'ring-k1', { on: 'tie' });
    const layout = layOut(lure.build);
    const placed = (id: string) => {
      const found = layout.off.find(({ item }) => item.id === itemId(id));
      if (!found) throw new Error(`${id} is placed`);
      return found;
    };
    const [head, skirt, trailer, hook, stinger] = ['head-1', 'skirt-1', 'trailer-1', 'hook-1', 'hook-2'].map(placed);
    expect(skirt?.x0M).toBeGreaterThan(0);
    expect(skirt?.x1M).toBeLessThanOrEqual((head?.x1M ?? 0) + 1e-9);
    expect(trailer?.x0M).toBeCloseTo(head?.x1M ?? 0, 12);
    expect(stinger?.x0M).toBeLessThan(hook?.x1M ?? 0);
    expect(stinger?.offAxisM).toBeGreaterThan(0);
    expect(placed('splitRing-2').line).toBe('tie');
    expect(placed('blade-1').line).toBe('trail');
    expect(layout.lines.tie.xM).toBeLessThan(layout.lines.run.xM + 0.001);
    for (const line of ['run', 'trail', 'head', 'tie'] as const)
      expect(Number.isFinite(poseOf(layout, line).xM + poseOf(layout, line).yM)).toBe(true);
    expect(TAIL).toEqual({ on: 'end', end: 'tail' });
  });
});
