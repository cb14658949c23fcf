/** The way to the stores: their code and the database behind them load while the drawing is already standing. */
import type { Stores } from '@/data/stores';

let opened: Promise<Stores> | null = null;

export function openStores(): Promise<Stores> {
  opened ??= import('@/data/stores').then(
    (room) => room.stores(),
    (error: unknown) => {
      // What could not be fetched is asked for again the next time.
      opened = null;
      throw error;
    },
  );
  return opened;
}
