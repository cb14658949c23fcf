/** How a worker answers: one job a message, long ones in steps between which it hears that nobody waits any more. */

/** A job by the arguments it takes and what it answers. */
export interface Job<A extends readonly unknown[], R> {
  readonly run: (args: A, isCancelled: () => boolean) => Promise<R | typeof CANCELLED>;
}

export type Jobs = Readonly<Record<string, Job<never, unknown>>>;
export type ArgsOf<J> = J extends Job<infer A, unknown> ? A : never;
export type AnswerOf<J> = J extends Job<never, infer R> ? R : never;

/** What comes back of a job that was given up. */
export const CANCELLED = 'cancelled';

/** So long a job in steps works before it listens, ms. */
const LISTENS_EVERY_MS = 12;

export function atOnce<A extends readonly unknown[], R>(work: (...args: A) => R): Job<A, R> {
  return { run: (args) => Promise.resolve().then(() => work(...args)) };
}

/** A job that yields after each step. */
export function bySteps<A extends readonly unknown[], R>(work: (...args: A) => Generator<unknown, R>): Job<A, R> {
  return {
    run: async (args, isCancelled) => {
      const steps = work(...args);
      let until = performance.now() + LISTENS_EVERY_MS;
      for (;;) {
        const step = steps.next();
        if (step.done) return step.value;
        if (performance.now() < until) continue;
        await nextTurn();
        if (isCancelled()) return CANCELLED;
        until = performance.now() + LISTENS_EVERY_MS;
      }
    },
  };
}

/** Lets messages in that have come meanwhile. */
function nextTurn(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}

/** What a worker offers through its door. */
export interface Answerer {
  readonly answer: (id: number, job: string, args: readonly unknown[]) => Promise<unknown>;
  readonly cancel: (id: number) => void;
  /** Answers between the steps of a long job: it is at work. */
  readonly lives: () => true;
}

/** @param handOver passes the buffers of an answer on without a copy */
export function answerer(jobs: Jobs, handOver: <T extends object>(answer: T, buffers: ArrayBuffer[]) => T): Answerer {
  const wanted = new Set<number>();
  return {
    answer: async (id, job, args) => {
      const found = jobs[job];
      if (!found) throw new Error(`the worker has no job ${job}`);
      wanted.add(id);
      const answer = await found.run(args as never, () => !wanted.has(id)).finally(() => wanted.delete(id));
      return typeof answer === 'object' && answer !== null ? handOver(answer, buffersOf(answer)) : answer;
    },
    cancel: (id) => {
      wanted.delete(id);
    },
    lives: () => true,
  };
}

function buffersOf(answer: object): ArrayBuffer[] {
  return Object.values(answer).flatMap((each: unknown) =>
    ArrayBuffer.isView(each) && each.buffer instanceof ArrayBuffer ? [each.buffer] : [],
  );
}
