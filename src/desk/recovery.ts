/** Work that storage would not take, and records it can no longer read whole: found again, and put beside what is in order. */
import { writeLureFile } from '@/core/files/lure-file';
import type { LureId } from '@/core/lure/lure';
import type { DamagedRecord } from '@/data/lure-store';
import { dropUnsaved, readUnsaved } from '@/data/unsaved';
import { saveFile } from '@/ui/save-file';
import { storageFailureWords } from '@/words/storage-words';
import { tell } from './desk-state';
import { openStores } from './stores';

/** On a visit after one whose last changes were not stored: they are put beside what is. */
export async function bringBackUnsaved(): Promise<void> {
  const { lures } = await openStores();
  for (const lure of readUnsaved(globalThis.localStorage)) {
    const read = await lures.read(lure.id);
    const isHere = read.ok && writeLureFile(read.value.history.lure) === writeLureFile(lure);
    const added = isHere ? null : await lures.add(lure);
    if (added && !added.ok) return tell('trouble', storageFailureWords(added.failure));
    dropUnsaved(globalThis.localStorage, lure.id);
    if (added)
      tell('news', `Changes to ${lure.name} that could not be saved last time are here, as ${added.value.id}.`);
  }
}
/** Hands a damaged record out as it lies in storage. */
export async function exportDamaged(record: DamagedRecord): Promise<void> {
  const read = await (await openStores()).lures.readDamaged(record);
  if (!read.ok) return tell('trouble', storageFailureWords(read.failure));
  saveFile(`${record.id}.damaged.json`, JSON.stringify(read.value.raw, null, 2), 'application/json');
}

/** Puts what can be read of a damaged record beside it, as a lure of its own. Its id, or null with the reason told. */
export async function salvageDamaged(record: DamagedRecord): Promise<LureId | null> {
  const { lures } = await openStores();
  const read = await lures.readDamaged(record);
  if (!read.ok) {
    tell('trouble', storageFailureWords(read.failure));
    return null;
  }
  const { salvaged } = read.value;
  if (!salvaged) {
    tell('trouble', `Nothing of ${record.id} can be read, not even its wire. Export it as it is and keep the file.`);
    return null;
  }
  const added = await lures.add(salvaged.history.lure);
  if (!added.ok) {
    tell('trouble', storageFailureWords(added.failure));
    return null;
  }
  const { leftOut } = salvaged;
  tell(
    'news',
    leftOut.length === 0
      ? `All of ${record.id} could be read but what was done to it.`
      : `Read as far as it goes. Left out: ${leftOut.slice(0, 4).join(', ')}${leftOut.length > 4 ? ` and ${leftOut.length - 4} more` : ''}.`,
  );
  return added.value.id;
}
