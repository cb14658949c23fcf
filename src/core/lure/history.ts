/** A lure with what was done to it: undo and redo are edits like any other, so they survive a reload. */
import * as z from 'zod/mini';
import { shortText } from '../schema';
import { applyEdits, editSchema, type Edit } from './edit';
import { lureSchema, type Lure } from './lure';
import type { Refusal } from './structure';

/** How many changes can be undone. */
export const HISTORY_LIMIT = 200;

/** One change as the user meant it: `code` names it for the undo button. */
export const changeSchema = z.strictObject({
  code: shortText,
  edits: z.array(editSchema).check(z.minLength(1), z.maxLength(50)),
  inverse: z.array(editSchema).check(z.minLength(1), z.maxLength(50)),
});

export const lureHistorySchema = z.strictObject({
  lure: lureSchema,
  past: z.array(changeSchema).check(z.maxLength(HISTORY_LIMIT)),
  future: z.array(changeSchema).check(z.maxLength(HISTORY_LIMIT)),
});
export type LureHistory = z.infer<typeof lureHistorySchema>;

/** What can be done to an open lure. */
export type Deed =
  | { readonly do: 'change'; readonly code: string; readonly edits: readonly Edit[] }
  | { readonly do: 'undo' }
  | { readonly do: 'redo' };

export type DeedResult =
  | { readonly ok: true; readonly history: LureHistory }
  | { readonly ok: false; readonly refusal: Refusal | { readonly code: 'nothingToDo' } };

export function startHistory(lure: Lure): LureHistory {
  return { lure, past: [], future: [] };
}

/** Does, undoes or redoes one change. On refusal the history is untouched. */
export function performDeed(history: LureHistory, deed: Deed): DeedResult {
  if (deed.do === 'change') {
    const applied = applyEdits(history.lure, deed.edits);
    if (!applied.ok) return applied;
    const change = { code: deed.code, edits: [...deed.edits], inverse: [...applied.inverse] };
    return {
      ok: true,
      history: { lure: applied.lure, past: [...history.past, change].slice(-HISTORY_LIMIT), future: [] },
    };
  }
  const isUndo = deed.do === 'undo';
  const change = isUndo ? history.past.at(-1) : history.future.at(-1);
  if (!change) return { ok: false, refusal: { code: 'nothingToDo' } };
  const applied = applyEdits(history.lure, isUndo ? change.inverse : change.edits);
  if (!applied.ok) return applied;
  return {
    ok: true,
    history: isUndo
      ? { lure: applied.lure, past: history.past.slice(0, -1), future: [...history.future, change] }
      : { lure: applied.lure, past: [...history.past, change], future: history.future.slice(0, -1) },
  };
}
