/** The one way to the core's workers. */
import { wrap } from 'comlink';
import type { AnswerOf, Answerer, ArgsOf } from './answering';
import type { CoreJobs } from './core.worker';
import { WorkerPool, type HowAsked } from './worker-pool';

let pool: WorkerPool | null = null;
let ownPool: WorkerPool | null = null;

/**
 * Asks a worker to do a job.
 * @throws Error when the job fails; when its worker died twice; AbortError when `signal` gave it up
 */
export function askCore<J extends keyof CoreJobs & string>(
  job: J,
  args: ArgsOf<CoreJobs[J]>,
  how: HowAsked = {},
): Promise<AnswerOf<CoreJobs[J]>> {
  pool ??= new WorkerPool(start, mostWorkers());
  return pool.ask(job, args, how) as Promise<AnswerOf<CoreJobs[J]>>;
}

/** Asks a worker of its own, which does nothing else: for what an ear waits for. Fails as `askCore` does. */
export function askCoreAtOnce<J extends keyof CoreJobs & string>(
  job: J,
  args: ArgsOf<CoreJobs[J]>,
): Promise<AnswerOf<CoreJobs[J]>> {
  ownPool ??= new WorkerPool(start, 1);
  return ownPool.ask(job, args, {}) as Promise<AnswerOf<CoreJobs[J]>>;
}

/** One processor is left to the page. */
function mostWorkers(): number {
  return Math.max(1, Math.min(4, navigator.hardwareConcurrency - 1));
}

function start() {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  return { worker, door: wrap<Answerer>(worker) };
}
