/**
 * Makes the browser begin its file of recent writes anew.
 *
 * When a disk runs full in mid-write, some browsers are left with half an entry at the end of that file. What is written
 * behind it once there is room reads back well, until the browser is started again: then it finds the half entry, takes the
 * whole database for damaged and throws all of it away. A file that has grown past a few megabytes is put in order and
 * another begun, so enough is written and taken out again to bring that about. `npm run full-disk` shows both: what is lost
 * without this, and that nothing is with it.
 */
import type { EntityTable } from 'dexie';
import type { StoredSetting } from './stored';

/** Three times what such a file holds before it is put in order (4 MB). */
const ROUNDS = 3;
const ROWS = 90;
/** Longer values are kept apart from that file. */
const LETTERS = 24_000;

/** @throws what the database throws when there is still no room */
export async function renewStorage(settings: EntityTable<StoredSetting, 'key'>): Promise<void> {
  const keys = Array.from({ length: ROWS }, (_, row) => `ballast ${row}`);
  try {
    for (let round = 0; round < ROUNDS; round++) {
      await settings.bulkPut(keys.map((key, row) => ({ key, value: unpackable(round * ROWS + row + 1) })));
    }
  } finally {
    await settings.bulkDelete(keys);
  }
}

/** Text that does not pack into less, two bytes a letter. */
function unpackable(seed: number): string {
  const codes = new Uint16Array(LETTERS);
  let state = seed;
  for (let i = 0; i < LETTERS; i++) {
    state = (state * 48271) % 2147483647;
    codes[i] = 0x4e00 + (state % 20_000);
  }
  return String.fromCharCode(...codes.subarray(0, LETTERS / 2)) + String.fromCharCode(...codes.subarray(LETTERS / 2));
}
