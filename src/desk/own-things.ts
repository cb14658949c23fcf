/** The user's own parts and rules: taken in, put away, put back. */
import type { LureRule } from '@/core/judgement/lure-rule';
import type { Part } from '@/core/parts/part';
import { readPartsFile } from '@/core/parts/parts-file';
import { partsFileProblemWords } from '@/words/problem-words';
import { storageFailureWords } from '@/words/storage-words';
import { tell, useDesk } from './desk-state';
import { openStores } from './stores';

let toldDamagedParts = '';
let followsOwnParts = false;

/** Own parts can be thousands: they are read when a choice of parts is first opened, and followed from then on. */
export function followOwnParts() {
  if (followsOwnParts) return;
  followsOwnParts = true;
  void openStores().then(({ parts }) => parts.watch(() => void refreshOwnParts()));
}

async function refreshOwnParts() {
  const list = await (await openStores()).parts.list();
  if (!list.ok) return;
  useDesk.setState({ ownParts: list.value.parts });
  const damaged = list.value.damaged.join(', ');
  if (damaged !== toldDamagedParts && damaged !== '') {
    tell('trouble', `Parts damaged and left as they are: ${damaged}. The others are in order.`);
  }
  toldDamagedParts = damaged;
}

/** Keeps measured parts. Returns what was kept, or null with the reason told. */
export async function addOwnParts(parts: readonly Part[]): Promise<readonly Part[] | null> {
  const added = await (await openStores()).parts.add(parts);
  if (!added.ok) {
    tell('trouble', storageFailureWords(added.failure));
    return null;
  }
  await refreshOwnParts();
  return added.value.added;
}

/** Puts a part away. Returns it, to be put back, or null with the reason told. */
export async function removeOwnPart(part: Part): Promise<Part | null> {
  const removed = await (await openStores()).parts.remove(part.id);
  if (!removed.ok) {
    tell('trouble', storageFailureWords(removed.failure));
    return null;
  }
  await refreshOwnParts();
  return part;
}

/** Takes a parts file in. */
export async function importPartsText(text: string) {
  const reading = readPartsFile(text);
  if (!reading.ok) {
    tell('trouble', `Not imported, and nothing here was changed. ${partsFileProblemWords(reading.problem)}`);
    return;
  }
  const added = await addOwnParts(reading.parts);
  if (!added) return;
  const known = reading.parts.length - added.length;
  tell('news', `${count(added.length, 'part')} taken in${known > 0 ? `; ${count(known, 'part')} here already` : ''}.`);
}

function count(number: number, word: string): string {
  return `${number.toLocaleString('en')} ${word}${number === 1 ? '' : 's'}`;
}

export async function putRule(rule: LureRule) {
  const put = await (await openStores()).rules.put(rule);
  if (!put.ok) tell('trouble', storageFailureWords(put.failure));
}

/** Takes a rule out. Returns it, to be put back, or null with the reason told. */
export async function removeRule(rule: LureRule): Promise<LureRule | null> {
  const removed = await (await openStores()).rules.remove(rule.id);
  if (!removed.ok) {
    tell('trouble', storageFailureWords(removed.failure));
    return null;
  }
  return rule;
}
