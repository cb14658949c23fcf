/** Lures come and go: started, copied, taken in from a file, put away. */
import { startLure } from '@/core/judgement/families/families';
import type { Family, Lure, LureId } from '@/core/lure/lure';
import { readLureFile, writeLureFile } from '@/core/files/lure-file';
import { idFromName } from '@/core/lure/lure-id';
import { FAMILY_WORDS } from '@/words/family-words';
import { lureFileProblemWords } from '@/words/problem-words';
import { storageFailureWords } from '@/words/storage-words';
import { tell, useDesk } from './desk-state';
import { isSafe, openLure, refreshList } from './open-lure';
import { openStores } from './stores';

/** Starts a new lure of a family and opens it. */
export async function startNewLure(family: Family) {
  const name = `New ${FAMILY_WORDS[family].toLowerCase()}`;
  await addAndOpen(startLure(family, idFromName(name), name));
}

export async function duplicateLure() {
  const lure = useDesk.getState().history?.lure;
  if (lure) await startFrom(lure);
}

/** A design like this lure, to change. */
export async function startFrom(lure: Lure) {
  const name = `${lure.name}, copy`;
  await addAndOpen({ ...lure, id: idFromName(name), name, made: null, versions: [] });
}

/** Takes a lure file in. The same lure already here is only opened; a different one under its id comes beside it. */
export async function importLureText(text: string) {
  const reading = readLureFile(text);
  if (!reading.ok) {
    tell('trouble', `Not imported, and nothing here was changed. ${lureFileProblemWords(reading.problem)}`);
    return;
  }
  const { lure } = reading;
  const read = await (await openStores()).lures.read(lure.id);
  const here = read.ok ? read.value.history.lure : null;
  if (here && writeLureFile(here) === writeLureFile(lure)) {
    await putBackAndOpen(here.id);
    tell('news', `${lure.name} is here already, the same to the last part.`);
    return;
  }
  if (await addAndOpen(lure))
    tell('news', here ? `${lure.name} was imported beside the one already here.` : `${lure.name} was imported.`);
}

async function addAndOpen(lure: Lure): Promise<boolean> {
  if (!(await isSafe())) return false;
  const added = await (await openStores()).lures.add(lure);
  if (!added.ok) {
    tell('trouble', storageFailureWords(added.failure));
    return false;
  }
  await refreshList();
  await openLure(added.value.id);
  return true;
}

/** Takes the open lure off the shelf; it can be put back from the notice that tells of it, and from the list of lures. */
export async function removeOpenLure() {
  const lure = useDesk.getState().history?.lure;
  if (!lure || !(await isSafe())) return;
  const away = await (await openStores()).lures.putAway(lure.id);
  if (!away.ok) return tell('trouble', storageFailureWords(away.failure));
  await refreshList();
  const next = useDesk.getState().lures[0];
  if (next) await openLure(next.id as LureId);
  else await startNewLure(lure.family);
  tell('news', `${lure.name} was put away.`, { label: 'Put it back', run: () => void putBackAndOpen(lure.id) });
}

/** Puts a lure back on the shelf, with all that was done to it since, and opens it. */
export async function putBackAndOpen(id: LureId) {
  const back = await (await openStores()).lures.putBack(id);
  if (!back.ok) return tell('trouble', storageFailureWords(back.failure));
  await refreshList();
  await openLure(id);
}
