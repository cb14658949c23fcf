import { expose } from 'comlink';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { askCore as AskCore } from './core-client';
import type { CoreWorker } from './core.worker';

/** A worker's shape on a message channel: it can answer, fail, or say nothing more. */
class StandIn extends EventTarget {
  static readonly started: StandIn[] = [];
  private readonly channel = new MessageChannel();
  isTerminated = false;

  constructor() {
    super();
    StandIn.started.push(this);
    const api: Pick<CoreWorker, 'weigh'> = {
      weigh: (_lure, _placement, parts) => {
        if (parts.length === 13) throw new Error('thirteen parts');
        return parts.map(() => null);
      },
    };
    expose(api, this.channel.port1 as unknown as Parameters<typeof expose>[1]);
    this.channel.port2.addEventListener('message', ({ data }) =>
      this.dispatchEvent(Object.assign(new Event('message'), { data: data as unknown })),
    );
    this.channel.port2.start();
  }

  postMessage(message: unknown, transfer: Transferable[] = []) {
    if (!this.isTerminated) this.channel.port2.postMessage(message, transfer as never[]);
  }

  terminate() {
    this.isTerminated = true;
    this.channel.port1.close();
    this.channel.port2.close();
  }
}

const ask = (parts: number, silentAfterMs = 2000) =>
  askCore(
    (core) =>
      core.weigh(
        {} as never,
        {} as never,
        Array.from({ length: parts }, () => ({}) as never),
        {} as never,
        1,
      ),
    silentAfterMs,
  );

let askCore: typeof AskCore;

beforeEach(async () => {
  vi.stubGlobal('Worker', StandIn);
  vi.resetModules();
  ({ askCore } = await import('./core-client'));
});
afterEach(() => {
  for (const worker of StandIn.started.splice(0)) worker.terminate();
  vi.unstubAllGlobals();
});

describe('the way to the worker', () => {
  it('is started once and answers in turn', async () => {
    expect(await Promise.all([ask(1), ask(2)])).toEqual([[null], [null, null]]);
    expect(StandIn.started).toHaveLength(1);
  });

  it('hands on what went wrong inside, and the worker goes on', async () => {
    await expect(ask(13)).rejects.toThrow('thirteen parts');
    expect(await ask(1)).toEqual([null]);
    expect(StandIn.started).toHaveLength(1);
  });

  it('names the death of the worker and starts another for the next question', async () => {
    await ask(1);
    const [first] = StandIn.started;
    if (!first) throw new Error('one was started');
    first.postMessage = () => undefined;
    const waiting = ask(1);
    first.dispatchEvent(Object.assign(new Event('error'), { message: 'out of memory' }));
    await expect(waiting).rejects.toThrow('out of memory');
    expect(first.isTerminated).toBe(true);
    expect(await ask(3)).toHaveLength(3);
    expect(StandIn.started).toHaveLength(2);
  });

  it('does not wait for ever on a worker that was taken away in silence', async () => {
    await ask(1);
    const [first] = StandIn.started;
    if (!first) throw new Error('one was started');
    first.postMessage = () => undefined;
    await expect(ask(1, 30)).rejects.toThrow('the worker gave no answer');
    expect(await ask(2)).toHaveLength(2);
    expect(StandIn.started).toHaveLength(2);
  });
});
