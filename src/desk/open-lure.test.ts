import type { LureId } from '@/core/lure/lure';
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { edited, itemId, part } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { takeOff, threadParts } from '@/core/lure/editing';
import { writeLureFile } from '@/core/files/lure-file';
import type { Lure } from '@/core/lure/lure';
import { stores } from '@/data/stores';
import { bendTo } from '@/core/lure/bending';
import { pick, showDraft, takeUntold, tell, useDesk } from './desk-state';
import { changeSettings } from './settings';
import { change, doDraft, openLure, perform, saveWhole, startBench } from './open-lure';
import { duplicateLure, importLureText, removeOpenLure, startNewLure } from './shelf';

const state = () => useDesk.getState();

function lure(): Lure {
  const { history } = state();
  if (!history) throw new Error('no lure is open');
  return history.lure;
}

const saved = () => vi.waitFor(() => expect(state().saving).toEqual({ state: 'saved' }));

async function storedName(): Promise<string> {
  const read = await stores().lures.read(lure().id);
  return read.ok ? read.value.history.lure.name : 'unreadable';
}

const rename = (name: string) => change('rename', [{ kind: 'rename', name }]);

let stop: () => void = () => undefined;
beforeEach(async () => {
  vi.stubGlobal('window', { history: { replaceState: vi.fn() } });
  stop = await startBench(null);
  const first = DEMO_LURES[0];
  if (first && state().lures.some(({ id }) => id === first.id)) await openLure(first.id as LureId);
});
afterEach(async () => {
  await saved();
  stop();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

describe('the open lure', () => {
  it('is the first demo lure on the first visit, and the last opened afterwards', async () => {
    expect(lure().id).toBe('hovna-lantern');
    const other = DEMO_LURES[1];
    if (!other) throw new Error('there are three');
    await openLure(other.id);
    stop();
    stop = await startBench(null);
    expect(lure().id).toBe(other.id);
    stop();
    stop = await startBench('mirrow-drum');
    expect(lure().id).toBe('mirrow-drum');
  });

  it('what is told while nothing shows it yet is shown in order, each once', () => {
    takeUntold();
    tell('news', 'one');
    tell('trouble', 'two');
    expect(takeUntold().map(({ text }) => text)).toEqual(['one', 'two']);
    expect(takeUntold()).toEqual([]);
    expect(state().notice?.text).toBe('two');
  });

  it('of settings that come back from storage, or from another tab, shows as new only what changed', async () => {
    const { water, retrieve } = state().settings;
    for (const turnsPerS of [1.1, 1.2, 1.3]) changeSettings({ retrieve: { ...retrieve, turnsPerS } });
    const shown = state().settings;
    await vi.waitFor(async () => expect((await stores().settings.read()).retrieve.turnsPerS).toBe(1.3));
    await stores().settings.write({ ...shown, slowedBy: 8 });
    await vi.waitFor(() => expect(state().settings.slowedBy).toBe(8));
    expect(state().settings.water).toBe(water);
    expect(state().settings.retrieve).toBe(shown.retrieve);
  });

  it('shows a command at once and writes the commands in order behind it', async () => {
    for (const name of ['One', 'Two', 'Three']) {
      rename(name);
      expect(lure().name).toBe(name);
    }
    expect(state().saving.state).toBe('saving');
    await saved();
    expect(await storedName()).toBe('Three');
    perform({ do: 'undo' });
    await saved();
    expect(await storedName()).toBe('Two');
    perform({ do: 'redo' });
    await saved();
    expect(await storedName()).toBe('Three');
  });

  it('refuses what cannot be, tells why, and keeps the lure', () => {
    const before = lure();
    expect(change('move', [{ kind: 'move', from: 1, to: 2 }])).toBe(false);
    expect(state().notice).toMatchObject({ tone: 'trouble', text: expect.stringMatching(/fore leg/) as string });
    expect(lure()).toBe(before);
    expect(change('move', [])).toBe(false);
  });

  it('lets go of a picked part that is taken off', () => {
    pick(itemId('bead-1'));
    change('takeOff', [takeOff(lure().build, itemId('bead-1'))]);
    expect(state().picked).toBeNull();
    pick('tail');
    perform({ do: 'undo' });
    expect(state().picked).toBe('tail');
  });

  it('takes over what another tab wrote, and does its own command on top when both wrote', async () => {
    const read = await stores().lures.read(lure().id);
    if (!read.ok) throw new Error('it is stored');
    await stores().lures.perform(read.value, {
      do: 'change',
      code: 'rename',
      edits: [{ kind: 'rename', name: 'Theirs' }],
    });
    change('add', [threadParts(lure().build, part('bead-brass-3'), 0)]);
    await saved();
    await vi.waitFor(() => expect(lure().name).toBe('Theirs'));
    expect(state().notice?.text).toMatch(/Another tab changed this lure too/);
    const again = await stores().lures.read(lure().id);
    expect(again).toMatchObject({ ok: true, value: { history: { lure: lure() } } });
  });

  it('stays whole in memory when storage is full, and is saved whole when there is room', async () => {
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError');
    });
    rename('Kept');
    await vi.waitFor(() => expect(state().saving).toEqual({ state: 'failed', failure: { code: 'full' } }));
    rename('Kept still');
    expect(lure().name).toBe('Kept still');
    const other = DEMO_LURES[1];
    if (other) await openLure(other.id);
    expect(lure().name).toBe('Kept still');
    expect(state().notice?.text).toMatch(/not saved, so it stays/);
    full.mockRestore();
    await saveWhole();
    await saved();
    expect(await storedName()).toBe('Kept still');
    rename('And on');
    await saved();
    expect(await storedName()).toBe('And on');
  });
});

describe('a change under the hand', () => {
  const bend = (angleRad: number) => {
    const { carrier } = lure().build;
    return carrier.kind === 'bentWire' ? bendTo(carrier, 3, angleRad) : [];
  };

  it('is shown, not done; let go it is one change; dropped it leaves nothing', async () => {
    await openLure('stolk-kettle' as LureId);
    const before = lure();
    for (const angle of [-2.7, -2.6, -2.5]) showDraft(bend(angle));
    expect(lure()).toBe(before);
    expect(state().draft?.lure.build.carrier).toMatchObject({ sections: { 3: { angleRad: -2.5 } } });
    expect(doDraft('bend')).toBe(true);
    expect(state().draft).toBeNull();
    expect(state().history?.past).toHaveLength(1);
    await saved();
    showDraft(bend(-2.2));
    showDraft([]);
    expect(state().draft).toBeNull();
    expect(doDraft('bend')).toBe(false);
    perform({ do: 'undo' });
    expect(lure().build).toEqual(before.build);
    await saved();
  });
});

describe('lures come and go', () => {
  it('new, copied, imported, put away and put back', async () => {
    const count = state().lures.length;
    await startNewLure('inlineSpinner');
    expect(lure()).toMatchObject({ name: 'New inline spinner', made: null, build: { strand: [] } });
    await duplicateLure();
    expect(lure().name).toBe('New inline spinner, copy');
    expect(state().lures).toHaveLength(count + 2);

    const foreign = edited({ ...lure(), id: 'far-away' as Lure['id'] }, { kind: 'rename', name: 'From far away' });
    await importLureText(writeLureFile(foreign));
    expect(lure()).toEqual(foreign);
    await importLureText(writeLureFile(foreign));
    expect(state().notice?.text).toMatch(/here already/);
    expect(state().lures).toHaveLength(count + 3);
    await importLureText('{}');
    expect(state().notice?.text).toMatch(/Not imported, and nothing here was changed/);
    expect(lure()).toEqual(foreign);

    await removeOpenLure();
    expect(lure().id).not.toBe('far-away');
    state().notice?.action?.run();
    await vi.waitFor(() => expect(lure()).toEqual(foreign));
  });

  it('settings hold in this tab and in the next visit', async () => {
    changeSettings({ system: 'trade' });
    expect(state().settings.system).toBe('trade');
    await vi.waitFor(async () => expect((await stores().settings.read()).system).toBe('trade'));
    changeSettings({ system: 'metric' });
  });
});
