/** The way to the worker: started on first use, started afresh when it has died or gives no sign of life. */
import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker';

/** Nothing asked of the worker takes a tenth of this; a worker that was taken away says nothing at all. */
const SILENT_AFTER_MS = 8_000;

let running: { readonly worker: Worker; readonly core: Remote<CoreWorker> } | null = null;

/** Runs `ask` on the worker; rejects with the reason when the worker fails or is gone, and the next call starts a new one. */
export function askCore<T>(
  ask: (core: Remote<CoreWorker>) => Promise<T>,
  silentAfterMs: number = SILENT_AFTER_MS,
): Promise<T> {
  running ??= start();
  const { worker, core } = running;
  return new Promise<T>((resolve, reject) => {
    const settle = (act: () => void) => {
      clearTimeout(timer);
      worker.removeEventListener('error', onError);
      act();
    };
    const giveUp = (reason: string) =>
      settle(() => {
        stop(worker);
        reject(new Error(reason));
      });
    const onError = (event: ErrorEvent) => giveUp(event.message || 'the worker stopped');
    const timer = setTimeout(() => giveUp('the worker gave no answer'), silentAfterMs);
    worker.addEventListener('error', onError);
    ask(core).then(
      (answer) => settle(() => resolve(answer)),
      (reason: unknown) => settle(() => reject(reason instanceof Error ? reason : new Error(String(reason)))),
    );
  });
}

function start() {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  return { worker, core: wrap<CoreWorker>(worker) };
}

function stop(worker: Worker) {
  worker.terminate();
  if (running?.worker === worker) running = null;
}
