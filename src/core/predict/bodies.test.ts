/** Hard baits and underspins: what swings, floats, dives and knocks, and what must come out right of them. */
import { heardOf, soundings } from '@/testing/hearing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part, TAIL } from '@/testing/lures';
import { figures, measured, percent } from '@/testing/measured';
import { expectOrdering, type Pair } from '@/testing/ordering';
import { wobbleInTime } from '@/testing/slow-wobble';
import { DEMO_LURES } from '@/demo/scenario';
import { readLureFile, writeLureFile } from '../files/lure-file';
import { flashers } from '../geometry/flashers';
import { nailMeets } from '../geometry/knocker';
import { layOut } from '../geometry/layout';
import { spinSeats } from '../geometry/seats';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { depthOf } from '../hydro/towed-line';
import { LAKE_WATER } from '../hydro/water';
import { wobbleOf, wobbleStarts } from '../hydro/wobble';
import { findings } from '../judgement/findings';
import { lureMass } from '../lengths/mass';
import { applyEdits } from '../lure/edit';
import { seatPart } from '../lure/editing';
import { lureIdSchema, type Build, type Lure } from '../lure/lure';
import { structureProblem } from '../lure/structure';
import { bareBody, hangersOf, takeBody } from '../lure/take-body';
import { tieBehind } from '../lure/tie-behind';
import { planMake } from '../make/plan';
import { centroidOf } from '../sound/radiation';
import { bodyVolume } from '../parts/body-form';
import { partsOfKind } from '../parts/catalogue';
import type { NailState } from '../parts/kinds/nail-weight';
import { bodySwing } from './body-swing';
import { lureInWater } from './lure-in-water';
import { predict } from './predict';
import { rides } from './ride';
import { predictSpin } from './spin';

const BODIES = partsOfKind('lureBody');
const FISHED = [0.3, 0.5, 0.8, 1.1, 1.5] as const;

function ofBuild(build: Build): Lure {
  return {
    id: lureIdSchema.parse('body-test'),
    name: 'Body',
    family: 'hardBait',
    note: '',
    build,
    made: null,
    versions: [],
  };
}

/** A body with a ring and a treble in its tail eye. */
function withTreble(body: (typeof BODIES)[number]): Lure {
  const ringed = edited(ofBuild(bareBody(body)), seatPart(bareBody(body), part('ring-k2'), TAIL));
  return edited(ringed, seatPart(ringed.build, part('hook-treble-8'), on('splitRing-1', 'hung')));
}

const ember = () => demoLure('mirrow-ember');
const nailed = (change: Partial<NailState>, lure = ember()): Lure => {
  const { state } = lure.build.items[itemId('nailWeight-1')] ?? {};
  if (state?.of !== 'nail') throw new Error('it has a nail weight');
  return edited(lure, { kind: 'adjust', item: itemId('nailWeight-1'), changes: { state: { ...state, ...change } } });
};
const meetOf = ({ build }: Lure) => {
  const layout = layOut(build);
  return nailMeets(build, layout, spinSeats(build, layout))[0];
};
const codesOf = (lure: Lure) => findings(lure).map(({ code, severity }) => `${code} ${severity}`);

describe('any body', () => {
  it('weighs and displaces what its form and its measures say, stands as a lure, goes through its file, is made or says why', () => {
    for (const body of BODIES) {
      const lure = withTreble(body);
      const { build } = lure;
      expect(structureProblem(build), body.id).toBeNull();
      expect(Math.abs(bodyVolume(body) / body.volumeM3 - 1), body.id).toBeLessThan(0.15);
      const parts = Object.values(build.items).reduce(
        (sum, each) => sum + (each.part.kind === 'screwEye' ? 0 : each.part.massKg),
        body.massKg,
      );
      expect(lureMass(build)).toBeCloseTo(parts, 9);
      const read = readLureFile(writeLureFile(lure));
      expect(read.ok && read.lure).toEqual(lure);
      expect(planMake(build).outcome).toBe('planned');
      expect(hangersOf(build).map(({ seat }) => seat.atM)).toEqual(body.bellyEyesM);
    }
  });

  it('taken in place of any other leaves what hangs on the eyes that are there again, and undo gives the first back', () => {
    fc.assert(
      fc.property(fc.constantFrom(...BODIES), fc.constantFrom(...BODIES), (from, to) => {
        const bare = ofBuild(bareBody(from));
        const eyes = hangersOf(bare.build);
        const dressed = eyes.reduce(
          (lure, { id }) => edited(lure, seatPart(lure.build, part('ring-k2'), on(id, 'hung'))),
          bare,
        );
        const atM = 0.9 * from.lengthM;
        const screwed = edited(
          dressed,
          seatPart(dressed.build, part('screw-eye-08-10'), { on: 'body', side: 'back', atM }),
        );
        const after = edited(screwed, ...takeBody(screwed.build, to));
        expect(structureProblem(after.build)).toBeNull();
        const stays = atM <= to.lengthM ? [atM] : [];
        expect(hangersOf(after.build).map(({ seat }) => seat.atM)).toEqual(
          [...to.bellyEyesM, ...stays].sort((a, b) => a - b),
        );
        const rings = Object.values(after.build.items).filter(({ part: { kind } }) => kind === 'splitRing');
        expect(rings).toHaveLength(Math.min(from.bellyEyesM.length, to.bellyEyesM.length));
      }),
      { seed: 19, numRuns: 80 },
    );
  });

  it('holds a screw eye as far back as it is long, and refuses it further back in an edit and in a file', () => {
    const [body] = BODIES;
    if (!body) throw new Error('there are bodies');
    const bare = bareBody(body);
    const eyeAt = (atM: number) => seatPart(bare, part('screw-eye-08-10'), { on: 'body', side: 'back', atM });
    const held = edited(ofBuild(bare), eyeAt(body.lengthM));
    expect(applyEdits(ofBuild(bare), [eyeAt(body.lengthM + 0.001)])).toMatchObject({ refusal: { code: 'offBody' } });
    const spoiled = { ...held, build: { ...held.build, carrier: { kind: 'body', wire: { ...body, lengthM: 0.04 } } } };
    expect(body.lengthM).toBeGreaterThan(0.04);
    expect(JSON.stringify(readLureFile(writeLureFile(spoiled as Lure)))).toContain('"code":"offBody"');
  });

  it('is predicted at the speeds it is fished: finite, or named; floats, hovers or sinks as its weight in water says', () => {
    let told = 0;
    for (const body of BODIES) {
      const { build } = withTreble(body);
      const { rides: said } = predict(build, LAKE_WATER, FISHED);
      for (const ride of said) {
        if (ride.outcome !== 'rides') continue;
        for (const each of Object.values(ride.said))
          if (each) expect(Number.isFinite(each.value + each.low + each.high)).toBe(true);
        told++;
      }
      const swing = bodySwing(build, LAKE_WATER, 0.8);
      const { sinkingN } = rides(build, LAKE_WATER, []);
      expect(swing?.sinkingN).toBeCloseTo(sinkingN, 9);
      if (swing?.secondsPerM === null) expect(Math.abs(sinkingN)).toBeLessThan(0.003);
    }
    expect(told).toBeGreaterThan(100);
  });
});

describe('wobble', () => {
  const wobbling = BODIES.flatMap((body) => {
    const { wobbling: each } = lureInWater(withTreble(body).build, LAKE_WATER, USUAL_OUTFIT);
    return each ? [{ body, each }] : [];
  });

  it('the formula is what the equation comes to, followed in time', () => {
    let [rate, swing, tried] = [0, 0, 0];
    for (const { each } of wobbling) {
      for (const speedMps of FISHED) {
        const quick = wobbleOf(each, 998, speedMps);
        const slow = wobbleInTime(each, 998, speedMps);
        if (!quick) {
          expect(slow.swingRad).toBeLessThan(0.02);
          continue;
        }
        // Near where it starts it takes long to settle.
        if (speedMps < 1.25 * wobbleStarts(each, 998)) continue;
        tried++;
        rate = Math.max(rate, Math.abs(quick.rateHz / slow.rateHz - 1));
        swing = Math.max(swing, Math.abs(quick.swingRad / slow.swingRad - 1));
      }
    }
    expect(tried).toBeGreaterThan(50);
    expect(rate).toBeLessThan(0.02);
    expect(swing).toBeLessThan(0.05);
    measured(
      'Steady against time',
      `Wobble of ${wobbling.length} bodies, ${tried} cases: formula against followed in time`,
      `rate within ${percent(rate)}, swing within ${percent(swing)}`,
      'within 2 and 5 %',
    );
  });

  it('is none without a lip or a wake; divers swing 10 to 30°, two to fifteen times a second, from well below a slow retrieve', () => {
    const without = BODIES.filter(({ shape }) => shape === 'popper' || shape === 'walker');
    expect(without.length).toBeGreaterThan(2);
    for (const body of without) expect(bodySwing(withTreble(body).build, LAKE_WATER, 0.8)?.wobble).toBeNull();
    for (const { body, each } of wobbling.filter(({ body: { shape } }) => shape === 'diver')) {
      const at = wobbleOf(each, 998, 0.8);
      expect(at?.rateHz, body.id).toBeGreaterThan(2);
      expect(at?.rateHz, body.id).toBeLessThan(15);
      expect((at?.swingRad ?? 0) * (180 / Math.PI), body.id).toBeGreaterThan(10);
      expect((at?.swingRad ?? 0) * (180 / Math.PI), body.id).toBeLessThan(30);
      expect(wobbleStarts(each, 998), body.id).toBeLessThan(0.4);
    }
  });

  it('a wider lip swings slower, a heavier belly starts later', () => {
    const wider: Pair[] = [];
    const later: Pair[] = [];
    for (const { body, each } of wobbling) {
      later.push({
        name: body.id,
        less: wobbleStarts(each, 998),
        more: wobbleStarts({ ...each, keelNm: 2 * each.keelNm + 1e-6 }, 998),
      });
      if (body.lipWidthM === 0) continue;
      const rateOf = (lipWidthM: number) => {
        const { wobbling: own } = lureInWater(bareBody({ ...body, lipWidthM }), LAKE_WATER, USUAL_OUTFIT);
        return (own && wobbleOf(own, 998, 0.8)?.rateHz) ?? NaN;
      };
      wider.push({ name: body.id, less: rateOf(body.lipWidthM * 1.3), more: rateOf(body.lipWidthM) });
    }
    expectOrdering('A wider lip swings slower', wider);
    expectOrdering('A heavier belly wobbles from a higher speed on', later);
  });
});

describe('what must come out right of bodies', () => {
  it('13: a blade ahead of a diver takes depth from it, at half a cast and where the blade turns', () => {
    const ahead = DEMO_LURES.filter(({ family }) => family === 'bladeAhead' || family === 'bladeLeader');
    const pairs = BODIES.filter(({ lipLengthM }) => lipLengthM > 0).flatMap((body) =>
      ahead.flatMap((front) => {
        const both = edited(front, ...tieBehind(front.build, withTreble(body).build));
        const blade = Object.values(front.build.items).find(({ part: { kind } }) => kind === 'blade');
        if (!blade) throw new Error('it has a blade');
        const without = edited(both, { kind: 'remove', items: [blade.id] });
        return [0.8, 0.95, 1.1, 1.3].map((speedMps): Pair => {
          const depth = ({ build }: Lure) => depthOf(rides(build, LAKE_WATER, [speedMps]).at[0]?.lines[0]);
          return { name: `${body.id} behind ${front.id} at ${speedMps}`, less: depth(both), more: depth(without) };
        });
      }),
    );
    expectOrdering('13: a blade ahead of a diver: less depth, at half a cast, 0.8 to 1.3 m/s', pairs);
  });

  it('16: a small nail weight upright hardly changes how it hangs, the same lengthwise aft does', () => {
    const heads = partsOfKind('head').filter(({ eye }) => eye);
    const nails = partsOfKind('nailWeight').filter(({ lengthM }) => lengthM <= 0.012);
    const pairs = heads.flatMap((head) =>
      nails.map((nail): Pair => {
        const swapped = edited(
          ember(),
          { kind: 'swapPart', item: itemId('head-1'), part: head },
          { kind: 'swapPart', item: itemId('nailWeight-1'), part: nail },
        );
        const bare = edited(swapped, { kind: 'remove', items: [itemId('nailWeight-1')] });
        const pitch = ({ build }: Lure) => rides(build, LAKE_WATER, [0.5]).at[0]?.trim.pitchRad ?? NaN;
        const turned = (change: Partial<NailState>) => Math.abs(pitch(nailed(change, swapped)) - pitch(bare));
        return {
          name: `${nail.id} under ${head.id}`,
          less: turned({ leanRad: 0, atM: 0.02 }),
          more: turned({ leanRad: Math.PI / 2, atM: 0.045, outM: 0 }),
        };
      }),
    );
    expectOrdering('16: a nail weight upright changes the trim less than lengthwise aft', pairs);
  });

  it('a tungsten knocker is brighter than lead, tin and bismuth of its length', () => {
    const pitchOf = (id: string) => {
      const lure = edited(ember(), { kind: 'swapPart', item: itemId('nailWeight-1'), part: part(id) });
      const [knock] = soundings(heardOf(lure, 0.9), 'bladeOnNail');
      return knock;
    };
    const bright = (each: ReturnType<typeof pitchOf>) => (each && centroidOf(each.bands)) ?? NaN;
    const lengths = [9, 12, 16];
    const pairs = lengths.flatMap((length) =>
      ['lead', 'tin', 'bismuth'].map((metal): Pair => {
        const [soft, hard] = [pitchOf(`nail-${metal}-${length}`), pitchOf(`nail-tungsten-${length}`)];
        // A nail of another length stands as far out: it goes in deeper.
        return { name: `${metal} ${length}`, less: bright(soft), more: bright(hard) };
      }),
    );
    expectOrdering('A tungsten knocker is brighter than a softer one', pairs);
  });

  it('a nail too deep is missed, one a little proud is knocked once a turn, one too proud holds the blade', () => {
    const outs = Array.from({ length: 61 }, (_, i) => i / 10_000);
    const order = ['misses', 'knocks', 'jams'];
    const seen = outs.map((outM) => order.indexOf(meetOf(nailed({ outM }))?.knock ?? ''));
    expect(seen).toEqual(seen.toSorted((a, b) => a - b));
    expect(new Set(seen)).toEqual(new Set([0, 1, 2]));
    const at = (knock: string) => outs[seen.indexOf(order.indexOf(knock))] ?? NaN;
    const rate = (outM: number) => predictSpin(nailed({ outM }).build, LAKE_WATER, [0.9]).blades[0]?.at[0];
    expect(rate(at('misses'))?.outcome).not.toBe('doesNotTurn');
    expect(rate(at('jams'))?.outcome).toBe('doesNotTurn');
    const knocking = nailed({ outM: at('knocks') + 0.0004 });
    const [knock] = soundings(heardOf(knocking, 0.9), 'bladeOnNail');
    const [blade] = predictSpin(knocking.build, LAKE_WATER, [0.9]).blades;
    const turning = blade?.at[0];
    expect(turning && 'rateHz' in turning ? turning.rateHz.value : NaN).toBeCloseTo(knock?.knocks?.perS ?? NaN, 0);
    expect(soundings(heardOf(nailed({ outM: at('misses') }), 0.9), 'bladeOnNail')).toEqual([]);
    measured(
      'Limits and identities',
      'A nail weight of the demo underspin: knocked from so far out of the belly, held from so far',
      `${figures(at('knocks') * 1000)} mm, ${figures(at('jams') * 1000)} mm`,
      'missed, knocked, held, in that order',
    );
  });

  it('a flasher under a belly swings and ticks and does not turn; a ringed blade at the tail turns and flashes on the pause', () => {
    for (const body of BODIES.filter(({ bellyEyesM, lipLengthM }) => bellyEyesM.length > 0 && lipLengthM > 0)) {
      const bare = ofBuild(bareBody(body));
      const ringed = edited(bare, seatPart(bare.build, part('ring-k2'), on('screwEye-1', 'hung')));
      const lure = edited(ringed, seatPart(ringed.build, part('blade-willow-k1'), on('splitRing-1', 'hung')));
      expect(predictSpin(lure.build, LAKE_WATER, [0.8]).blades).toEqual([]);
      const [flasher] = bodySwing(lure.build, LAKE_WATER, 0.8)?.flashing ?? [];
      const wobble = bodySwing(lure.build, LAKE_WATER, 0.8)?.wobble;
      expect(flasher?.swingRad, body.id).toBeGreaterThan(0.1);
      expect(flasher?.ticksHz, body.id).toBe(wobble?.rateHz);
      expect(soundings(heardOf(lure, 0.8), 'bladeOnBody')[0]?.knocks?.perS).toBeCloseTo(wobble?.rateHz ?? NaN, 6);
      expect(codesOf(lure)).not.toContain('flashesOnPause good');
    }
    const twinkle = demoLure('stolk-twinkle');
    expect(codesOf(twinkle)).toContain('flashesOnPause good');
    expect(flashers(twinkle.build, layOut(twinkle.build))).toEqual([]);
    const turns = predictSpin(twinkle.build, LAKE_WATER, [1.5]).blades[0]?.at[0]?.outcome;
    expect(['turning', 'mayStop']).toContain(turns);
  });
});

describe('findings on bodies: each triggered, and not', () => {
  const glint = () => demoLure('halvane-glint');
  const bladed = (id: string) => edited(glint(), { kind: 'swapPart', item: itemId('blade-1'), part: part(id) });

  it.each<[string, () => Lure, () => Lure]>([
    ['knocker fault', () => nailed({ outM: 0.0055 }), ember],
    ['knocker caution', () => nailed({ outM: 0 }), ember],
    ['nailGrip caution', () => nailed({ outM: 0.0042, clippedM: 0.002 }), ember],
    ['nailLeans caution', () => nailed({ leanRad: 0.3 }), ember],
    ['nailPlace caution', () => nailed({ atM: 0.0185 }), ember],
    ['widerThanBelly caution', () => bladed('blade-colorado-k4'), glint],
    ['flasherAgainstHook fault', () => bladed('blade-willow-o4'), glint],
    [
      'hollowOutward caution',
      () => edited(glint(), { kind: 'adjust', item: itemId('blade-1'), changes: { flipped: true } }),
      glint,
    ],
    [
      'floats caution',
      () =>
        edited(glint(), {
          kind: 'swapPart',
          item: itemId('hook-1'),
          part: { ...part('hook-treble-2'), massKg: 0.006 } as never,
        }),
      glint,
    ],
    [
      'flasher caution',
      () => edited(glint(), ...takeBody(glint().build, part('body-popper-65-white') as never)),
      glint,
    ],
    [
      'bladeAgainstSoft fault',
      () => edited(ember(), { kind: 'swapPart', item: itemId('blade-1'), part: part('blade-colorado-k4') }),
      ember,
    ],
  ])('%s', (code, triggered, sound) => {
    expect(codesOf(triggered())).toContain(code);
    expect(codesOf(sound())).not.toContain(code);
  });

  it('what is offered for a nail that is missed, held, aslant or out of place mends it', () => {
    for (const [code, lure] of [
      ['knocker', nailed({ outM: 0.0055 })],
      ['knocker', nailed({ outM: 0.0015 })],
      ['nailLeans', nailed({ leanRad: 0.3 })],
      ['nailPlace', nailed({ atM: 0.0185 })],
    ] as const) {
      const found = findings(lure).find((each) => each.code === code && each.severity !== 'good');
      const [repair] = found?.repairs() ?? [];
      expect(repair, code).toBeDefined();
      const after = edited(lure, ...(repair?.edits ?? []));
      expect(findings(after).find(({ key }) => key === found?.key)?.severity ?? 'good', code).toBe('good');
    }
  });
});
