import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { charactersOf } from '../characters';
import { lureHistorySchema, performCommand, startHistory } from './history';
import { applyEdits, editSchema, patchTo } from './edit';
import { anyDressedLure } from '@/testing/any-lure';
import { demoLure, edited, itemId, part } from '@/testing/lures';

describe('going back to another build', () => {
  it('leads there and back exactly, whatever the two builds are', () => {
    fc.assert(
      fc.property(anyDressedLure(), anyDressedLure(), (from, { build }) => {
        const there = applyEdits(from, [patchTo(from.build, build)]);
        if (!there.ok) throw new Error(there.refusal.code);
        expect(there.lure.build).toEqual(build);
        const back = applyEdits(there.lure, there.inverse);
        expect(back.ok && back.lure).toEqual(from);
      }),
      { numRuns: 60 },
    );
  });

  it('keeps what differs, not two builds whole', () => {
    const lure = demoLure('torvane-lanes');
    const swapped = edited(lure, {
      kind: 'swapPart',
      item: itemId('blade-1'),
      part: part('blade-willow-k4g'),
    });
    const done = performCommand(startHistory(swapped), {
      do: 'change',
      code: 'goBackToVersion',
      edits: [patchTo(swapped.build, lure.build)],
    });
    if (!done.ok) throw new Error(done.refusal.code);
    expect(done.history.lure.build).toEqual(lure.build);
    expect(charactersOf(done.history.past)).toBeLessThan(charactersOf(lure.build) / 3);
    // A history of before goes back whole; its way back is small all the same.
    const old = applyEdits(swapped, [{ kind: 'rebuild', build: lure.build }]);
    expect(old.ok && charactersOf(old.inverse)).toBeLessThan(charactersOf(lure.build) / 6);
  });

  it('refuses a patch that does not go on the build, or makes none of it', () => {
    const lure = demoLure('suvra-needle');
    const tried = (step: object) => {
      const edit = editSchema.safeParse({ kind: 'patch', patch: [step] });
      if (!edit.success) return 'not read';
      const applied = applyEdits(lure, [edit.data]);
      return applied.ok ? 'taken' : applied.refusal.code;
    };
    expect(tried({ op: 'remove', path: '/items/bead-99' })).toBe('faultyValue');
    expect(tried({ op: 'replace', path: '/carrier/freeRoomM', value: 'much' })).toBe('faultyValue');
    expect(tried({ op: 'remove', path: '/strand/0' })).toBe('strandMismatch');
    expect(tried({ op: 'replace', path: '/__proto__/polluted', value: true })).toBe('not read');
    expect(tried({ op: 'copy', path: '/items', from: '/strand' })).toBe('not read');
    expect(tried({ op: 'replace', path: '/carrier/freeRoomM', value: 0.002 })).toBe('taken');
  });
});

describe('what a change is named by', () => {
  it('is code and data; one of before keeps its words', () => {
    const history = startHistory(demoLure('suvra-needle'));
    const rename = { kind: 'rename', name: 'Other' } as const;
    const inverse = [{ kind: 'rename', name: history.lure.name }];
    const reads = (code: unknown) =>
      lureHistorySchema.safeParse({ ...history, past: [{ code, edits: [rename], inverse }] }).success;
    expect(reads('rename')).toBe(true);
    expect(reads({ code: 'swap', part: 'Colorado blade #4' })).toBe(true);
    expect(reads('swap for colorado blade #4')).toBe(true);
    expect(reads({ code: 'swap', because: 'it is better' })).toBe(false);
    const spoken = performCommand(history, { do: 'change', code: 'give it another name' as never, edits: [rename] });
    expect(spoken.ok).toBe(false);
  });
});
