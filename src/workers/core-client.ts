/** The way to the worker: started on first use, started afresh when it has died. */
import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker';

let running: { readonly worker: Worker; readonly core: Remote<CoreWorker> } | null = null;

/** Runs `ask` on the worker; rejects with the reason when the worker fails, and the next call starts a new one. */
export function askCore<T>(ask: (core: Remote<CoreWorker>) => Promise<T>): Promise<T> {
  running ??= start();
  const { worker, core } = running;
  return new Promise<T>((resolve, reject) => {
    const onError = (event: ErrorEvent) => {
      stop(worker);
      reject(new Error(event.message || 'the worker stopped'));
    };
    worker.addEventListener('error', onError, { once: true });
    ask(core).then(
      (answer) => {
        worker.removeEventListener('error', onError);
        resolve(answer);
      },
      (reason: unknown) => {
        worker.removeEventListener('error', onError);
        reject(reason instanceof Error ? reason : new Error(String(reason)));
      },
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
