/** What undo and redo would do, for the row at the top. */
import type { Change } from '@/core/lure/history';
import { capital } from '@/words/capital';
import { changeWords } from '@/words/change-words';
import { perform } from '../open-lure';
import type { Press } from './HeaderRow';

export function pressFor(what: 'undo' | 'redo', change: Change | undefined): Press {
  if (!change) return { title: `Nothing to ${what}`, run: null };
  return { title: `${capital(what)}: ${changeWords(change.code)}`, run: () => perform({ do: what }) };
}
