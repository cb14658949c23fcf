import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { demoLure } from '@/testing/lures';
import { begin, stepBack, stepDone } from '@/core/make/run';
import { stores } from '@/data/stores';
import { changeRun, finish, openMake, startNew, stepOf, useMake, write } from './make-store';

const state = () => useMake.getState();

function run() {
  const { make } = state();
  if (make.state !== 'run') throw new Error(`not at a run but ${make.state}`);
  return make;
}

const open = (asked: string) => openMake(new URLSearchParams(asked));

async function stored() {
  const read = await stores().runs.read(run().run.id);
  if (!read.ok) throw new Error(JSON.stringify(read.failure));
  return read.value.run;
}

beforeEach(() => {
  vi.stubGlobal('window', { history: { replaceState: vi.fn() } });
});
afterEach(async () => {
  vi.restoreAllMocks();
  await vi.waitFor(() => expect(state().unsaved).toBeNull());
  vi.unstubAllGlobals();
});

describe('a run under the hands', () => {
  beforeEach(async () => {
    await open('lure=suvra-fan');
    await startNew(demoLure('suvra-fan'));
    changeRun((each) => begin(each, run().names));
  });

  it('keeps every press, however fast they come, on the page and in storage', async () => {
    const { names } = run();
    for (let n = 0; n < names.length; n++) {
      const { at } = run().run;
      expect(at).toBe(names[n]);
      changeRun((each) => stepDone(each, names));
      // Some come while an earlier one is being written, some after.
      if (n % 3 === 0) await new Promise((resolve) => setTimeout(resolve, n % 2));
    }
    expect(run().run.stage).toBe('checks');
    await vi.waitFor(async () => expect(await stored()).toEqual(run().run));
    expect((await stored()).done).toEqual(names);
  });

  it('goes on from the address it was left at, with the plan it began with', async () => {
    const { names } = run();
    for (let n = 0; n < 5; n++) changeRun((each) => stepDone(each, names));
    changeRun((each) => stepBack(each, names));
    await vi.waitFor(async () => expect((await stored()).done).toHaveLength(5));
    const { id } = run().run;
    await open(`run=${id}`);
    expect(run().run).toMatchObject({ id, at: names[4] });
    expect(stepOf(run().plan, run().run.at)?.id).toBe(names[4]);
    expect(stepOf(run().plan, 'no such step')).toBeNull();
    await open('lure=suvra-fan');
    const { make } = state();
    expect(make.state === 'lure' && make.underWay.map((each) => each.id)).toContain(id);
  });

  it('what another tab writes shows here, and what is old does not come back over it', async () => {
    const { names } = run();
    await vi.waitFor(async () => expect((await stored()).at).toBe(names[0]));
    const other = await stores().runs.change(run().run.id, (each) => ({
      ...each,
      notes: { ...each.notes, cutWire: 'from there' },
    }));
    expect(other.ok).toBe(true);
    changeRun((each) => stepDone(each, names));
    await vi.waitFor(() => expect(run().run).toMatchObject({ at: names[1], notes: { cutWire: 'from there' } }));
  });

  it('storage that fails is told; the work goes on here and is written whole once it takes it again', async () => {
    const { names } = run();
    await vi.waitFor(async () => expect((await stored()).at).toBe(names[0]));
    const failing = vi.spyOn(stores().runs, 'change').mockResolvedValue({ ok: false, failure: { code: 'full' } });
    changeRun((each) => stepDone(each, names));
    await vi.waitFor(() => expect(state().unsaved).toMatch(/storage is full/));
    changeRun((each) => stepDone(each, names));
    expect(run().run.at).toBe(names[2]);
    expect((await stored()).at).toBe(names[0]);
    failing.mockRestore();
    await write();
    expect(state().unsaved).toBeNull();
    expect(await stored()).toEqual(run().run);
  });

  it('finished it has a number and the lure is marked as made, with the build it was made as', async () => {
    const { names } = run();
    for (let n = 0; n < names.length; n++) changeRun((each) => stepDone(each, names));
    await finish('2031-10-11');
    const made = run().run;
    expect(made).toMatchObject({ stage: 'made', madeOn: '2031-10-11' });
    expect(made.number).toBeGreaterThan(0);
    const read = await stores().lures.read(made.lureId);
    expect(read.ok && read.value.history.lure.made).toEqual({ onDay: '2031-10-11', build: made.build });
    await finish('2031-10-12');
    expect(run().run).toMatchObject({ number: made.number, madeOn: '2031-10-11' });
  });
});

describe('what the address asks for', () => {
  it('a lure that is not there, a run that is gone, or nothing: told, told, and the list of what is under way', async () => {
    await open('lure=never-made');
    expect(state().make).toMatchObject({ state: 'failed' });
    await open('run=run-gone');
    expect(state().make).toMatchObject({ state: 'failed', reason: expect.stringMatching(/no longer/) as string });
    await open('');
    expect(state().make.state).toBe('list');
  });
});
