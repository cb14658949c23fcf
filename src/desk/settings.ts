/** The user's settings on this page: shown at once, written behind it. */
import { isSame } from '@/core/same';
import type { Settings } from '@/data/settings';
import { storageFailureWords } from '@/words/storage-words';
import { tell, useDesk } from './desk-state';
import { openStores } from './stores';

const { setState, getState } = useDesk;

/** The newest settings, until they are written: of those that come while others are being written only the last are. */
let toWrite: Settings | null = null;
let isWriting = false;
/** What was read before the last change is older than what is shown. */
let changesSoFar = 0;

export function changeSettings(changes: Partial<Settings>) {
  const settings = { ...getState().settings, ...changes };
  setState({ settings });
  toWrite = settings;
  changesSoFar++;
  if (!isWriting) void writeAll();
}

async function writeAll() {
  isWriting = true;
  try {
    const stores = await openStores();
    while (toWrite) {
      const settings = toWrite;
      toWrite = null;
      const written = await stores.settings.write(settings);
      if (!written.ok && written.failure.code === 'faulty') tell('trouble', storageFailureWords(written.failure));
    }
  } finally {
    isWriting = false;
  }
}

export function changeRetrieve(change: (retrieve: Settings['retrieve']) => Settings['retrieve']) {
  changeSettings({ retrieve: change(getState().settings.retrieve) });
}

/** From one system of measures to the other. */
export function changeMeasures() {
  changeSettings({ system: getState().settings.system === 'metric' ? 'trade' : 'metric' });
}

/** @param isDark as it is shown now, whether chosen or the device's own */
export function changeTheme(isDark: boolean) {
  changeSettings({ theme: isDark ? 'light' : 'dark' });
}

/** Reads what storage holds and shows it, unless something newer is on its way there; what says the same stays what it was. */
export async function showStoredSettings() {
  if (isWriting) return;
  const changesBefore = changesSoFar;
  const stored = await (await openStores()).settings.read();
  const { settings } = getState();
  if (changesSoFar !== changesBefore || isSame(stored, settings)) return;
  const kept = Object.entries(stored).map(([key, value]) => {
    const shown: unknown = settings[key as keyof Settings];
    return [key, isSame(shown, value) ? shown : value];
  });
  setState({ settings: Object.fromEntries(kept) as Settings });
}
