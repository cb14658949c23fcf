/** The one way to the core's workers. */
import { wrap } from 'comlink';
import type { AnswerOf, Answerer, ArgsOf } from './answering';
import type { CoreJobs } from './core.worker';
import { WorkerPool, type HowAsked } from './worker-pool';

type Ask = <J extends keyof CoreJobs & string>(
  job: J,
  args: ArgsOf<CoreJobs[J]>,
  how?: HowAsked,
) => Promise<AnswerOf<CoreJobs[J]>>;

/** Asks workers of its own, started when they are first needed. */
function asking(most: () => number): Ask {
  let pool: WorkerPool | null = null;
  return (job, args, how = {}) => {
    pool ??= new WorkerPool(start, most());
    return pool.ask(job, args, how) as Promise<AnswerOf<CoreJobs[typeof job]>>;
  };
}

const one = () => 1;

/**
 * Asks a worker to do a job.
 * @throws Error when the job fails; when its worker died twice; AbortError when `signal` gave it up
 */
export const askCore = asking(mostWorkers);

/** Asks a worker that does nothing else: for what an ear waits for. Fails as `askCore` does. */
export const askCoreAtOnce = asking(one);

/** Asks the worker that keeps the moves of the open lure as tried so far. Fails as `askCore` does. */
export const askCoreOfMoves = asking(one);

/** One processor is left to the page. */
function mostWorkers(): number {
  return Math.max(1, Math.min(4, navigator.hardwareConcurrency - 1));
}

function start() {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  return { worker, door: wrap<Answerer>(worker) };
}
