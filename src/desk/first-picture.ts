/** What stands on the page before the app is there. */
import { isPicture, readPicture, type KeptPicture } from '@/data/kept-picture';

/** The lure last on the bench, on a first visit the one a newcomer sees; null where the address asks for another. */
export async function findPicture(firstPicture: string): Promise<KeptPicture | null> {
  const wanted = new URLSearchParams(window.location.search).get('lure');
  const kept = readPicture(globalThis.localStorage);
  if (kept) return wanted === null || wanted === kept.lureId ? kept : null;
  if (wanted !== null) return null;
  try {
    const read: unknown = await (await fetch(firstPicture)).json();
    return isPicture(read) ? read : null;
  } catch {
    // Without it the whole Bench comes first.
    return null;
  }
}
