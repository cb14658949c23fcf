/** Lures that no family makes yet, on the carriers there are. */
import { fail, WIRE, id, joining } from '@/testing/joining';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, part } from '@/testing/lures';
import { LAKE_WATER } from '../hydro/water';
import { predict } from '../predict/predict';
import { turnAll } from '../predict/turned';
import { CARRIERS, type Carrier } from '../carriers/carrier';
import type { CarrierRoom } from '../carriers/room';
import { straightWireRoom, type StraightWire } from '../carriers/straight-wire';
import type { Edit } from './edit';
import { findings } from '../judgement/findings';
import { layOut } from '../geometry/layout';
import { FIRST_CARRIER, type CarrierId, type ItemId, type Lure, type Seat } from './lure';
import { lureMass } from '../lengths/mass';
import { spinners } from '../in-water/spinners';
import { structureProblem } from './structure';
import { carriersOf } from './strung';

const RHO = 998;
const HOOK = part('hook-treble-6');

describe('lures of families to come need no branch outside the room of their carrier', () => {
  it('a blade ahead of a spinnerbait: it hangs by its tie, its arm is the one that shakes, its blades meet the wake', () => {
    const bait = demoLure('torvane-lanes');
    const front = edited(demoLure('suvra-needle'));
    const ring = Object.values(front.build.items).find(({ part: { kind } }) => kind === 'splitRing') ?? fail('a ring');
    const name = id('wire-2');
    // The bait's own pieces under new numbers, so that none is taken twice.
    const renamed = new Map(
      Object.keys(bait.build.items).map((old, n) => [old, itemId(`${old.split('-')[0] ?? 'x'}-${n + 50}`)]),
    );
    const to = (old: ItemId) => renamed.get(old) ?? fail(`${old} is renamed`);
    const moved = (seat: Seat): Seat =>
      seat.on === 'item' ? { ...seat, item: to(seat.item) } : seat.on === 'strand' ? seat : { ...seat, carrier: name };
    const items = Object.values(bait.build.items).map((item) => ({ ...item, id: to(item.id), seat: moved(item.seat) }));
    const strand = bait.build.strand.map((entry) => ({ ...entry, item: to(entry.item) }));
    const both = edited(front, {
      kind: 'insert',
      items,
      entries: [],
      joined: [
        { index: 0, joined: { id: name, joint: { on: 'item', item: ring.id }, carrier: bait.build.carrier, strand } },
      ],
    });
    const said = predict(both.build, LAKE_WATER, [0.9]);
    expect(said.arm.outcome).toBe('arm');
    expect(said.arm).toMatchObject({ arm: { lengthM: expect.any(Number) as number } });
    const baitBlade = Object.values(bait.build.items).find(({ part: { kind } }) => kind === 'blade') ?? fail('a blade');
    const meets = (lure: Lure, station: ItemId) =>
      turnAll(spinners(lure.build, RHO), RHO, [0.9]).find(({ spinner }) => spinner.station === station)
        ?.localSpeedsMps[0] ?? fail('it turns');
    // The front blade's wake goes on along what hangs behind it.
    expect(meets(both, to(baitBlade.id))).toBeLessThan(0.995 * meets(bait, baitBlade.id));
    expect(lureMass(both.build)).toBeCloseTo(lureMass(front.build) + lureMass(bait.build), 9);
  });

  it('two hooks snelled on a line behind a blade, the line a carrier that only its own room knows', () => {
    const LINE = 'trialLine';
    const lineRoom: CarrierRoom<StraightWire> = {
      ...straightWireRoom,
      isAsLongAsItsStack: false,
      runM: ({ freeRoomM }) => freeRoomM,
      terms: ({ freeRoomM }) => [{ code: 'straight', lengthM: freeRoomM }],
    };
    const rooms = CARRIERS as unknown as Record<string, CarrierRoom<StraightWire>>;
    rooms[LINE] = lineRoom;
    try {
      const line = (lengthM: number) =>
        ({
          kind: LINE,
          wire: { ...WIRE, material: 'polyester', diameterM: 0.0004, massKg: 0.0001 },
          nose: { form: 'plain' },
          tail: { form: 'plain' },
          freeRoomM: lengthM,
        }) as unknown as Carrier;
      const spinner = demoLure('suvra-needle');
      let lure = spinner;
      const add = (name: CarrierId, lengthM: number) => {
        const { items, ...edit } = joining(
          lure,
          name,
          { on: 'end', carrier: FIRST_CARRIER, end: 'tail' },
          { carrier: line(lengthM), threaded: [], hung: [HOOK] },
        ).edit as Extract<Edit, { kind: 'insert' }>;
        // The file's schema knows no such carrier yet, the core needs nothing else of it.
        const { build } = lure;
        const joined = [...build.joined, ...(edit.joined ?? []).map((each) => each.joined)];
        const added = Object.fromEntries(items.map((each) => [each.id, each]));
        lure = { ...lure, build: { ...build, items: { ...build.items, ...added }, joined } };
        return items[0]?.id ?? fail('a hook');
      };
      const near = add(id('snell-1'), 0.02);
      const far = add(id('snell-2'), 0.06);
      expect(structureProblem(lure.build)).toBeNull();
      const layout = layOut(lure.build);
      const x = (hook: ItemId) => layout.off.find(({ item }) => item.id === hook)?.x0M ?? fail('it is placed');
      expect(x(far) - x(near)).toBeCloseTo(0.04, 9);
      expect(carriersOf(lure.build).map(({ id: each }) => each)).toEqual(['wire-1', 'snell-1', 'snell-2']);
      const linesKg = 0.08 * (0.0001 / WIRE.stockLengthM);
      expect(lureMass(lure.build)).toBeCloseTo(lureMass(spinner.build) + 2 * HOOK.massKg + linesKg, 9);
      const { rides: said, spin } = predict(lure.build, LAKE_WATER, [0.8]);
      expect(said[0]?.outcome).toBe('rides');
      expect(spin.blades).toHaveLength(predict(spinner.build, LAKE_WATER, [0.8]).spin.blades.length);
      expect(findings(lure).length).toBeGreaterThan(0);
    } finally {
      Reflect.deleteProperty(rooms, LINE);
    }
  });
});
