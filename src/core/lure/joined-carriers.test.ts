/** Several carriers joined: any tree of them, and lures that no family makes yet. */
import { fail, id, straight, joining } from '@/testing/joining';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, part, twoPieces } from '@/testing/lures';
import { LAKE_WATER } from '../hydro/water';
import { wakeDeficit } from '../hydro/wake';
import { rides } from '../predict/ride';
import { turnAll } from '../predict/turned';
import { bodiesOf } from '../in-water/bodies';
import { carrierRoom, type Carrier, strandOf } from '../carriers/carrier';
import { applyEdits, type Edit } from './edit';
import { threadParts } from './editing';
import { findings } from '../judgement/findings';
import { layOut, type Layout } from '../geometry/layout';
import { readLureFile, writeLureFile } from '../files/lure-file';
import { FIRST_CARRIER, type CarrierId, type Joint, type Lure } from './lure';
import { lureMass } from '../lengths/mass';
import { salvage } from '../files/record';
import { spinners } from '../in-water/spinners';
import { structureProblem } from './structure';
import { hangingOn } from './strung';
import { pointOn } from '../carriers/wire-path';

const THREADED = ['clevis-folded-1', 'bead-brass-3', 'weight-barrel-brass-5'].map((each) => part(each));
const RHO = 998;
const RING = part('ring-k2');
const HOOK = part('hook-treble-6');
const BENT = demoLure('torvane-lanes').build.carrier;

/** A demo lure with up to five carriers joined, each to an end or a ring of any before it. */
const anyTree = fc
  .tuple(
    fc.constantFrom('hovna-lantern', 'torvane-lanes', 'stolk-kettle', 'suvra-needle'),
    fc.array(
      fc.record({
        on: fc.nat(50),
        isBent: fc.boolean(),
        threaded: fc.array(fc.constantFrom(...THREADED), { maxLength: 4 }),
        hasHook: fc.boolean(),
        freeRoomM: fc.double({ min: 0.0001, max: 0.01, noNaN: true }),
      }),
      { minLength: 1, maxLength: 5 },
    ),
  )
  .map(([slug, wanted]) => {
    let lure = demoLure(slug);
    const joints: Joint[] = [{ on: 'end', carrier: FIRST_CARRIER, end: 'tail' }];
    for (const { id: ring, part: each } of Object.values(lure.build.items)) {
      if (each.kind === 'splitRing') joints.push({ on: 'item', item: ring });
    }
    wanted.forEach(({ on, isBent, threaded, hasHook, freeRoomM }, n) => {
      const name = id(`wire-${n + 2}`);
      const joint = joints[on % joints.length] ?? fail('a joint');
      const { edit, tail } = joining(lure, name, joint, {
        carrier: isBent ? BENT : straight(freeRoomM),
        threaded,
        hung: hasHook ? [RING, HOOK] : [RING],
      });
      lure = edited(lure, edit);
      joints.push({ on: 'end', carrier: name, end: 'tail' }, { on: 'item', item: tail[0] ?? fail('a ring') });
    });
    return lure;
  });

/** Where a joined carrier's own bearing point came to lie. */
function ownPoint(layout: Layout, carrier: Carrier, name: CarrierId) {
  const laid = layout.carriers.find((each) => each.id === name) ?? fail(`${name} is laid`);
  return carrierRoom(carrier).hangsBy === 'tie' ? laid.lines.tie : pointOn(laid.lines.run, strandOf(carrier));
}

describe('any tree of carriers', () => {
  it('lies on what holds it, weighs what is in it, and has finite figures and a file', () => {
    let joinedSeen = 0;
    fc.assert(
      fc.property(anyTree, (lure) => {
        const { build } = lure;
        joinedSeen += build.joined.length;
        expect(structureProblem(build)).toBeNull();
        const layout = layOut(build);
        expect(layout.carriers).toHaveLength(build.joined.length + 1);
        expect([layout.x0M, layout.x1M, layout.y0M, layout.y1M].every(Number.isFinite)).toBe(true);
        for (const { id: name, carrier, joint } of build.joined) {
          const own = ownPoint(layout, carrier, name);
          const holder = layout.off.find(({ item }) => joint.on === 'item' && item.id === joint.item);
          const laid = layout.carriers.find((each) => joint.on === 'end' && each.id === joint.carrier);
          // On a ring it bears no further off than the ring is wide, at a loop within the loop.
          const at = laid ? pointOn(laid.lines.trail, laid.tail.x1M) : null;
          if (at) expect(Math.hypot(own.xM - at.xM, own.yM - at.yM)).toBeLessThan(0.002);
          else expect(holder).toBeDefined();
        }
        const massKg = bodiesOf(build, layout).reduce((sum, body) => sum + body.massKg, 0);
        expect(massKg).toBeCloseTo(lureMass(build), 9);
        const { at } = rides(build, LAKE_WATER, [0.6, 1]);
        for (const { trim, thumpNs } of at) {
          expect([trim.pitchRad, trim.dragN, trim.liftN, thumpNs].every(Number.isFinite)).toBe(true);
        }
        expect(readLureFile(writeLureFile(lure))).toEqual({ ok: true, lure });
      }),
      { numRuns: 25, seed: 20261128 },
    );
    expect(joinedSeen).toBeGreaterThan(40);
  });

  it('is judged: each finding once, its repairs for the wire it is on', () => {
    let onJoined = 0;
    for (const lure of fc.sample(anyTree, { numRuns: 5, seed: 20261130 })) {
      const found = findings(lure);
      expect(new Set(found.map(({ key }) => key)).size).toBe(found.length);
      for (const { key, repairs } of found) {
        const [, on] = / on (wire-\d+)$/.exec(key) ?? [];
        if (on === undefined) continue;
        onJoined++;
        for (const edit of repairs().flatMap(({ edits }) => edits)) {
          if (edit.kind === 'carrier') expect(edit.on).toBe(on);
        }
      }
    }
    expect(onJoined).toBeGreaterThan(5);
  });

  it('each is edited like the first, and undone exactly; what is taken off takes along all that hangs on it', () => {
    fc.assert(
      fc.property(anyTree, fc.nat(20), (lure, n) => {
        const strung = lure.build.joined[n % lure.build.joined.length] ?? fail('a joined carrier');
        const on = strung.id;
        const bead = threadParts(lure.build, part('bead-brass-3'), 0);
        if (bead.kind !== 'insert') throw new Error('threading inserts');
        const items = Object.values(lure.build.items);
        const gone = hangingOn(lure.build, (items[n % items.length] ?? fail('an item')).id);
        const edits: readonly Edit[] = [
          { ...bead, entries: bead.entries.map((entry) => ({ ...entry, on })) },
          { kind: 'carrier', on, changes: { tail: { form: 'plain' } } },
          { kind: 'carry', on, carrier: straight() },
          { kind: 'remove', ...gone },
        ];
        for (const edit of edits) {
          const applied = applyEdits(lure, [edit]);
          if (!applied.ok) throw new Error(`${edit.kind}: ${JSON.stringify(applied.refusal)}`);
          expect(applied.lure).not.toEqual(lure);
          const back = applyEdits(applied.lure, applied.inverse);
          expect(back).toMatchObject({ ok: true });
          if (back.ok) expect(back.lure).toEqual(lure);
        }
      }),
      { numRuns: 60, seed: 20261129 },
    );
  });

  it('what could not be is refused by name', () => {
    const lure = demoLure('hovna-lantern');
    const wanted = { carrier: straight(), threaded: [], hung: [RING] };
    const refusal = (joint: Joint, name = id('wire-2')) => {
      const applied = applyEdits(lure, [joining(lure, name, joint, wanted).edit]);
      return applied.ok ? null : applied.refusal;
    };
    expect(refusal({ on: 'end', carrier: FIRST_CARRIER, end: 'tail' })).toBeNull();
    expect(refusal({ on: 'end', carrier: id('wire-7'), end: 'tail' })).toMatchObject({ code: 'unknownCarrier' });
    expect(refusal({ on: 'item', item: itemId('blade-1') })).toMatchObject({ code: 'cannotJoin', on: 'blade-1' });
    expect(refusal({ on: 'end', carrier: id('wire-2'), end: 'tail' })).toMatchObject({ code: 'joinsItself' });
    expect(refusal({ on: 'end', carrier: FIRST_CARRIER, end: 'tail' }, FIRST_CARRIER)).toMatchObject({
      code: 'carrierExists',
    });
  });
});

it('the file of a lure in two pieces that the journeys take in is as it would be written now', () => {
  const kept = readFileSync('src/testing/fixtures/two-pieces.mazurka.json', 'utf8');
  expect(kept).toBe(writeLureFile(twoPieces()));
});

describe('a damaged record of a lure in two pieces', () => {
  const lure = twoPieces();
  const spoiled = (spoil: (build: Record<string, unknown>) => void) => {
    const raw = JSON.parse(JSON.stringify({ lure, past: [], future: [] })) as {
      lure: { build: Record<string, unknown> };
    };
    spoil(raw.lure.build);
    return salvage(raw);
  };

  it('is read without what hangs on nothing, which is named', () => {
    const ring = lure.build.joined[0]?.joint;
    if (ring?.on !== 'item') throw new Error('it hangs on a ring');
    expect(salvage({ lure, past: [], future: [] })).toMatchObject({
      history: { lure: { build: lure.build } },
      leftOut: [],
    });
    const noRing = spoiled((build) => Reflect.deleteProperty(build.items as object, ring.item));
    expect(noRing?.history.lure.build.joined).toEqual([]);
    expect(noRing?.leftOut).toContain('lure.build.joined.wire-2');
    const noCarrier = spoiled((build) => Object.assign((build.joined as object[])[0] ?? {}, { carrier: 'gnawed' }));
    expect(noCarrier?.history.lure.build.joined).toEqual([]);
    expect(noCarrier?.leftOut).toContain('lure.build.joined.0');
    for (const read of [noRing, noCarrier]) expect(read && structureProblem(read.history.lure.build)).toBeNull();
  });
});

describe('a spinner in two pieces: two wires joined by a ring', () => {
  const bare = edited(demoLure('suvra-needle'));
  const ring = Object.values(bare.build.items).find(({ part: { kind } }) => kind === 'splitRing') ?? fail('a ring');
  const { edit } = joining(
    bare,
    id('wire-2'),
    { on: 'item', item: ring.id },
    {
      carrier: straight(),
      threaded: [part('weight-barrel-brass-5')],
      hung: [RING, HOOK],
    },
  );
  const two = edited(bare, edit);

  it('hangs behind, is as heavy as its parts and its two wires, and runs deeper for the weight', () => {
    const [first, second] = layOut(two.build).carriers;
    expect(second?.behind).toEqual([FIRST_CARRIER]);
    expect(second?.fromM).toBeGreaterThan(first?.tail.x0M ?? Infinity);
    const addedKg = lureMass(two.build) - lureMass(bare.build);
    const partsKg = [part('weight-barrel-brass-5'), RING, HOOK].reduce((sum, each) => sum + each.massKg, 0);
    expect(addedKg).toBeGreaterThan(partsKg);
    expect(addedKg).toBeLessThan(partsKg + 0.001);
    const sinks = (lure: Lure) => rides(lure.build, LAKE_WATER, [0.6]).sinkingN;
    expect(sinks(two)).toBeGreaterThan(sinks(bare));
  });

  it('of a blade on the rear wire the front one takes as much water as of one as far behind on its own', () => {
    const clevis = part('clevis-folded-1');
    const tandem = edited(
      bare,
      joining(
        bare,
        id('wire-2'),
        { on: 'item', item: ring.id },
        {
          carrier: straight(),
          threaded: [clevis],
          hung: [RING],
        },
      ).edit,
    );
    const [front, rear] = turnAll(spinners(tandem.build, RHO), RHO, [0.8]);
    const [first] = front?.outcomes ?? [];
    if (!front || !rear || first?.outcome !== 'turning') throw new Error('two blades, the front one turning');
    const behindM = rear.spinner.at.xM - front.spinner.at.xM;
    expect(rear.spinner.placeM - front.spinner.placeM).toBeCloseTo(behindM, 9);
    expect(behindM).toBeGreaterThan(0.02);
    const passed = 1 - wakeDeficit(first, behindM, rear.spinner.meetsWakeAtM);
    expect(rear.localSpeedsMps[0]).toBeCloseTo(0.8 * passed, 9);
    expect(passed).toBeLessThan(0.99);
    expect(front.localSpeedsMps[0]).toBeCloseTo(0.8, 12);
  });
});
