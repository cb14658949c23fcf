/** The user's settings on this page: shown at once, written behind it. */
import type { Settings } from '@/data/settings';
import { storageFailureWords } from '@/words/storage-words';
import { tell, useDesk } from './desk-state';
import { openStores } from './stores';

const { setState, getState } = useDesk;

/** Settings on their way to storage: what comes back meanwhile is older than what is shown. */
let onTheWay = 0;

export function changeSettings(changes: Partial<Settings>) {
  const settings = { ...getState().settings, ...changes };
  setState({ settings });
  onTheWay++;
  void openStores()
    .then((stores) => stores.settings.write(settings))
    .then((written) => {
      if (!written.ok && written.failure.code === 'faulty') tell('trouble', storageFailureWords(written.failure));
    })
    .finally(() => onTheWay--);
}

/** From one system of measures to the other. */
export function changeMeasures() {
  changeSettings({ system: getState().settings.system === 'metric' ? 'trade' : 'metric' });
}

/** @param isDark as it is shown now, whether chosen or the device's own */
export function changeTheme(isDark: boolean) {
  changeSettings({ theme: isDark ? 'light' : 'dark' });
}

/** Shows what storage holds, unless something newer is on its way there. */
export function showStoredSettings(settings: Settings) {
  if (onTheWay === 0) setState({ settings });
}
