/** What the bench shows, and the small changes to it that touch no lure. */
import { create } from 'zustand';
import type { BladeState } from '@/core/in-water/bearing';
import { applyEdits, type Edit } from '@/core/lure/edit';
import type { LureHistory } from '@/core/lure/history';
import type { LureRule } from '@/core/judgement/lure-rule';
import type { Build, Lure, LureId } from '@/core/lure/lure';
import type { Learnt } from '@/core/predict/readings';
import type { Part } from '@/core/parts/part';
import type { ShelfEntry } from '@/data/stored';
import type { DamagedRecord } from '@/data/lure-store';
import type { StorageFailure } from '@/data/failure';
import { USUAL_SETTINGS, type Settings } from '@/data/settings';
import type { Pick } from '@/drawing/drawn-things';

export type Saving =
  | { readonly state: 'saved' }
  | { readonly state: 'saving' }
  | { readonly state: 'failed'; readonly failure: StorageFailure };

/** Something to tell the user once. */
export interface Notice {
  readonly tone: 'news' | 'trouble';
  readonly text: string;
  /** The way back, where there is one. */
  readonly action: { readonly label: string; readonly run: () => void } | null;
}

/** A sheet laid over the bench. */
export type SheetName =
  'parts' | 'rules' | 'lures' | 'new' | 'trueSize' | 'compare' | 'ride' | 'sound' | 'front' | 'backup';

/** A part of one's own that is begun. */
export type PartBegun =
  { readonly what: 'copy'; readonly of: Part } | { readonly what: 'measure'; readonly kind: 'blade' | 'lureBody' };

export interface DeskState {
  readonly history: LureHistory | null;
  readonly saving: Saving;
  readonly settings: Settings;
  /** What the list shows, last changed first. */
  readonly lures: readonly ShelfEntry[];
  /** Records that cannot be read as a whole; they are left as they are. */
  readonly damaged: readonly DamagedRecord[];
  readonly picked: Pick | null;
  /** A change under the hand, shown and not yet done: a bend being bent, a slider being slid. */
  readonly draft: Draft | null;
  /** What readings have taught of a lure as it is; null before any. */
  readonly learnt: LearntOf | null;
  /** What has happened to the blades, to try what it does; not kept. */
  readonly bladeState: BladeState;
  /** Counted up to ask the worker all over again, after it failed. */
  readonly round: number;
  readonly rules: readonly LureRule[];
  readonly ownParts: readonly Part[];
  readonly sheet: SheetName | null;
  /** What the sheet of own parts is to begin with; null for its list. */
  readonly partBegun: PartBegun | null;
  /** What the compare sheet lays beside the lure, at most two. */
  readonly compared: readonly Beside[];
  /** Told last. */
  readonly notice: Notice | null;
  /** Told and not yet shown, in order: what shows them loads with the first. */
  readonly untold: readonly Notice[];
}

/** A version of the open lure, or another lure, laid beside it. */
export type Beside = { readonly of: 'version'; readonly index: number } | { readonly of: 'lure'; readonly id: LureId };

export interface LearntOf {
  readonly build: Build;
  readonly belief: Learnt['belief'];
  /** By place among the readings that are of this build. */
  readonly unused: Learnt['unused'];
}

/** What readings have taught of this build; null where nothing was measured of it, or that is not worked out yet. */
export function beliefOf({ learnt }: DeskState, build: Build): LearntOf['belief'] | null {
  return learnt?.build === build ? learnt.belief : null;
}

export interface Draft {
  readonly lure: Lure;
  readonly edits: readonly Edit[];
}

export const useDesk = create<DeskState>(() => ({
  history: null,
  saving: { state: 'saved' },
  settings: USUAL_SETTINGS,
  lures: [],
  damaged: [],
  picked: null,
  draft: null,
  learnt: null,
  bladeState: 'clean',
  round: 0,
  rules: [],
  ownParts: [],
  sheet: null,
  partBegun: null,
  compared: [],
  notice: null,
  untold: [],
}));

export function tell(tone: Notice['tone'], text: string, action: Notice['action'] = null) {
  const notice = { tone, text, action };
  useDesk.setState(({ untold }) => ({ notice, untold: [...untold, notice] }));
}

/** All that is told and not yet shown, by now taken to be shown. */
export function takeUntold(): readonly Notice[] {
  const { untold } = useDesk.getState();
  useDesk.setState({ untold: [] });
  return untold;
}

/** Shows the lure as it would be with these edits, until they are done or dropped. */
export function showDraft(edits: readonly Edit[]) {
  const lure = useDesk.getState().history?.lure;
  const applied = lure && edits.length > 0 ? applyEdits(lure, edits) : null;
  useDesk.setState({ draft: applied?.ok ? { lure: applied.lure, edits } : null });
}

export function pick(picked: Pick | null) {
  useDesk.setState({ picked });
}

export function tryState(bladeState: BladeState) {
  useDesk.setState({ bladeState });
}

export function askAgain() {
  useDesk.setState(({ round }) => ({ round: round + 1 }));
}

export function openSheet(sheet: SheetName) {
  useDesk.setState({ sheet });
}

/** Opens the sheet of own parts on a part to be made: a copy of this one, or measured. */
export function beginPart(partBegun: PartBegun) {
  useDesk.setState({ sheet: 'parts', partBegun });
}

export function closeSheet() {
  useDesk.setState({ sheet: null, partBegun: null });
}

export function compareWith(compared: readonly Beside[]) {
  useDesk.setState({ sheet: 'compare', compared });
}

export function layBeside(beside: Beside) {
  useDesk.setState(({ compared }) => ({ compared: [...compared, beside] }));
}

export function takeFromBeside(beside: Beside) {
  useDesk.setState(({ compared }) => ({ compared: compared.filter((each) => each !== beside) }));
}
