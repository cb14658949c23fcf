/** A lure of one's own tied behind the open one, and taken off again. */
import type { CarrierId, LureId } from '@/core/lure/lure';
import { tieBehind, untieBehind } from '@/core/lure/tie-behind';
import { storageFailureWords } from '@/words/storage-words';
import { tell, useDesk } from '../desk-state';
import { change } from '../open-lure';
import { openStores } from '../stores';

/** What of the other is tied on is its build as it stands: what is changed of it later stays there. */
export async function tieLureBehind(id: LureId): Promise<void> {
  const { lures } = await openStores();
  const read = await lures.readBuild(id);
  const open = useDesk.getState().history?.lure;
  if (!open) return;
  if (read.ok) change('tieBehind', tieBehind(open.build, read.value));
  else tell('trouble', storageFailureWords(read.failure));
}

export function takeLureOff(behind: CarrierId): void {
  const open = useDesk.getState().history?.lure;
  if (open) change('untieBehind', [untieBehind(open.build, behind)]);
}
