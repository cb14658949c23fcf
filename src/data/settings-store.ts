/** The user's settings, one record. Unreadable settings fall back to the usual ones: they hold no work. */
import { liveQuery } from 'dexie';
import type { MazurkaDatabase } from './database';
import { guarded, readable, type Stored } from './guarded';
import { settingsSchema, USUAL_SETTINGS, type Settings } from './settings';

const KEY = 'settings';

export class SettingsStore {
  constructor(private readonly database: MazurkaDatabase) {}

  async read(): Promise<Settings> {
    try {
      const row = await this.database.settings.get(KEY);
      const parsed = settingsSchema.safeParse(row?.value);
      return parsed.success ? parsed.data : USUAL_SETTINGS;
    } catch {
      return USUAL_SETTINGS;
    }
  }

  /** Settings that cannot be written still hold in this tab; the lure's own banner tells of a storage that fails. */
  write(settings: Settings): Promise<Stored<void>> {
    return guarded(this.database, async () => {
      await this.database.settings.put({ key: KEY, value: readable(settingsSchema, settings, 'settings') });
    });
  }

  watch(onChange: (settings: Settings) => void): () => void {
    const subscription = liveQuery(() => this.read()).subscribe({ next: onChange, error: () => undefined });
    return () => subscription.unsubscribe();
  }
}
