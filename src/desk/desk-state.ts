/** What the bench shows, and the small changes to it that touch no lure. */
import { create } from 'zustand';
import type { BladeState } from '@/core/in-water/bearing';
import { applyEdits, type Edit } from '@/core/lure/edit';
import type { LureHistory } from '@/core/lure/history';
import type { HookRule } from '@/core/judgement/hook-rule';
import type { Lure } from '@/core/lure/lure';
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
  readonly number: number;
  readonly tone: 'news' | 'trouble';
  readonly text: string;
  /** The way back, where there is one. */
  readonly action: { readonly label: string; readonly run: () => void } | null;
}

/** A sheet laid over the bench. */
export type SheetName = 'parts' | 'rules' | 'lures' | 'new' | 'trueSize' | 'compare' | 'ride' | 'backup';

export interface DeskState {
  readonly history: LureHistory | null;
  /** The lure is only what was last drawn: storage is not open yet, and nothing can be done to it. */
  readonly isPreview: boolean;
  readonly saving: Saving;
  readonly settings: Settings;
  /** What the list shows, last changed first. */
  readonly lures: readonly ShelfEntry[];
  /** Records that cannot be read as a whole; they are left as they are. */
  readonly damaged: readonly DamagedRecord[];
  readonly picked: Pick | null;
  /** A change under the hand, shown and not yet done: a bend being bent, a slider being slid. */
  readonly draft: Draft | null;
  /** What has happened to the blades, to try what it does; not kept. */
  readonly bladeState: BladeState;
  /** Counted up to ask the worker all over again, after it failed. */
  readonly round: number;
  readonly rules: readonly HookRule[];
  readonly ownParts: readonly Part[];
  readonly sheet: SheetName | null;
  /** The version that the compare sheet lays beside the lure. */
  readonly compared: number;
  readonly notice: Notice | null;
}

export interface Draft {
  readonly lure: Lure;
  readonly edits: readonly Edit[];
}

export const useDesk = create<DeskState>(() => ({
  history: null,
  isPreview: false,
  saving: { state: 'saved' },
  settings: USUAL_SETTINGS,
  lures: [],
  damaged: [],
  picked: null,
  draft: null,
  bladeState: 'clean',
  round: 0,
  rules: [],
  ownParts: [],
  sheet: null,
  compared: 0,
  notice: null,
}));

export function tell(tone: Notice['tone'], text: string, action: Notice['action'] = null) {
  useDesk.setState({ notice: { number: (useDesk.getState().notice?.number ?? 0) + 1, tone, text, action } });
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

export function closeSheet() {
  useDesk.setState({ sheet: null });
}

export function compareWith(compared: number) {
  useDesk.setState({ sheet: 'compare', compared });
}
