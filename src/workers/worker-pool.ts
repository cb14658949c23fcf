/**
 * A few workers and the jobs that wait for one. A worker is started when there is more to do than there are idle ones. One
 * that dies, or gives no sign of life, is replaced, and what it was asked is asked of another once more.
 */
import type { Remote } from 'comlink';
import { CANCELLED, type Answerer } from './answering';

/** One that is silent so long is asked whether it lives; one that was taken away says nothing to that either. */
const SILENT_AFTER_MS = 8_000;
/** So often a job is given to a worker before it is given up. */
const MOST_TRIES = 2;

export interface StartedWorker {
  readonly worker: Worker;
  readonly door: Remote<Answerer>;
}

export interface HowAsked {
  /** Gives the job up: one that waits is dropped, one under way stops at its next step. */
  readonly signal?: AbortSignal;
  readonly silentAfterMs?: number;
}

interface Waiting {
  readonly id: number;
  readonly job: string;
  readonly args: readonly unknown[];
  readonly silentAfterMs: number;
  readonly resolve: (answer: unknown) => void;
  readonly reject: (reason: Error) => void;
  tries: number;
  /** Where it is done; null while it waits. */
  at: StartedWorker | null;
}

export class WorkerPool {
  private readonly idle: StartedWorker[] = [];
  private readonly queue: Waiting[] = [];
  private running = 0;
  private nextId = 1;

  /** @param most so many workers at once */
  constructor(
    private readonly start: () => StartedWorker,
    private readonly most: number,
  ) {}

  ask(job: string, args: readonly unknown[], { signal, silentAfterMs = SILENT_AFTER_MS }: HowAsked): Promise<unknown> {
    return new Promise((resolve, reject) => {
      if (signal?.aborted) {
        reject(givenUp());
        return;
      }
      const waiting: Waiting = {
        id: this.nextId++,
        job,
        args,
        silentAfterMs,
        resolve,
        reject,
        tries: 0,
        at: null,
      };
      signal?.addEventListener('abort', () => this.giveUp(waiting), { once: true });
      this.queue.push(waiting);
      this.next();
    });
  }

  private giveUp(waiting: Waiting): void {
    const place = this.queue.indexOf(waiting);
    if (place >= 0) this.queue.splice(place, 1);
    // It may have been taken away with its worker: then nobody hears it.
    void waiting.at?.door.cancel(waiting.id).catch(() => undefined);
    waiting.reject(givenUp());
  }

  private next(): void {
    while (this.queue.length > 0) {
      const started = this.idle.pop() ?? (this.running < this.most ? this.startOne() : null);
      const waiting = started && this.queue.shift();
      if (!started || !waiting) return;
      void this.run(started, waiting);
    }
  }

  private startOne(): StartedWorker {
    this.running++;
    return this.start();
  }

  private async run(started: StartedWorker, waiting: Waiting): Promise<void> {
    waiting.tries++;
    waiting.at = started;
    const outcome = await answerOf(started, waiting);
    waiting.at = null;
    if (outcome.is === 'dead') {
      started.worker.terminate();
      this.running--;
      if (waiting.tries < MOST_TRIES) this.queue.unshift(waiting);
      else waiting.reject(outcome.reason);
    } else {
      this.idle.push(started);
      if (outcome.is === 'failed') waiting.reject(outcome.reason);
      else if (outcome.answer === CANCELLED) waiting.reject(givenUp());
      else waiting.resolve(outcome.answer);
    }
    this.next();
  }
}

type Outcome =
  | { readonly is: 'answered'; readonly answer: unknown }
  | { readonly is: 'failed'; readonly reason: Error }
  | { readonly is: 'dead'; readonly reason: Error };

function answerOf({ worker, door }: StartedWorker, { id, job, args, silentAfterMs }: Waiting): Promise<Outcome> {
  return new Promise((resolve) => {
    let isSettled = false;
    const settle = (outcome: Outcome) => {
      isSettled = true;
      clearTimeout(timer);
      worker.removeEventListener('error', onError);
      resolve(outcome);
    };
    const isDead = (reason: string) => settle({ is: 'dead', reason: new Error(reason) });
    const onError = (event: ErrorEvent) => isDead(event.message || 'the worker stopped');
    let timer = setTimeout(askIfAlive, silentAfterMs);
    function askIfAlive() {
      timer = setTimeout(() => isDead('the worker gave no answer'), silentAfterMs);
      void door.lives().then(
        () => {
          if (isSettled) return;
          clearTimeout(timer);
          timer = setTimeout(askIfAlive, silentAfterMs);
        },
        () => undefined,
      );
    }
    worker.addEventListener('error', onError);
    door.answer(id, job, args).then(
      (answer) => settle({ is: 'answered', answer }),
      (reason: unknown) =>
        settle({ is: 'failed', reason: reason instanceof Error ? reason : new Error(String(reason)) }),
    );
  });
}

function givenUp(): Error {
  return new DOMException('nobody waits for it any more', 'AbortError');
}
