import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  demoLure,
  edited,
  itemId,
  on,
  part,
  plainSpinner,
  WIRE_DEMOS,
  spinner,
  TAIL,
  withInside,
} from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { refusalWords } from '../../words/refusal-words';
import { CATALOGUE } from '../parts/catalogue';
import { applyEdits, editSchema, type Edit } from '../lure/edit';
import { moveRun, seatPart, stepItem, strandIndexes, takeOff, threadParts } from '../lure/editing';
import { HISTORY_LIMIT, performCommand, startHistory } from '../lure/history';
import { layOut } from './layout';
import { readLureFile, writeLureFile } from '../files/lure-file';
import type { ItemState } from '../parts/part';
import { howSchema, USUAL_LOOP, type Build, type Lure, type Seat } from '../lure/lure';
import { structureProblem } from '../lure/structure';

/** Some edit that makes sense to try on this lure, chosen by numbers; it may be refused. */
function someEdit(lure: Lure, [which, a, b]: readonly [number, number, number]): Edit[] {
  const { build } = lure;
  const items = Object.values(build.items);
  const anyOf = <T>(list: readonly T[], n: number) => list[n % Math.max(list.length, 1)];
  const item = anyOf(items, a);
  const catalogued = anyOf(CATALOGUE, b) ?? part('bead-brass-3');
  const seats: Exclude<Seat, { on: 'strand' }>[] = [
    TAIL,
    { on: 'end', end: 'nose' },
    { on: 'tie' },
    ...items.flatMap(({ id }) => howSchema.options.map((how) => on(id, how))),
  ];
  switch (which % 10) {
    case 0:
      return [threadParts(build, catalogued, a % (build.strand.length + 1), 1 + (b % 3))];
    case 1:
      return item ? [takeOff(build, item.id)] : [];
    case 2:
      return [{ kind: 'move', from: a % (build.strand.length + 1), to: b % (build.strand.length + 1) }];
    case 3:
      return item ? [{ kind: 'swapPart', item: item.id, part: catalogued }] : [];
    case 4:
      return item
        ? [
            {
              kind: 'adjust',
              item: item.id,
              changes: {
                flipped: !item.flipped,
                state: (b % 3 ? STATES.find(({ of }) => of === item.state?.of) : anyOf(STATES, b)) ?? null,
              },
            },
          ]
        : [];
    case 5:
      return [seatPart(build, catalogued, anyOf(seats, a) ?? TAIL)];
    case 6:
      return item ? [{ kind: 'reseat', item: item.id, seat: anyOf(seats, b) ?? TAIL }] : [];
    case 7:
      return [carrierEdit(build, a, b)];
    case 8:
      return item ? stepItem(build, item.id, b % 2 ? 1 : -1, b % 3 ? null : 'aft') : [];
    default:
      return [
        { kind: 'rename', name: `Lure ${a}` },
        { kind: 'mark', made: b % 2 ? null : { onDay: '2031-10-02', build } },
      ];
  }
}

/** States of every sort, most of them not of the item they are tried on. */
const STATES: readonly ItemState[] = [
  { of: 'film', foldRad: 0.4 },
  { of: 'hook', pinched: true },
  { of: 'tube', cutLengthM: 0.012 },
  { of: 'swivel', condition: 'rusty' },
  { of: 'skirt', collarAt: 0.2, tips: 'thinned' },
  { of: 'trailer', cutM: 0.01, rounded: true, crookedRad: 0.1 },
  { of: 'rivet', fixing: 'upset' },
  { of: 'sleeve', slidUp: true },
  { of: 'deltaBlade', clacks: true },
  { of: 'lock', turns: 2 },
];

function carrierEdit(build: Build, a: number, b: number): Edit {
  const { carrier } = build;
  const tail = a % 2 ? ({ form: 'plain' } as const) : USUAL_LOOP;
  if (carrier.kind === 'straightWire') return { kind: 'carrier', changes: { freeRoomM: (a % 40) / 10_000, tail } };
  if (carrier.kind === 'body') return { kind: 'carry', carrier };
  if (carrier.kind === 'line') return { kind: 'carrier', changes: { lengthM: 0.3 + (a % 40) / 100 } };
  const sections = carrier.sections.map((each, i) =>
    each.section === 'bend' && i === b % carrier.sections.length
      ? { ...each, angleRad: ((a % 60) - 30) / 20, sideRad: ((b % 20) - 10) / 50 }
      : each,
  );
  if (a % 7 === 0) return { kind: 'versions', versions: [{ name: `Version ${b}`, build }] };
  return a % 5 === 0
    ? { kind: 'carrier', changes: { freeRoomM: 0.001 } }
    : { kind: 'carrier', changes: { sections, armM: (20 + (b % 60)) / 1000, tail } };
}

const tries = fc.array(fc.tuple(fc.nat(99), fc.nat(500), fc.nat(500)), { minLength: 1, maxLength: 25 });

describe('edits', () => {
  it('random edits on every demo lure: do, then undo, is exact; the file carries every state; nothing impossible is reached', () => {
    let done = 0;
    let refused = 0;
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_LURES), tries, (start, numbers) => {
        let lure = start;
        for (const choice of numbers) {
          const edits = someEdit(lure, choice);
          if (edits.length === 0) continue;
          const before = JSON.stringify(lure);
          const applied = applyEdits(lure, edits);
          expect(JSON.stringify(lure)).toBe(before);
          if (!applied.ok) {
            refused++;
            expect(refusalWords(applied.refusal).length).toBeGreaterThan(10);
            continue;
          }
          done++;
          for (const edit of [...edits, ...applied.inverse]) expect(editSchema.parse(edit)).toEqual(edit);
          const undone = applyEdits(applied.lure, applied.inverse);
          expect(undone).toMatchObject({ ok: true });
          if (undone.ok) expect(undone.lure).toEqual(lure);
          lure = applied.lure;
          expect(structureProblem(lure.build)).toBeNull();
          const layout = layOut(lure.build);
          for (const { x0M, x1M } of [...layout.strand, ...layout.off]) {
            expect(Number.isFinite(x0M) && Number.isFinite(x1M)).toBe(true);
            expect(x1M).toBeGreaterThanOrEqual(x0M);
          }
        }
        const file = writeLureFile(lure);
        const read = readLureFile(file);
        expect(read).toEqual({ ok: true, lure });
        if (read.ok) expect(writeLureFile(read.lure)).toBe(file);
      }),
      { seed: 31, numRuns: 140 },
    );
    expect(done).toBeGreaterThan(400);
    expect(refused).toBeGreaterThan(200);
  });

  it('undo and redo walk the whole history both ways, and a new change forgets the redo', () => {
    const start = startHistory(demoLure('hovna-lantern'));
    const bead = part('bead-glass-4-red');
    let history = start;
    for (let i = 0; i < 5; i++) {
      const result = performCommand(history, {
        do: 'change',
        code: 'add',
        edits: [threadParts(history.lure.build, bead, 0)],
      });
      if (result.ok) history = result.history;
    }
    const end = history;
    const walk = (command: 'undo' | 'redo') => {
      for (
        let result = performCommand(history, { do: command });
        result.ok;
        result = performCommand(history, { do: command })
      ) {
        history = result.history;
      }
    };
    walk('undo');
    expect(history.lure).toEqual(start.lure);
    walk('redo');
    expect(history).toEqual(end);
    walk('undo');
    const fresh = performCommand(history, { do: 'change', code: 'rename', edits: [{ kind: 'rename', name: 'Other' }] });
    expect(fresh).toMatchObject({ ok: true, history: { future: [], past: [{ code: 'rename' }] } });
    expect(HISTORY_LIMIT).toBeGreaterThanOrEqual(100);
  });

  const lure = plainSpinner();
  const refusals: [string, Edit[], string][] = [
    ['the fore leg behind the aft leg', [{ kind: 'move', from: 0, to: 1 }], 'legsCrossed'],
    ['a hook threaded on the wire', [threadParts(lure.build, part('hook-treble-6'), 0)], 'cannotSit'],
    [
      'a blade hung on a bead',
      [seatPart(lure.build, part('blade-french-k1'), on('bead-1', 'hung'))],
      'nothingToHoldIt',
    ],
    [
      'a second blade on one lobe',
      [seatPart(lure.build, part('blade-french-k1'), on('clevis-1', 'hung'))],
      'seatTaken',
    ],
    [
      'a ring hung on the hook that hangs on it',
      [{ kind: 'reseat', item: itemId('splitRing-1'), seat: on('splitRing-1', 'hung') }],
      'hangsOnItself',
    ],
    ['a ring taken from under its hook', [{ kind: 'remove', items: [itemId('splitRing-1')] }], 'leavesHanging'],
    [
      'a bead swapped for a blade',
      [{ kind: 'swapPart', item: itemId('bead-1'), part: part('blade-french-k1') }],
      'swapKind',
    ],
    ['a hook without a name', [{ kind: 'adjust', item: itemId('hook-1'), changes: { role: null } }], 'hookWithoutRole'],
    ['a place beyond the string', [{ kind: 'move', from: 0, to: 40 }], 'noSuchPlace'],
    ['an item that is not there', [{ kind: 'remove', items: [itemId('bead-9')] }], 'unknownItem'],
  ];
  it.each(refusals)('refuses %s, with the reason', (_, edits, code) => {
    const applied = applyEdits(lure, edits);
    expect(applied).toMatchObject({ ok: false, refusal: { code } });
  });

  it('moves past whole neighbours: a clevis goes over a bead, and a bead over a clevis, in one step', () => {
    const order = (each: Lure) => each.build.strand.map(({ item, leg }) => `${item}${leg ? ` ${leg}` : ''}`);
    const forth = edited(lure, ...stepItem(lure.build, itemId('clevis-1'), 1));
    expect(order(forth)).toEqual(['bead-1', 'clevis-1 fore', 'clevis-1 aft', 'weight-1']);
    const back = edited(forth, ...stepItem(forth.build, itemId('bead-1'), 1));
    expect(order(back)).toEqual(order(lure));
    expect(stepItem(lure.build, itemId('clevis-1'), -1)).toEqual([]);
    expect(order(edited(lure, ...moveRun(0, 2, 4)))).toEqual(['bead-1', 'weight-1', 'clevis-1 fore', 'clevis-1 aft']);
    expect(strandIndexes(lure.build, itemId('clevis-1'))).toEqual([0, 1]);
  });
});

describe('layout', () => {
  it('lays the stack end to end against the tail wraps, with the play at the nose', () => {
    for (const { build } of WIRE_DEMOS.filter((lure) => lure.build.strand.length > 0)) {
      const layout = layOut(build);
      const stack = layout.strand.filter(({ item }) => item.part.kind !== 'shrinkTube');
      expect(stack.at(-1)?.x1M).toBeCloseTo(layout.shaft.x1M, 12);
      expect(stack[0]?.x0M).toBeCloseTo(layout.freeRoom.x1M, 12);
      for (let i = 1; i < stack.length; i++) {
        expect(stack[i]?.x0M ?? 0).toBeGreaterThanOrEqual((stack[i - 1]?.x1M ?? 0) - 1e-12);
      }
      expect(layout.stackM).toBeCloseTo(layout.shaft.x1M - layout.freeRoom.x1M, 12);
    }
  });

  it('puts the blade under the middle of its clevis, at the drop', () => {
    const { build } = plainSpinner();
    const layout = layOut(build);
    const blade = layout.off.find(({ item }) => item.part.kind === 'blade');
    const [clevis] = layout.clevises;
    expect(blade?.pivotM).toBeCloseTo(((clevis?.foreM ?? 0) + (clevis?.aftM ?? 0)) / 2, 12);
    expect(blade?.offAxisM).toBe(clevis?.clevis.dropM);
  });

  it('stacks two clevises interleaved or nested, and a bead inside one spreads nothing that it fits', () => {
    const wide = spinner(['clevis-folded-wide', 'clevis-folded-0']);
    const alone = layOut(spinner(['clevis-folded-wide']).build).stackM;
    const [apart, nested, interleaved] = [
      wide,
      edited(wide, { kind: 'move', from: 1, to: 3 }),
      edited(wide, { kind: 'move', from: 1, to: 2 }),
    ].map((each) => ({
      order: each.build.strand.map(({ item, leg }) => `${item} ${leg ?? ''}`),
      stackM: layOut(each.build).stackM,
    }));
    expect(nested?.order).toEqual(['clevis-1 fore', 'clevis-2 fore', 'clevis-2 aft', 'clevis-1 aft']);
    expect(interleaved?.order).toEqual(['clevis-1 fore', 'clevis-2 fore', 'clevis-1 aft', 'clevis-2 aft']);
    expect(nested?.stackM).toBeCloseTo(alone, 12);
    expect(interleaved?.stackM ?? 0).toBeGreaterThan(alone);
    expect(interleaved?.stackM ?? 0).toBeLessThan(apart?.stackM ?? 0);
    const inner = 0.0019 + 2 * 0.00035;
    expect(layOut(edited(wide, { kind: 'move', from: 1, to: 3 }).build).clevises[0]?.insideM).toBeCloseTo(inner, 12);

    const withBead = layOut(withInside(spinner(['clevis-folded-wide']), 'bead-brass-3').build);
    expect(withBead.stackM).toBeCloseTo(alone, 12);
    expect(withBead.clevises[0]?.insideM).toBeCloseTo(0.0026, 12);
  });

  it('seats a bell over its sleeve and a cap over its bead without making the stack longer than they do', () => {
    const sleeve = spinner(['sleeve-brass-8']);
    const belled = edited(sleeve, seatPart(sleeve.build, part('bell-brass-8'), on('sleeve-1', 'over')));
    expect(layOut(belled.build).stackM).toBe(layOut(sleeve.build).stackM);
    const capped = layOut(spinner(['cap-brass-4', 'bead-brass-4']).build).stackM;
    expect(capped).toBeCloseTo(0.0018 - 0.0011 + 0.0035, 12);
    const open = layOut(spinner(['bead-brass-4', 'cap-brass-4']).build).stackM;
    expect(open).toBeCloseTo(0.0018 + 0.0035, 12);
  });

  it('hangs forward from the nose what hangs on the line tie', () => {
    const lure = plainSpinner();
    const ringed = edited(lure, seatPart(lure.build, part('ring-k1'), { on: 'end', end: 'nose' }));
    const ring = layOut(ringed.build).off.find(({ forward }) => forward);
    expect(ring?.x0M ?? 0).toBeLessThan(-0.003);
    expect(ring?.x1M ?? 0).toBeLessThan(layOut(ringed.build).nose.x1M);
  });
});
