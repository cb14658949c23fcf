/**
 * The run under the hands. A command shows at once and is written at once behind it, in order; what storage would not take is
 * kept here and written with the next one.
 */
import { create } from 'zustand';
import { lureIdSchema, type Lure } from '@/core/lure/lure';
import { planMake, type MakeStep, type NoWay, type Plan } from '@/core/make/plan';
import { runSchema, type Run, type ToMake } from '@/core/make/run';
import { USUAL_SETTINGS, type Settings } from '@/data/settings';
import type { OpenRun, RemovedRun } from '@/data/run-store';
import { stores } from '@/data/stores';
import { runRefusalWords } from '@/words/run-words';
import { storageFailureWords } from '@/words/storage-words';

export type Planned = Extract<Plan, { outcome: 'planned' }>;

export type MakeState =
  | { readonly state: 'opening' }
  | { readonly state: 'failed'; readonly reason: string }
  /** No lure was asked for: what is under way. */
  | { readonly state: 'list'; readonly runs: readonly Run[] }
  | { readonly state: 'noWay'; readonly lure: Lure; readonly why: NoWay }
  /** A lure, and the runs of it that stopped half way. */
  | { readonly state: 'lure'; readonly lure: Lure; readonly plan: Planned; readonly underWay: readonly Run[] }
  | { readonly state: 'run'; readonly run: Run; readonly plan: Planned; readonly names: readonly string[] };

interface Make {
  readonly make: MakeState;
  readonly settings: Settings;
  /** Why the last change is not in storage; null when it is. */
  readonly unsaved: string | null;
  /** Why the last thing asked for was not done; null when it was. */
  readonly refused: string | null;
}

export const useMake = create<Make>(() => ({
  make: { state: 'opening' },
  settings: USUAL_SETTINGS,
  unsaved: null,
  refused: null,
}));
const { setState, getState } = useMake;

type Change = (run: Run) => Run;
let waiting: readonly Change[] = [];
let writing: Promise<void> = Promise.resolve();
/** The highest revision of the run seen in storage, whoever wrote it. */
let seenRev = 0;
let stopWatching: () => void = () => undefined;

/** Opens what the address asks for: `run`, else `lure`, else the list. */
export async function openMake(asked: URLSearchParams): Promise<void> {
  const { lures, runs, settings } = stores();
  const { DEMO_LURES } = await import('@/demo/scenario');
  const seeded = await lures.seed(DEMO_LURES);
  if (!seeded.ok) return fail(storageFailureWords(seeded.failure));
  setState({ settings: await settings.read() });
  const runId = asked.get('run');
  if (runId !== null) {
    const read = await runs.read(runId);
    return read.ok ? showRun(read.value.run) : fail('That work is no longer in this browser’s storage.');
  }
  const id = lureIdSchema.safeParse(asked.get('lure'));
  if (!id.success) {
    const list = await runs.list();
    return list.ok ? setState({ make: { state: 'list', runs: list.value } }) : fail(storageFailureWords(list.failure));
  }
  const read = await lures.read(id.data);
  if (!read.ok) return fail(storageFailureWords(read.failure));
  const { lure } = read.value.history;
  const plan = planMake(lure.build);
  if (plan.outcome === 'noWay') return setState({ make: { state: 'noWay', lure, why: plan.why } });
  const list = await runs.list(lure.id);
  const underWay = list.ok ? list.value.filter(({ stage }) => stage !== 'made') : [];
  setState({ make: { state: 'lure', lure, plan, underWay } });
}

function fail(reason: string): void {
  setState({ make: { state: 'failed', reason } });
}

export async function startNew(lure: ToMake): Promise<void> {
  const started = await stores().runs.start(lure);
  if (started.ok) showRun(started.value.run);
  else setState({ unsaved: storageFailureWords(started.failure) });
}

/** Shows a run and follows what becomes of it in other tabs; the address names it, so that a reload comes back to it. */
export function showRun(run: Run): void {
  const plan = planMake(run.build);
  if (plan.outcome === 'noWay') return fail('No order of work makes this build any more. Go back to the bench.');
  stopWatching();
  [waiting, seenRev] = [[], 0];
  setState({ make: { state: 'run', run, plan, names: plan.steps.map(({ id }) => id) }, unsaved: null });
  window.history.replaceState(null, '', `/make?run=${run.id}`);
  stopWatching = stores().runs.watch(run.id, putStored);
}

/** Shows what stands in storage, unless it is old or something is still on its way there. */
function putStored({ run, rev }: OpenRun): void {
  if (rev < seenRev) return;
  seenRev = rev;
  if (waiting.length === 0) put(run);
}

function put(run: Run): void {
  const { make } = getState();
  if (make.state === 'run' && make.run.id === run.id) setState({ make: { ...make, run } });
}

export function changeRun(change: Change): void {
  const { make } = getState();
  if (make.state !== 'run') return;
  // Held against the schema that reads it again, before it is shown as done.
  const changed = runSchema.safeParse(change(make.run));
  if (!changed.success) return setState({ refused: runRefusalWords(changed.error.issues[0]?.path[0]) });
  put(changed.data);
  setState({ refused: null });
  waiting = [...waiting, change];
  void write();
}

/** Writes what waits, after what is being written already; done when it is in storage, or could not be. */
export function write(): Promise<void> {
  writing = writing.then(writeWaiting);
  return writing;
}

async function writeWaiting(): Promise<void> {
  const { make } = getState();
  if (make.state !== 'run' || waiting.length === 0) return;
  const taken = waiting;
  const written = await stores().runs.change(make.run.id, (run) => taken.reduce((sofar, change) => change(sofar), run));
  if (!written.ok) {
    setState({ unsaved: storageFailureWords(written.failure) });
    return;
  }
  // What came meanwhile stays waiting for its own turn.
  waiting = waiting.slice(taken.length);
  putStored(written.value);
  setState({ unsaved: null });
}

/** Gives the run its number and marks the lure as made, in that order: either can be done again. */
export async function finish(onDay: string): Promise<void> {
  const { make } = getState();
  if (make.state !== 'run') return;
  const { lures, runs } = stores();
  await write();
  const numbered = await runs.number(make.run.id, onDay);
  if (!numbered.ok) return setState({ unsaved: storageFailureWords(numbered.failure) });
  putStored(numbered.value);
  const read = await lures.read(make.run.lureId);
  if (!read.ok) return setState({ unsaved: `Numbered, but not marked as made: ${storageFailureWords(read.failure)}` });
  const marked = await lures.perform(read.value, {
    do: 'change',
    code: 'markMade',
    edits: [{ kind: 'mark', made: { onDay, build: make.run.build } }],
  });
  if (!marked.ok) setState({ unsaved: `Numbered, but not marked as made: ${storageFailureWords(marked.failure)}` });
}

/** Gives a run up, and hands back what is needed to take it up again. */
export async function giveUp(run: Run): Promise<RemovedRun | null> {
  const removed = await stores().runs.remove(run.id);
  if (!removed.ok) {
    setState({ unsaved: storageFailureWords(removed.failure) });
    return null;
  }
  showList((runs) => runs.filter(({ id }) => id !== run.id));
  return removed.value;
}

export async function takeUpAgain(removed: RemovedRun, run: Run): Promise<void> {
  const back = await stores().runs.putBack(removed);
  if (back.ok) showList((runs) => [run, ...runs]);
  else setState({ unsaved: storageFailureWords(back.failure) });
}

function showList(change: (runs: readonly Run[]) => readonly Run[]): void {
  const { make } = getState();
  if (make.state === 'lure') setState({ make: { ...make, underWay: change(make.underWay) } });
  if (make.state === 'list') setState({ make: { ...make, runs: change(make.runs) } });
}

export function changeSettings(changes: Partial<Settings>): void {
  const settings = { ...getState().settings, ...changes };
  setState({ settings });
  void stores()
    .settings.write(settings)
    .then((written) => {
      if (!written.ok) setState({ refused: storageFailureWords(written.failure) });
    });
}

export function stepOf({ steps }: Planned, id: string | null): MakeStep | null {
  return steps.find((step) => step.id === id) ?? null;
}
