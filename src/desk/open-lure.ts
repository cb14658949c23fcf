/**
 * The open lure and the bench around it. A command shows at once and is written at once behind it, in order; when writing
 * fails the lure stays here, says so, and is written whole as soon as storage takes it again.
 */
import { performCommand, startHistory, type Command } from '@/core/lure/history';
import type { ChangeName } from '@/core/lure/change-name';
import { patchTo, type Edit } from '@/core/lure/edit';
import type { Build, Lure, LureId } from '@/core/lure/lure';
import { isSame } from '@/core/same';
import { FIRST_LURE } from '@/demo/first-lure';
import type { Pick } from '@/drawing/drawn-things';
import type { StorageFailure } from '@/data/failure';
import { dropUnsaved, keepUnsaved } from '@/data/unsaved';
import type { OpenLure, PerformResult } from '@/data/lure-store';
import { refusalWords } from '@/words/refusal-words';
import { PERSISTENCE_WORDS, storageFailureWords } from '@/words/storage-words';
import { changeSettings, showStoredSettings } from './settings';
import { tell, useDesk } from './desk-state';
import './keep-picture';
import { bringBackUnsaved } from './recovery';
import { painted } from './painted';
import { lookAtRest } from './stage/stage-look';
import { openStores } from './stores';

const { setState, getState } = useDesk;

/** What storage is known to hold of the open lure, and the commands not yet in it. */
let stored: OpenLure | null = null;
let waiting: Command[] = [];
let isWriting = false;
/** The highest revision of the open lure seen in storage, whoever wrote it. */
let seenRev = 0;
let stopWatching: () => void = () => undefined;
/** Ends the following of lists and settings in storage; null until storage could be opened. */
let stopFollowing: (() => void) | null = null;

/** @param wanted the id of the lure asked for by the page's address */
export async function startBench(wanted: string | null): Promise<() => void> {
  const seeded = await seed();
  if (!seeded.ok) {
    showWithoutStorage(seeded.failure);
    return stopBench;
  }
  const { settings } = await openStores();
  setState({ settings: await settings.read() });
  await follow();
  const all = getState().lures;
  const ids = [wanted, getState().settings.lastLure];
  const first = ids.map((id) => all.find((lure) => lure.id === id)).find((lure) => lure !== undefined) ?? all[0];
  if (!(first && (await openLure(first.id as LureId))) && !(await openAny(all.map(({ id }) => id as LureId))))
    showWithoutStorage(null);
  await bringBackUnsaved();
  void tellDamaged();
  return stopBench;
}

async function seed() {
  const [{ lures }, { DEMO_LURES }] = await Promise.all([openStores(), import('@/demo/scenario')]);
  return lures.seed(DEMO_LURES);
}

/** Shows what storage holds beside the open lure, and whatever becomes of it, in this tab or another. */
async function follow() {
  const { lures, rules, settings } = await openStores();
  await refreshList();
  const stops = [
    lures.watchList(() => void refreshList()),
    rules.watch((read) => setState({ rules: read })),
    settings.watch(() => void showStoredSettings()),
  ];
  stopFollowing = () => stops.forEach((stop) => stop());
}

function stopBench() {
  stopWatching();
  stopFollowing?.();
  stopFollowing = null;
}

/** Storage that could not be used when the page came takes work now: what the start left undone is made up for. */
async function catchUp(id: LureId) {
  await seed();
  await watch(id);
  await follow();
}

/** Storage cannot be used at all: a demo lure stands on the bench all the same and can be worked on and exported. */
function showWithoutStorage(failure: StorageFailure | null) {
  const lure = FIRST_LURE;
  const history = startHistory(lure);
  stored = { history, rev: 0, birth: '', from: 0, isAway: false };
  setState({
    history,
    lures: [],
    picked: firstBlade(lure),
    saving: failure ? { state: 'failed', failure } : { state: 'saved' },
  });
}

export async function refreshList() {
  const list = await (await openStores()).lures.list();
  if (!list.ok) return;
  const isDamaged = new Set(getState().damaged.map(({ id, setAside }) => (setAside === null ? id : '')));
  setState({ lures: list.value.filter(({ id }) => !isDamaged.has(id)) });
}

/** What is not asked for by anybody waits this long, so that nothing comes between the hand and storage at first. */
const LATER_MS = 4_000;

/** Looks through all records behind the work, and tells of damaged ones; they are left as they are and off the list. */
async function tellDamaged() {
  await new Promise((resolve) => setTimeout(resolve, LATER_MS));
  const found = await (await openStores()).lures.damaged(() => new Promise((resolve) => setTimeout(resolve, 30)));
  if (!found.ok || found.value.length === 0) return;
  setState({ damaged: found.value });
  tell(
    'trouble',
    `Damaged and left as they are: ${found.value.map(({ id }) => id).join(', ')}. The other lures are in order.`,
    {
      label: 'See what can be read',
      run: () => setState({ sheet: 'lures' }),
    },
  );
  await refreshList();
}

/** The first of these that can be opened. */
async function openAny(ids: readonly LureId[]): Promise<boolean> {
  for (const id of ids) if (await openLure(id)) return true;
  return false;
}

/** Any lure but the one on the bench: a way out of one that cannot be shown. */
export async function openAnother(): Promise<void> {
  const now = getState().history?.lure.id;
  await openAny(getState().lures.flatMap(({ id }) => (id === now ? [] : [id as LureId])));
}

/** Puts a lure on the bench. False, with the reason told, when it cannot be. */
export async function openLure(id: LureId): Promise<boolean> {
  if (!(await isSafe())) return false;
  const { lures } = await openStores();
  const read = await lures.read(id);
  if (!read.ok) {
    tell('trouble', storageFailureWords(read.failure));
    return false;
  }
  stored = read.value;
  waiting = [];
  lookAtRest();
  setState({
    history: read.value.history,
    picked: firstBlade(read.value.history.lure),
    bladeState: 'clean',
    saving: { state: 'saved' },
  });
  await watch(id);
  return true;
}

/** Makes this the lure of the page's address and of the next visit, and follows it in storage. */
async function watch(id: LureId) {
  changeSettings({ lastLure: id });
  window.history.replaceState(null, '', `?lure=${id}`);
  stopWatching();
  seenRev = stored?.rev ?? 0;
  const { lures } = await openStores();
  stopWatching();
  stopWatching = lures.watchRevision(id, (rev) => {
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
  const read = await (await openStores()).lures.read(id);
  if (!read.ok || isWriting || waiting.length > 0 || stored.history.lure.id !== id || read.value.rev <= stored.rev)
    return;
  const wasAway = stored.isAway;
  stored = read.value;
  setState({ history: read.value.history });
  if (!wasAway && stored.isAway) {
    tell('news', 'Another tab put this lure away. Whatever you change here brings it back.', {
      label: 'Put it back',
      run: () => void openStores().then(({ lures }) => lures.putBack(id)),
    });
  }
}

/** Does something to the open lure. Returns false, with the reason told, when it cannot be. */
export function perform(command: Command): boolean {
  const { history } = getState();
  if (!history) return false;
  const result = performCommand(history, command);
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
  if (failed) {
    keepUnsaved(globalThis.localStorage, result.history.lure, Date.now());
    void saveWhole();
  } else {
    waiting = [...waiting, command];
    void write();
  }
  return true;
}

export function change(code: ChangeName, edits: readonly Edit[]): boolean {
  return edits.length > 0 && perform({ do: 'change', code, edits });
}

/** Makes the open lure the one of a version again. False when it is that already. */
export function goBackTo(build: Build): boolean {
  const now = getState().history?.lure.build;
  return now !== undefined && !isSame(now, build) && change('goBackToVersion', [patchTo(now, build)]);
}

/** Does what is shown as a draft, as one change. */
export function doDraft(code: ChangeName): boolean {
  const { draft } = getState();
  if (!draft) return false;
  setState({ draft: null });
  return change(code, draft.edits);
}

/** Writes the waiting commands, all that there are at once, until none is left. */
async function write() {
  if (isWriting) return;
  isWriting = true;
  const { lures } = await openStores();
  // First the hand sees what it did, then it is written.
  await painted();
  while (stored && waiting.length > 0) {
    const commands = waiting;
    const result = await lures.perform(stored, ...commands);
    if (!result.ok) {
      waiting = [];
      failed(result.failure);
      break;
    }
    // More may have been done meanwhile.
    waiting = waiting.slice(commands.length);
    const before = stored;
    stored = result.value.open;
    tellOfOthers(result.value, before, commands);
    if (result.value.isBeside) await watch(stored.history.lure.id);
    if (waiting.length === 0) setState({ saving: { state: 'saved' } });
    void askToKeep();
  }
  isWriting = false;
  // Another tab may have written while this one was at it.
  if (stored) void adopt(stored.history.lure.id);
}

/** The change is in the page only: said, and a second copy kept until storage has it. */
function failed(failure: StorageFailure) {
  const { history } = getState();
  if (history) keepUnsaved(globalThis.localStorage, history.lure, Date.now());
  setState({ saving: { state: 'failed', failure } });
}

/** What another tab did to this lure meanwhile, and what became of the changes done here. */
function tellOfOthers(result: PerformResult, before: OpenLure, commands: readonly Command[]) {
  const [refusal] = result.refusals;
  if (refusal) {
    tell('trouble', `Another tab changed this lure first. ${refusalWords(refusal)}`);
  } else if (result.isBeside) {
    tell('news', 'Another lure stands under this name in storage by now. Yours is kept beside it.');
  } else if (result.isBack) {
    tell('news', 'Another tab had put this lure away; your change brought it back.');
  } else if (result.onOthersWork) {
    const theirs = result.open.history.past.at(-1 - result.done)?.edits.find((edit) => edit.kind === 'rename');
    const own = commands
      .flatMap((command) => (command.do === 'change' ? command.edits : []))
      .findLast((edit) => edit.kind === 'rename');
    const both = theirs && own && before.history.lure.name !== theirs.name;
    tell(
      'news',
      both
        ? `Another tab named this lure “${theirs.name}”; now it is “${own.name}”. Undo brings the other name back.`
        : 'Another tab changed this lure too; your change was done on top of it.',
    );
  } else return;
  showStored();
}

let isAskedToKeep = false;

/** After the first own change the browser is asked to keep what is stored, and its answer told. */
async function askToKeep() {
  if (isAskedToKeep) return;
  isAskedToKeep = true;
  await new Promise((resolve) => setTimeout(resolve, LATER_MS));
  const answer = await (await openStores()).askToPersist();
  if (answer !== null) tell('news', PERSISTENCE_WORDS[answer]);
}

/** Shows what storage holds with the waiting commands on top. */
function showStored() {
  if (!stored) return;
  let { history } = stored;
  for (const command of waiting) {
    const result = performCommand(history, command);
    if (result.ok) history = result.history;
  }
  setState({ history });
}

/** After a failure: the lure as it stands, whole. */
export async function saveWhole() {
  const { history } = getState();
  if (!history || isWriting) return;
  isWriting = true;
  const { lures } = await openStores();
  const { rev = 0, birth = '', from = 0 } = stored ?? {};
  const saved = await lures.save({ history, rev, birth, from, isAway: false });
  // A storage that just failed is believed only once it has given the lure back.
  const held = saved.ok ? await lures.holds(saved.value.open) : saved;
  isWriting = false;
  if (!saved.ok || !held.ok || !held.value) {
    failed(saved.ok ? (held.ok ? { code: 'closed' } : held.failure) : saved.failure);
    return;
  }
  dropUnsaved(globalThis.localStorage, history.lure.id);
  const { open, isBeside } = saved.value;
  const current = getState().history ?? open.history;
  stored = open;
  if (isBeside) {
    const { id } = open.history.lure;
    setState({ history: { ...current, lure: { ...current.lure, id } } });
    await watch(id);
    tell('news', 'Another tab changed this lure meanwhile. Yours is kept beside it as a lure of its own.');
  }
  if (current !== history) return saveWhole();
  setState({ saving: { state: 'saved' } });
  if (stopFollowing === null) await catchUp(stored.history.lure.id);
}

/** Waits until all that was done is written, or cannot be. */
async function settle() {
  while (isWriting) await new Promise((resolve) => setTimeout(resolve, 5));
}

/** True when the open lure is in storage, so that another may take its place; else says why not. */
export async function isSafe(): Promise<boolean> {
  await settle();
  if (getState().saving.state === 'failed') await saveWhole();
  if (getState().saving.state !== 'failed') return true;
  tell('trouble', 'The lure here is not saved, so it stays. Export it first, or try again to save it.');
  return false;
}
