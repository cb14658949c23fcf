/**
 * The lure that was last on the bench, kept where the page can read it at once, so that the drawing stands before the
 * database is open. A picture of what is stored and nothing more: it is never written back, and what it shows is replaced
 * by the stored lure as soon as that is read. Losing it loses nothing.
 */
import * as z from 'zod/mini';
import { lureSchema, type Lure } from '../core/lure/lure';
import { lureProblem } from '../core/files/lure-problem';
import { settingsSchema, type Settings } from './settings';

const KEY = 'mazurka last drawn';

const lastDrawnSchema = z.strictObject({ lure: lureSchema, settings: settingsSchema });

/** What was last drawn; null when there is none, it cannot be read, or it is not of this shape. */
export function readLastDrawn(
  storage: Storage | undefined,
): { readonly lure: Lure; readonly settings: Settings } | null {
  try {
    const parsed = lastDrawnSchema.safeParse(JSON.parse(storage?.getItem(KEY) ?? 'null'));
    return parsed.success && lureProblem(parsed.data.lure) === null ? parsed.data : null;
  } catch {
    return null;
  }
}

export function writeLastDrawn(storage: Storage | undefined, lure: Lure, settings: Settings): void {
  try {
    storage?.setItem(KEY, JSON.stringify({ lure, settings }));
  } catch {
    return;
  }
}
