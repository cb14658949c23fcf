/** The user's settings, one record. Unreadable settings fall back to the usual ones: they hold no work. */
import { liveQuery } from 'dexie';
import { z } from '../core/schema';
import type { MazurkaDatabase } from './database';

export const retrieveSchema = z.strictObject({
  by: z.enum(['reel', 'mph', 'kmh', 'mps']),
  /** Reel handle turns a second, and line taken in by one. */
  turnsPerS: z.number().check(z.minimum(0), z.maximum(8)),
  linePerTurnM: z.number().check(z.minimum(0.05), z.maximum(3)),
  /** Speed when it is given directly. */
  speedMps: z.number().check(z.minimum(0), z.maximum(5)),
});
export type Retrieve = z.infer<typeof retrieveSchema>;

export const settingsSchema = z.strictObject({
  system: z.enum(['metric', 'trade']),
  theme: z.enum(['auto', 'light', 'dark']),
  retrieve: retrieveSchema,
  /** Show the blade turning slower than life by this much. */
  slowedBy: z.union([z.literal(1), z.literal(8)]),
  lastLure: z.nullable(z.string()),
});
export type Settings = z.infer<typeof settingsSchema>;

export const USUAL_SETTINGS: Settings = {
  system: 'metric',
  theme: 'auto',
  retrieve: { by: 'reel', turnsPerS: 1, linePerTurnM: 0.66, speedMps: 0.66 },
  slowedBy: 1,
  lastLure: null,
};

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

  /** Settings that cannot be written still hold in this tab; the lure's own banner tells of the storage. */
  async write(settings: Settings): Promise<void> {
    try {
      await this.database.settings.put({ key: KEY, value: settings });
    } catch {
      return;
    }
  }

  watch(onChange: (settings: Settings) => void): () => void {
    const subscription = liveQuery(() => this.read()).subscribe({ next: onChange, error: () => undefined });
    return () => subscription.unsubscribe();
  }
}
