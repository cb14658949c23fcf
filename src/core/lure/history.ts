/** A lure with what was done to it: undo and redo are edits like any other, so they survive a reload. */
import * as z from 'zod/mini';
import { charactersOf } from '../characters';
import { changeNameSchema, keptNameSchema, type ChangeName } from './change-name';
import { applyEdits, editSchema, type Edit } from './edit';
import { lureSchema, type Lure } from './lure';
import type { Refusal } from './structure';

/** How many changes can be undone, and how many characters they may take together. */
export const HISTORY_LIMIT = 200;
export const HISTORY_CHARACTERS = 16 * 1024 * 1024;
/** Edits in one change. */
const MOST_EDITS = 50;

const editsSchema = z.array(editSchema).check(z.minLength(1), z.maxLength(MOST_EDITS));

/** One change as the user meant it: `code` names it for the undo button. */
export const changeSchema = z.strictObject({ code: keptNameSchema, edits: editsSchema, inverse: editsSchema });
export type Change = z.infer<typeof changeSchema>;

const askedSchema = z.strictObject({ code: changeNameSchema, edits: editsSchema });

export const lureHistorySchema = z.strictObject({
  lure: lureSchema,
  past: z.array(changeSchema).check(z.maxLength(HISTORY_LIMIT)),
  future: z.array(changeSchema).check(z.maxLength(HISTORY_LIMIT)),
});
export type LureHistory = z.infer<typeof lureHistorySchema>;

/** What can be done to an open lure. */
export type Command =
  | { readonly do: 'change'; readonly code: ChangeName; readonly edits: readonly Edit[] }
  | { readonly do: 'undo' }
  | { readonly do: 'redo' };

export type CommandRefusal = Refusal | { readonly code: 'nothingToDo' };

export type CommandResult =
  { readonly ok: true; readonly history: LureHistory } | { readonly ok: false; readonly refusal: CommandRefusal };

/** A lure to which nothing has been done yet. */
export function startHistory(lure: Lure): LureHistory {
  return { lure, past: [], future: [] };
}

/**
 * Does, undoes or redoes one change. On refusal the history is untouched. What is asked is read by the same schema that
 * reads stored lures, so that whatever is taken here can be stored, exported and read again.
 */
export function performCommand(history: LureHistory, command: Command): CommandResult {
  if (command.do === 'change') {
    const asked = askedSchema.safeParse({ code: command.code, edits: command.edits });
    if (!asked.success) return { ok: false, refusal: whyNot(command.edits, asked.error) };
    const { code, edits } = asked.data;
    const applied = applyEdits(history.lure, edits);
    if (!applied.ok) return applied;
    const change: Change = { code, edits, inverse: [...applied.inverse] };
    return { ok: true, history: { lure: applied.lure, past: recent([...history.past, change]), future: [] } };
  }
  const isUndo = command.do === 'undo';
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

function whyNot(edits: readonly Edit[], error: z.core.$ZodError): Refusal {
  if (edits.length > MOST_EDITS) return { code: 'beyondBounds', of: 'edits', most: MOST_EDITS };
  const [issue] = error.issues;
  return { code: 'faultyValue', path: (issue?.path ?? []).map(String).join('.'), message: issue?.message ?? '' };
}

/** The newest changes, as many as are kept; always the last. */
function recent(past: Change[]): Change[] {
  let [from, characters] = [past.length, 0];
  while (from > 0 && past.length - from < HISTORY_LIMIT) {
    const change = past[from - 1];
    characters += change ? charactersOf(change) : 0;
    if (characters > HISTORY_CHARACTERS && from < past.length) break;
    from--;
  }
  return past.slice(from);
}
