/** Anything a hand could do to a lure in the interface, sensible or not: for laws about what is taken and kept. */
import fc from 'fast-check';
import { CATALOGUE } from '@/core/parts/catalogue';
import type { Part } from '@/core/parts/part';
import type { Edit } from '@/core/lure/edit';
import { seatPart, stepItem, takeOff, threadParts } from '@/core/lure/editing';
import type { ChangeCode } from '@/core/lure/change-name';
import type { Command } from '@/core/lure/history';
import { howSchema, type Build, type Lure, type Seat } from '@/core/lure/lure';

/** Numbers as they come out of fields, sliders and mistakes. */
const anyNumber = fc.oneof(
  fc.double({ min: 0, max: 0.1, noNaN: true }),
  fc.constantFrom(NaN, Infinity, -1, 0, 5e-324, 1e-7, 1e-4, 12, 1e9),
);
const anyText = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 150 }),
  fc.constantFrom('', '   ', 'a\nb', '\u0000', 'x'.repeat(121), 'Щука №3', '\ud800'),
);

/** What is asked for, to be turned into a command on the lure as it then is. */
export type Asked = (lure: Lure) => Command;

const change = (code: ChangeCode, edits: (build: Build, lure: Lure) => readonly Edit[]): Asked => {
  return (lure) => ({ do: 'change', code, edits: edits(lure.build, lure) });
};
const nth = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(list.length, 1)];

export function anyAsked(): fc.Arbitrary<Asked> {
  const part = fc.constantFrom<Part>(...CATALOGUE);
  return fc.oneof(
    fc.constant<Asked>(() => ({ do: 'undo' })),
    fc.constant<Asked>(() => ({ do: 'redo' })),
    fc
      .tuple(part, fc.nat(250), fc.integer({ min: 1, max: 60 }))
      .map(([each, at, count]) =>
        change('add', (build) => [threadParts(build, each, Math.min(at, build.strand.length), count)]),
      ),
    fc.tuple(part, fc.nat(40), fc.constantFrom(...howSchema.options)).map(([each, at, how]) =>
      change('add', (build) => {
        const holder = nth(Object.values(build.items), at);
        const seat: Exclude<Seat, { on: 'strand' }> =
          holder && at % 5 > 0 ? { on: 'item', item: holder.id, how } : { on: 'end', end: at % 2 ? 'nose' : 'tail' };
        return [seatPart(build, each, seat)];
      }),
    ),
    fc.nat(60).map((at) =>
      change('takeOff', (build) => {
        const item = nth(Object.values(build.items), at);
        return item ? [takeOff(build, item.id)] : [];
      }),
    ),
    fc.tuple(fc.nat(60), fc.constantFrom<1 | -1>(1, -1)).map(([at, by]) =>
      change('move', (build) => {
        const item = nth(Object.values(build.items), at);
        return item ? stepItem(build, item.id, by) : [];
      }),
    ),
    anyText.map((name) => change('rename', () => [{ kind: 'rename', name }])),
    anyText.map((note) => change('rename', () => [{ kind: 'note', note: note.repeat(40) }])),
    anyNumber.map((freeRoomM) => change('freeRoom', () => [{ kind: 'carrier', changes: { freeRoomM } }])),
    anyNumber.map((armM) => change('arm', () => [{ kind: 'carrier', changes: { armM } }])),
    fc.tuple(fc.nat(60), anyNumber).map(([at, lengthM]) =>
      change('swap', (build) => {
        const item = nth(Object.values(build.items), at);
        return item
          ? [{ kind: 'swapPart', item: item.id, part: { ...item.part, lengthM, massKg: lengthM } as Part }]
          : [];
      }),
    ),
    fc
      .tuple(anyText, fc.nat(50))
      .map(([name, at]) =>
        change('keepVersion', (build, { versions }) => [
          { kind: 'keepVersion', at: Math.min(at, versions.length), version: { name, build } },
        ]),
      ),
    fc.nat(50).map((at) => change('forgetVersion', () => [{ kind: 'forgetVersion', at }])),
    fc
      .constantFrom('2031-09-14', '2031-99-99', '')
      .map((onDay) => change('markMade', (build) => [{ kind: 'mark', made: { onDay, build } }])),
    fc
      .tuple(anyNumber, fc.integer({ min: -1, max: 200_000 }), fc.boolean())
      .map(([hours, fish, isTold]) =>
        change('use', () => [{ kind: 'use', used: isTold ? { hours, fish, straightened: 1 } : null }]),
      ),
    fc.nat(50).map((at) =>
      change('goBackToVersion', (_, { versions }) => {
        const version = nth(versions, at);
        return version ? [{ kind: 'rebuild', build: version.build }] : [];
      }),
    ),
  );
}
