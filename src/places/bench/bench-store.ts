/**
 * The open lure and the bench around it. A deed shows at once and is written at once behind it, in order; when writing
 * fails the lure stays here, says so, and is written whole as soon as storage takes it again.
 */
import { create } from 'zustand';
import { readLureFile, writeLureFile } from '@/core/lure/lure-file';
import { performDeed, startHistory, type Deed, type LureHistory } from '@/core/lure/history';
import type { Edit } from '@/core/lure/edit';
import type { Lure, LureId } from '@/core/lure/lure';
import { familyRules } from '@/core/family/families';
import { DEMO_LURES } from '@/demo/scenario';
import type { Pick } from '@/drawing/elevation';
import type { StorageFailure } from '@/data/failure';
import { idFromName, type OpenLure } from '@/data/lure-store';
import { USUAL_SETTINGS, type Settings } from '@/data/settings-store';
import { stores } from '@/data/stores';
import { refusalWords } from '@/words/finding-words';
import { lureFileProblemWords } from '@/words/problem-words';
import { storageFailureWords } from '@/words/storage-words';

export type Saving =
  | { readonly state: 'saved' }
  | { readonly state: 'saving' }
  | { readonly state: 'failed'; readonly failure: StorageFailure };

/** Something to tell the user once. */
export interface Notice {
  readonly number: number;
  readonly tone: 'news' | 'trouble';
  readonly text: string;
}

interface BenchState {
  readonly history: LureHistory | null;
  readonly saving: Saving;
  readonly settings: Settings;
  readonly lures: readonly Lure[];
  readonly picked: Pick | null;
  readonly notice: Notice | null;
}

export const useBench = create<BenchState>(() => ({
  history: null,
  saving: { state: 'saved' },
  settings: USUAL_SETTINGS,
  lures: [],
  picked: null,
  notice: null,
}));

const { setState, getState } = useBench;

/** What storage is known to hold of the open lure, and the deeds not yet in it. */
let stored: OpenLure | null = null;
let waiting: Deed[] = [];
let isWriting = false;
/** The highest revision of the open lure seen in storage, whoever wrote it. */
let seenRev = 0;
/** Settings on their way to storage: what comes back meanwhile is older than what is shown. */
let settingsOnTheWay = 0;
/** Damaged records are told of once, not at every change. */
let toldDamaged = '';
let stopWatching: () => void = () => undefined;

export async function startBench(wanted: string | null): Promise<() => void> {
  const { lures, settings } = stores();
  const seeded = await lures.seed(DEMO_LURES);
  if (!seeded.ok) {
    showWithoutStorage(seeded.failure);
    return () => undefined;
  }
  setState({ settings: await settings.read() });
  await refreshList();
  const all = getState().lures;
  const ids = [wanted, getState().settings.lastLure];
  const first = ids.map((id) => all.find((lure) => lure.id === id)).find((lure) => lure !== undefined) ?? all[0];
  if (first) await openLure(first.id);
  else showWithoutStorage(null);
  const stops = [
    lures.watchList(() => void refreshList()),
    settings.watch((value) => settingsOnTheWay === 0 && setState({ settings: value })),
  ];
  return () => {
    stopWatching();
    for (const stop of stops) stop();
  };
}

/** Storage cannot be used at all: a demo lure stands on the bench all the same and can be worked on and exported. */
function showWithoutStorage(failure: StorageFailure | null) {
  const lure = DEMO_LURES[0];
  if (!lure) return;
  const history = startHistory(lure);
  stored = { history, rev: 0 };
  setState({
    history,
    lures: DEMO_LURES,
    picked: firstBlade(lure),
    saving: failure ? { state: 'failed', failure } : { state: 'saved' },
  });
}

async function refreshList() {
  const list = await stores().lures.list();
  if (!list.ok) return;
  setState({ lures: list.value.lures });
  const damaged = list.value.damaged.join(', ');
  if (damaged !== toldDamaged && damaged !== '') {
    tell('trouble', `Damaged and left as they are: ${damaged}. The other lures are in order.`);
  }
  toldDamaged = damaged;
}

export async function openLure(id: LureId) {
  if (!(await isSafe())) return;
  const read = await stores().lures.read(id);
  if (!read.ok) {
    tell('trouble', storageFailureWords(read.failure));
    return;
  }
  stored = read.value;
  waiting = [];
  setState({ history: read.value.history, picked: firstBlade(read.value.history.lure), saving: { state: 'saved' } });
  watch(id);
}

/** Makes this the lure of the page's address and of the next visit, and follows it in storage. */
function watch(id: LureId) {
  changeSettings({ lastLure: id });
  window.history.replaceState(null, '', `?lure=${id}`);
  stopWatching();
  seenRev = stored?.rev ?? 0;
  stopWatching = stores().lures.watchRevision(id, (rev) => {
    seenRev = rev;
    void adopt(id);
  });
}

/** A lure opens with its blade picked: what most people come to change. */
function firstBlade({ build }: Lure): Pick | null {
  return Object.values(build.items).find(({ part }) => part.kind === 'blade')?.id ?? null;
}

/** Another tab wrote: take its lure over, unless own work is still on its way. */
async function adopt(id: LureId) {
  const isIdle = !isWriting && waiting.length === 0 && getState().saving.state === 'saved';
  if (!isIdle || !stored || seenRev <= stored.rev || stored.history.lure.id !== id) return;
  const read = await stores().lures.read(id);
  if (!read.ok || isWriting || waiting.length > 0 || stored.history.lure.id !== id || read.value.rev <= stored.rev)
    return;
  stored = read.value;
  setState({ history: read.value.history });
}

/** Does something to the open lure. Returns false, with the reason told, when it cannot be. */
export function perform(deed: Deed): boolean {
  const { history } = getState();
  if (!history) return false;
  const result = performDeed(history, deed);
  if (!result.ok) {
    if (result.refusal.code !== 'nothingToDo') tell('trouble', refusalWords(result.refusal));
    return false;
  }
  const picked = getState().picked;
  const isGone = picked !== null && picked.includes('-') && !Object.hasOwn(result.history.lure.build.items, picked);
  const failed = getState().saving.state === 'failed';
  setState({
    history: result.history,
    picked: isGone ? null : picked,
    saving: failed ? getState().saving : { state: 'saving' },
  });
  if (failed) void saveWhole();
  else {
    waiting.push(deed);
    void write();
  }
  return true;
}

export function change(code: string, edits: readonly Edit[]): boolean {
  return edits.length > 0 && perform({ do: 'change', code, edits });
}

/** Writes the waiting deeds one after the other. */
async function write() {
  if (isWriting) return;
  isWriting = true;
  while (stored) {
    const deed = waiting[0];
    if (!deed) break;
    const result = await stores().lures.perform(stored, deed);
    if (!result.ok) {
      waiting = [];
      setState({ saving: { state: 'failed', failure: result.failure } });
      break;
    }
    waiting.shift();
    stored = result.value.open;
    if (result.value.outcome === 'refused') {
      tell('trouble', `Another tab changed this lure first. ${refusalWords(result.value.refusal)}`);
      showStored();
    } else if (result.value.onOthersWork) {
      tell('news', 'Another tab changed this lure too; your change was done on top of it.');
      showStored();
    }
    if (waiting.length === 0) setState({ saving: { state: 'saved' } });
  }
  isWriting = false;
  // Another tab may have written while this one was at it.
  if (stored) void adopt(stored.history.lure.id);
}

/** Shows what storage holds with the waiting deeds on top. */
function showStored() {
  if (!stored) return;
  let { history } = stored;
  for (const deed of waiting) {
    const result = performDeed(history, deed);
    if (result.ok) history = result.history;
  }
  setState({ history });
}

/** After a failure: the lure as it stands, whole. */
export async function saveWhole() {
  const { history } = getState();
  if (!history || isWriting) return;
  isWriting = true;
  const saved = await stores().lures.save({ history, rev: stored?.rev ?? 0 });
  isWriting = false;
  if (!saved.ok) {
    setState({ saving: { state: 'failed', failure: saved.failure } });
    return;
  }
  const { open, isBeside } = saved.value;
  const current = getState().history ?? open.history;
  stored = open;
  if (isBeside) {
    const { id } = open.history.lure;
    setState({ history: { ...current, lure: { ...current.lure, id } } });
    watch(id);
    tell('news', 'Another tab changed this lure meanwhile. Yours is kept beside it as a lure of its own.');
  }
  if (current !== history) return saveWhole();
  setState({ saving: { state: 'saved' } });
}

/** Waits until all that was done is written, or cannot be. */
async function settle() {
  while (isWriting) await new Promise((resolve) => setTimeout(resolve, 5));
}

/** True when the open lure is in storage, so that another may take its place; else says why not. */
async function isSafe(): Promise<boolean> {
  await settle();
  if (getState().saving.state === 'failed') await saveWhole();
  if (getState().saving.state !== 'failed') return true;
  tell('trouble', 'The lure here is not saved, so it stays. Export it first, or try again to save it.');
  return false;
}

export function pick(picked: Pick | null) {
  setState({ picked });
}

export function changeSettings(changes: Partial<Settings>) {
  const settings = { ...getState().settings, ...changes };
  setState({ settings });
  settingsOnTheWay++;
  void stores()
    .settings.write(settings)
    .finally(() => settingsOnTheWay--);
}

export function tell(tone: Notice['tone'], text: string) {
  setState({ notice: { number: (getState().notice?.number ?? 0) + 1, tone, text } });
}

/** Starts a new lure of a family and opens it. */
export async function startNewLure() {
  const name = 'New spinner';
  await addAndOpen(familyRules('inlineSpinner').start(idFromName(name), name));
}

export async function duplicateLure() {
  const lure = getState().history?.lure;
  if (!lure) return;
  const name = `${lure.name}, copy`;
  await addAndOpen({ ...lure, id: idFromName(name), name, made: null });
}

/** Takes a lure file in. The same lure already here is only opened; a different one under its id comes beside it. */
export async function importLureText(text: string) {
  const reading = readLureFile(text);
  if (!reading.ok) {
    tell('trouble', `Not imported, and nothing here was changed. ${lureFileProblemWords(reading.problem)}`);
    return;
  }
  const { lure } = reading;
  const here = getState().lures.find(({ id }) => id === lure.id);
  if (here && writeLureFile(here) === writeLureFile(lure)) {
    await openLure(here.id);
    tell('news', `${lure.name} is here already, the same to the last part.`);
    return;
  }
  if (await addAndOpen(lure))
    tell('news', here ? `${lure.name} was imported beside the one already here.` : `${lure.name} was imported.`);
}

async function addAndOpen(lure: Lure): Promise<boolean> {
  if (!(await isSafe())) return false;
  const added = await stores().lures.add(lure);
  if (!added.ok) {
    tell('trouble', storageFailureWords(added.failure));
    return false;
  }
  await refreshList();
  await openLure(added.value.id);
  return true;
}

/** Takes the open lure away; it can be put back from the notice that tells of it. */
export async function removeOpenLure(): Promise<(() => Promise<void>) | null> {
  const lure = getState().history?.lure;
  if (!lure || !(await isSafe())) return null;
  const removed = await stores().lures.remove(lure.id);
  if (!removed.ok || !removed.value) {
    if (!removed.ok) tell('trouble', storageFailureWords(removed.failure));
    return null;
  }
  const row = removed.value;
  await refreshList();
  const next = getState().lures[0];
  if (next) await openLure(next.id);
  else await startNewLure();
  return async () => {
    const back = await stores().lures.putBack(row);
    if (!back.ok) return tell('trouble', storageFailureWords(back.failure));
    await refreshList();
    await openLure(lure.id);
  };
}
