import { describe, expect, it } from 'vitest';
import { bait, bentAt, demoLure, edited, itemId, on, part, plainBait, plainBuzz, TAIL } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { findingWords, repairWords } from '../../words/finding-words';
import { CATALOGUE } from '../parts/catalogue';
import { partSchema, type ItemState } from '../parts/part';
import type { LureRule } from './lure-rule';
import type { Edit } from '../lure/edit';
import { seatPart, takeOff, threadParts } from '../lure/editing';
import type { Finding } from './finding';
import { findings, USUAL_CONTEXT } from './findings';
import type { Lure } from '../lure/lure';
import { placementEdits } from '../fits/placement';

const SHY: LureRule = {
  id: 'rule-1',
  place: 'Lake Hovna',
  mostHooks: 1,
  mostPoints: null,
  barbless: false,
  source: 'the board at the landing',
  onDay: '2031-08-01',
};

const all = (lure: Lure, rules: readonly LureRule[] = []) => findings(lure, { ...USUAL_CONTEXT, rules }, CATALOGUE);
const set = (lure: Lure, id: string, state: ItemState) =>
  edited(lure, { kind: 'adjust', item: itemId(id), changes: { state } });
const put = (lure: Lure, id: string, seat: Parameters<typeof seatPart>[2]) =>
  edited(lure, seatPart(lure.build, part(id), seat));

/** A part of the catalogue, some of its measures otherwise, in place of this one. */
function swapped(id: string, like: string, measures: Record<string, number>): Edit {
  return { kind: 'swapPart', item: itemId(id), part: partSchema.parse({ ...part(like), ...measures }) };
}

const sound = plainBait();
const open = edited(sound, {
  kind: 'carrier',
  changes: { tail: { form: 'bentLoop', insideDiameterM: 0.003, gapM: 0.0014 } },
});
const spacer = (id: string) => edited(open, threadParts(open.build, part(id), 1));
const kicking = put(sound, 'trailer-paddle-75-smelt', on('hook-1', 'pushed'));
const cutShort = set(kicking, 'trailer-1', { of: 'trailer', cutM: 0.02, rounded: true, crookedRad: 0 });
const clawed = put(sound, 'trailer-claw-55-rust', on('hook-1', 'pushed'));
const ringed = (id: string) => put(sound, id, { on: 'tie' });
const stung = put(sound, 'hook-stinger-2-0', on('hook-1', 'hung'));
const buzz = plainBuzz();
const clacker = set(buzz, 'deltaBlade-1', { of: 'deltaBlade', clacks: true });
const pair = (...blades: [string, string]) =>
  edited(bait('buzzbait', ['bead-brass-4', ...blades, 'rivet-alu-4'], [], 'head-flat-zinc-7-white'), {
    kind: 'carrier',
    changes: { armM: 0.06 },
  });
const tandem = demoLure('torvane-lanes');

/** A lure on which the check finds something amiss, and one like it on which it does not. */
const CHECKS: readonly (readonly [Finding['code'], Lure, Lure, LureRule?])[] = [
  ['endLoop', open, sound],
  ['armTwisted', bentAt(sound, 3, { sideRad: 0.12 }), sound],
  ['armOutOfLine', bentAt(sound, 3, { sideRad: 0.045 }), sound],
  ['armTooShort', edited(sound, { kind: 'carrier', changes: { armM: 0.002 } }), sound],
  [
    'ringTooSmall',
    edited(ringed('ring-k1'), swapped('splitRing-2', 'ring-k1', { outerDiameterM: 0.0024 })),
    ringed('ring-k1'),
  ],
  ['ringTooLarge', ringed('ring-o3'), ringed('ring-k1')],
  ['bandTooLoose', edited(sound, swapped('skirt-1', 'skirt-band-clear', { boreM: 0.005 })), sound],
  ['bandTooTight', edited(sound, swapped('skirt-1', 'skirt-band-clear', { boreM: 0.0012 })), sound],
  ['strandsFoulTail', cutShort, set(cutShort, 'skirt-1', { of: 'skirt', collarAt: 0.36, tips: 'thinned' })],
  ['bluntTrailer', kicking, set(kicking, 'trailer-1', { of: 'trailer', cutM: 0, rounded: true, crookedRad: 0 })],
  ['trailerStraight', set(kicking, 'trailer-1', { of: 'trailer', cutM: 0, rounded: true, crookedRad: 0.1 }), kicking],
  ['trailerOverhang', set(kicking, 'trailer-1', { of: 'trailer', cutM: 0.06, rounded: true, crookedRad: 0 }), kicking],
  ['clawAtPoint', edited(clawed, { kind: 'adjust', item: itemId('trailer-1'), changes: { flipped: true } }), clawed],
  [
    'skirtWithoutLayers',
    edited(sound, { kind: 'remove', items: [itemId('skirtLayer-1'), itemId('skirtLayer-2')] }),
    sound,
  ],
  ['ruleBroken', stung, sound, SHY],
  ['eyeTooSmall', put(sound, 'hook-treble-8', on('hook-1', 'hung')), stung],
  ['bladeAgainstHead', clacker, buzz],
  ['bladeAgainstHead', bentAt(buzz, 1, { angleRad: -2.9 }), buzz],
  ['rivetMissing', edited(buzz, takeOff(buzz.build, itemId('rivet-1'))), buzz],
  [
    'counterTurning',
    pair('delta-2-right-30-gold', 'delta-2-right-30-gold'),
    pair('delta-2-right-30-gold', 'delta-2-left-30-gold'),
  ],
  ['headAndBlades', edited(sound, swapped('head-1', 'head-bullet-7-white', { massKg: 0.001 })), sound],
  ['noHead', edited(buzz, takeOff(buzz.build, itemId('head-1'))), buzz],
  ['noHook', edited(sound, takeOff(sound.build, itemId('hook-1'))), sound],
  ['noTurningBlade', edited(sound, takeOff(sound.build, itemId('blade-1'))), sound],
  [
    'bladeAgainstHook',
    edited(bentAt(sound, 3, { angleRad: -3.62 }), { kind: 'carrier', changes: { startRad: 2.95, armM: 0.03 } }),
    sound,
  ],
  [
    'bladeAgainstBlade',
    edited(
      tandem,
      takeOff(tandem.build, itemId('sleeve-1')),
      { kind: 'swapPart', item: itemId('blade-1'), part: part('blade-colorado-k4') },
      { kind: 'swapPart', item: itemId('blade-2'), part: part('blade-colorado-k5') },
    ),
    tandem,
  ],
];

describe('checks of baits', () => {
  it.each(CHECKS.map((check) => [check[0], check] as const))(
    '%s is told where it is amiss, and not where it is not',
    (code, [, amiss, like, rule]) => {
      const rules = rule ? [rule] : [];
      const told = (lure: Lure) => all(lure, rules).filter((each) => each.code === code && each.severity !== 'good');
      expect(told(amiss).length).toBeGreaterThan(0);
      expect(told(like)).toEqual([]);
      for (const finding of told(amiss)) {
        const { title, why } = findingWords(finding, amiss.build, 'metric');
        expect(title.length * why.length).toBeGreaterThan(100);
        for (const repair of finding.repairs()) {
          expect(repairWords(repair, 'trade').length).toBeGreaterThan(8);
          const mended = all(edited(amiss, ...repair.edits), rules).find(({ key }) => key === finding.key);
          expect(mended?.severity ?? 'good').toBe('good');
        }
      }
    },
  );

  it('every repair of a bait that there is, is tried above', () => {
    const codes = new Set(
      CHECKS.flatMap(([, amiss, , rule]) => all(amiss, rule ? [rule] : [])).flatMap(({ repairs }) =>
        repairs().map(({ code }) => code),
      ),
    );
    for (const code of [
      'straighten',
      'bendNearHead',
      'bendArm',
      'lengthenArm',
      'closeLoop',
      'roundTrailer',
      'threadStraight',
      'turnClaw',
      'thinTips',
      'takeOffStinger',
    ]) {
      expect(codes).toContain(code);
    }
  });

  it('a tube slid up plugs the loop when it goes over both wires', () => {
    const is = (lure: Lure) => all(lure).flatMap((each) => (each.code === 'endLoop' ? [each.is] : []))[0];
    const wide = spacer('sleeve-spacer-clear-14');
    expect(is(wide)).toBe('open');
    const slide = all(wide)
      .flatMap(({ repairs }) => repairs())
      .find(({ code }) => code === 'slideTubeUp');
    if (!slide) throw new Error('the tube can be slid up');
    expect(is(edited(wide, ...slide.edits))).toBe('plugged');
    expect(is(set(spacer('sleeve-spacer-red-8'), 'sleeve-1', { of: 'sleeve', slidUp: true }))).toBe('plugTooTight');
    expect(is(sound)).toBe('closed');
  });

  it('ordering 11: the arm bent in clacks, then drags; bent out it is silent', () => {
    const bend = all(clacker)
      .flatMap(({ repairs }) => repairs())
      .find(({ code }) => code === 'bendArm');
    if (bend?.code !== 'bendArm') throw new Error('an arm can be bent until it ticks');
    const ticking = edited(clacker, ...bend.edits);
    const contact = (lure: Lure) =>
      all(lure).find(
        (each) =>
          each.code === 'bladeAgainstHead' || (each.code === 'intendedContact' && each.between === 'bladeAndHead'),
      );
    expect(contact(ticking)).toMatchObject({ code: 'intendedContact', severity: 'good' });
    const on1 = (angleRad: number) => bentAt(ticking, 1, { angleRad: angleOf(ticking) + angleRad });
    expect(contact(on1(Math.sign(bend.angleRad) * 0.12))).toMatchObject({ touch: 'dragging', severity: 'fault' });
    expect(contact(on1(-Math.sign(bend.angleRad) * 0.12))).toMatchObject({ touch: 'free' });
  });

  it('ordering 10: a rivet crimped or upset rubs, a free one does not', () => {
    const why = (fixing: 'free' | 'crimped' | 'upset') => {
      const lure = set(buzz, 'rivet-1', { of: 'rivet', fixing });
      const found = all(lure).find(({ code }) => code === 'rivet');
      return found ? findingWords(found, lure.build, 'metric').title : '';
    };
    expect(why('free')).toMatch(/silent/);
    expect(why('crimped')).toMatch(/rubs/);
    expect(why('upset')).toMatch(/squeaks at once/);
  });

  it('which side of a skirt is long is told, and is never a fault', () => {
    for (const flipped of [false, true]) {
      const lure = edited(sound, { kind: 'adjust', item: itemId('skirt-1'), changes: { flipped } });
      const [sides] = all(lure).filter(({ code }) => code === 'skirtSides');
      expect(sides).toMatchObject({ severity: 'good', longSide: flipped ? 'nose' : 'tail' });
    }
  });

  it('every demo lure is in order but for what its builder means', () => {
    for (const lure of DEMO_LURES) expect(all(lure).filter(({ severity }) => severity === 'fault')).toEqual([]);
  });

  it('a bought frame brings its head and hook; another takes their place and leaves what is on them', () => {
    const bare = bait(
      'spinnerbait',
      ['bead-brass-4'],
      [
        ['swivel-crane-k7', TAIL],
        ['skirt-one-black', on('head-1', 'collared')],
      ],
    );
    const framed = edited(bare, ...placementEdits(bare.build, { put: 'wire' }, part('frame-spin-o14-closed')));
    expect(framed.build.carrier).toMatchObject({ kind: 'bentWire', bought: { id: 'frame-spin-o14-closed' } });
    expect(framed.build.items[itemId('head-1')]?.part.id).toBe('head-minnow-14-perch');
    expect(framed.build.items[itemId('hook-1')]?.part.id).toBe('hook-long-4-0');
    expect(framed.build.items[itemId('skirt-1')]).toEqual(bare.build.items[itemId('skirt-1')]);
  });
});

function angleOf({ build }: Lure): number {
  const section = build.carrier.kind === 'bentWire' ? build.carrier.sections[1] : undefined;
  if (section?.section !== 'bend') throw new Error('a bend');
  return section.angleRad;
}
