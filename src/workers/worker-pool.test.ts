import { expose, transfer, wrap } from 'comlink';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { answerer, atOnce, bySteps, type Answerer } from './answering';
import { WorkerPool } from './worker-pool';

/** What the stand-ins have worked at: each step of a long job by the worker that did it. */
let steps: number[] = [];
const jobs = {
  double: atOnce((n: number) => {
    if (n === 13) throw new Error('thirteen is not doubled');
    return 2 * n;
  }),
  column: atOnce((n: number) => ({ values: new Float64Array(n).fill(7) })),
  count: bySteps(function* count(to: number): Generator<number, number> {
    for (let n = 0; n < to; n++) {
      const until = performance.now() + 3;
      while (performance.now() < until);
      steps.push(n);
      yield n;
    }
    return to;
  }),
};

/** A worker's shape on a message channel: it can answer, die, or say nothing more. */
class StandIn extends EventTarget {
  private readonly channel = new MessageChannel();
  isTerminated = false;
  asked = 0;

  constructor() {
    super();
    expose(answerer(jobs, transfer), this.channel.port1 as unknown as Parameters<typeof expose>[1]);
    this.channel.port2.addEventListener('message', ({ data }) =>
      this.dispatchEvent(Object.assign(new Event('message'), { data: data as unknown })),
    );
    this.channel.port2.start();
  }

  postMessage(message: unknown, buffers: Transferable[] = []) {
    this.asked++;
    if (!this.isTerminated && !areSilent) this.channel.port2.postMessage(message, buffers as never[]);
  }

  terminate() {
    this.isTerminated = true;
    this.channel.port1.close();
    this.channel.port2.close();
  }
}

let started: StandIn[] = [];
let areSilent = false;
const poolOf = (most: number) =>
  new WorkerPool(() => {
    const worker = new StandIn();
    started.push(worker);
    return { worker: worker as unknown as Worker, door: wrap<Answerer>(worker as unknown as Worker) };
  }, most);
const first = () => {
  const [worker] = started;
  if (!worker) throw new Error('one was started');
  return worker;
};

beforeEach(() => {
  started = [];
  areSilent = false;
  steps = [];
});
afterEach(() => {
  for (const worker of started) worker.terminate();
});

describe('a pool of workers', () => {
  it('starts no more than are needed, nor more than it may', async () => {
    const pool = poolOf(2);
    expect(await pool.ask('double', [1], {})).toBe(2);
    expect(await pool.ask('double', [2], {})).toBe(4);
    expect(started).toHaveLength(1);
    const answers = await Promise.all([3, 4, 5, 6, 7].map((n) => pool.ask('double', [n], {})));
    expect(answers).toEqual([6, 8, 10, 12, 14]);
    expect(started).toHaveLength(2);
  });

  it('asks in one message and hands columns over', async () => {
    const pool = poolOf(1);
    const answer = (await pool.ask('column', [1000], {})) as { readonly values: Float64Array };
    expect(answer.values).toHaveLength(1000);
    expect(answer.values[999]).toBe(7);
    expect(first().asked).toBe(1);
  });

  it('hands on what went wrong inside, and the worker goes on', async () => {
    const pool = poolOf(1);
    await expect(pool.ask('double', [13], {})).rejects.toThrow('thirteen is not doubled');
    await expect(pool.ask('halve', [1], {})).rejects.toThrow('no job halve');
    expect(await pool.ask('double', [1], {})).toBe(2);
    expect(started).toHaveLength(1);
  });

  it('replaces one that dies and asks its job again', async () => {
    const pool = poolOf(1);
    await pool.ask('double', [1], {});
    first().postMessage = () => undefined;
    const waiting = pool.ask('double', [21], {});
    await new Promise((resolve) => setTimeout(resolve, 5));
    first().dispatchEvent(Object.assign(new Event('error'), { message: 'out of memory' }));
    expect(await waiting).toBe(42);
    expect(first().isTerminated).toBe(true);
    expect(started).toHaveLength(2);
  });

  it('leaves one at work that takes long and still answers', async () => {
    const pool = poolOf(1);
    expect(await pool.ask('count', [100], { silentAfterMs: 60 })).toBe(100);
    expect(steps).toHaveLength(100);
    expect(started).toHaveLength(1);
  });

  it('says so when it died twice over the same job, and goes on with the next', async () => {
    const pool = poolOf(1);
    await pool.ask('double', [1], {});
    areSilent = true;
    const waiting = pool.ask('count', [400], { silentAfterMs: 30 });
    await expect(waiting).rejects.toThrow('the worker gave no answer');
    areSilent = false;
    expect(await pool.ask('double', [2], {})).toBe(4);
    expect(started.length).toBeGreaterThanOrEqual(3);
  });

  it('drops what waits and stops what is under way when nobody wants it any more', async () => {
    const pool = poolOf(1);
    const wanting = new AbortController();
    const long = pool.ask('count', [1000], { signal: wanting.signal });
    const waits = pool.ask('double', [1], { signal: wanting.signal });
    const next = pool.ask('double', [2], {});
    await expect.poll(() => steps.length).toBeGreaterThan(2);
    wanting.abort();
    await expect(long).rejects.toThrow('nobody waits');
    await expect(waits).rejects.toThrow('nobody waits');
    expect(await next).toBe(4);
    expect(steps.length).toBeLessThan(500);
    expect(started).toHaveLength(1);
    await expect(pool.ask('double', [1], { signal: wanting.signal })).rejects.toThrow('nobody waits');
  });
});
