/** What is heard on the desk, and how; nothing of it is kept but how loud and for which fish, which are settings. */
import { create } from 'zustand';
import type { Build } from '@/core/lure/lure';
import type { SoundPrediction } from '@/core/predict/sound';
import type { Bottom } from '@/core/sound/contact';
import type { Manner } from '@/core/sound/motion';
import { useDesk } from '../desk-state';
import type { Asked } from '../figures/use-core';

/** What is said of a sound. */
export interface SoundAnswer {
  readonly build: Build;
  readonly speedMps: number;
  readonly prediction: SoundPrediction;
}

/** A sound as samples, Pa; none where nothing can be said of it. */
export interface SoundLoop {
  readonly loop: Float32Array<ArrayBuffer>;
  readonly peak: number;
  readonly rms: number;
}

/** What the lure is heard against. */
export interface Against {
  readonly name: string;
  readonly build: Build;
  /** Of a part that is only being chosen: its id. */
  readonly candidate?: string;
}

export interface SoundState {
  readonly isPlaying: boolean;
  readonly manner: Manner;
  readonly bottom: Bottom;
  /** That what rubs has been worked in, h; null for as long as the piece was in the water. */
  readonly hours: number | null;
  /** The one contact that is heard alone. */
  readonly alone: string | null;
  readonly without: readonly string[];
  readonly against: Against | null;
  /** Which of the two is heard. */
  readonly side: 'now' | 'other';
  /** Both as loud as each other; else as loud as they are. */
  readonly isMatched: boolean;
  readonly now: Asked<SoundAnswer | null> | null;
  readonly other: Asked<SoundAnswer | null> | null;
  /** As it is heard now: there before what is said of it. */
  readonly nowLoop: SoundLoop | null;
}

export const useSound = create<SoundState>(() => ({
  isPlaying: false,
  manner: 'steady',
  bottom: 'none',
  hours: null,
  alone: null,
  without: [],
  against: null,
  side: 'now',
  isMatched: false,
  now: null,
  other: null,
  nowLoop: null,
}));

/** What is of one lure goes with it: another is not played unasked. */
export function forgetSound() {
  useSound.setState({
    isPlaying: false,
    hours: null,
    alone: null,
    without: [],
    against: null,
    side: 'now',
    now: null,
    other: null,
    nowLoop: null,
  });
}

/** For how long what rubs has been worked in: as set, else as is known of the piece that is made. */
export function useHoursWorkedIn(): number {
  const ofPiece = useDesk((state) => state.history?.lure.made?.used?.hours ?? 0);
  return useSound((state) => state.hours) ?? ofPiece;
}

export function togglePlaying() {
  useSound.setState(({ isPlaying }) => ({ isPlaying: !isPlaying }));
}

export function hearHow(changes: Partial<Pick<SoundState, 'manner' | 'bottom' | 'hours' | 'isMatched' | 'side'>>) {
  useSound.setState(changes);
}

/** One contact by itself, or again with the others. */
export function hearAlone(id: string) {
  useSound.setState(({ alone }) => ({ alone: alone === id ? null : id, without: [] }));
}

/** A contact left out, or again with the others. */
export function leaveOut(id: string) {
  useSound.setState(({ without }) => ({
    alone: null,
    without: without.includes(id) ? without.filter((each) => each !== id) : [...without, id],
  }));
}

export function hearAgainst(against: Against | null) {
  useSound.setState({ against, side: 'now', other: null });
}

/** The lure with a part that is being chosen; asked for once more, the lure as it is, and back again. */
export function hearCandidate(against: Against) {
  useSound.setState(({ isPlaying, against: before, side }) =>
    isPlaying && before?.candidate === against.candidate
      ? { side: side === 'now' ? 'other' : 'now' }
      : { isPlaying: true, against, side: 'other', other: null },
  );
}

/** No part is being chosen any more. @param isPlaying whether the lure itself goes on being heard */
export function forgetCandidate(isPlaying: boolean) {
  useSound.setState(({ against }) =>
    against?.candidate === undefined ? {} : { against: null, side: 'now', other: null, isPlaying },
  );
}

/** Whether this contact is among those that are heard. */
export function isHeard({ alone, without }: Pick<SoundState, 'alone' | 'without'>, id: string): boolean {
  return alone === null ? !without.includes(id) : alone === id;
}
