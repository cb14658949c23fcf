'use client';

import { useEffect, useMemo, useRef } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { BladeState } from '@/core/in-water/bearing';
import type { Build } from '@/core/lure/lure';
import type { Belief } from '@/core/predict/factors';
import type { SoundAsked } from '@/core/predict/sound';
import { peakOf, SAMPLE_RATE_HZ } from '@/core/sound/render';
import { askCore } from '@/workers/core-client';
import { useDesk } from '../desk-state';
import { shownOf, useCore, useLearnt, type Asked } from '../figures/use-core';
import { retrieveSpeed } from '../speed';
import { LoopPlayer } from './loop-player';
import { forgetSound, useSound, type SoundAnswer } from './sound-state';

const LOOP_S = 4;
/** The same every time, so that only what is changed sounds otherwise. */
const SEED = 1;

interface SoundQuestion {
  readonly build: Build;
  readonly water: Water;
  readonly outfit: Outfit;
  readonly bladeState: BladeState;
  readonly learnt: Belief | null;
  readonly speedMps: number;
  readonly sound: SoundAsked;
  readonly alone: string | null;
  readonly without: readonly string[];
}

async function askSound(question: SoundQuestion): Promise<SoundAnswer> {
  const { build, water, outfit, bladeState: state, learnt, speedMps, sound, alone, without } = question;
  const how = { seconds: LOOP_S, seed: SEED, without, ...(alone === null ? {} : { only: [alone] }) };
  const { prediction, loop } = await askCore('hear', [build, water, speedMps, { outfit, state, learnt, sound }, how]);
  return { build, speedMps, prediction, loop };
}

const askOther = (question: SoundQuestion | null): Promise<SoundAnswer | null> =>
  question ? askSound(question) : Promise.resolve(null);

/** Keeps the sound of the open lure worked out, and played while it is asked for: at the present retrieve, whatever that becomes. */
export function SoundKeeper({ build }: { readonly build: Build }) {
  const { water, outfit, retrieve, fish, soundVolume } = useDesk((state) => state.settings);
  const bladeState = useDesk((state) => state.bladeState);
  const learnt = useLearnt(build);
  const { isPlaying, manner, bottom, hours, alone, without, against, side, isMatched } = useSound(
    useShallow((state) => ({ ...state, now: null, other: null })),
  );
  const speedMps = retrieveSpeed(retrieve);
  const question = useMemo(
    () => ({
      build,
      water,
      outfit,
      bladeState,
      learnt,
      speedMps,
      sound: { manner, bottom, hours, fish },
      alone,
      without,
    }),
    [build, water, outfit, bladeState, learnt, speedMps, manner, bottom, hours, fish, alone, without],
  );
  const otherQuestion = useMemo(
    // What is heard alone of one lure may not be on the other.
    () => (against ? { ...question, build: against.build, learnt: null, alone: null, without: [] } : null),
    [question, against],
  );
  const now = useSteady(useCore(askSound, question));
  const other = useSteady(useCore(askOther, otherQuestion));
  useEffect(() => {
    useSound.setState({ now, other: against ? other : null });
  }, [now, other, against]);

  const player = useRef<LoopPlayer | null>(null);
  useEffect(() => {
    player.current ??= new LoopPlayer();
    return () => {
      player.current?.close();
      player.current = null;
      forgetSound();
    };
  }, []);
  const [nowLoop, otherLoop] = [shownOf(now)?.loop ?? null, (against && shownOf(other)?.loop) ?? null];
  useEffect(() => {
    const playing = player.current;
    if (!playing) return;
    if (!isPlaying) {
      playing.stop();
      return;
    }
    playing.setVolume(soundVolume);
    void playing.play();
    const [a, b] = levelled(nowLoop, otherLoop, isMatched);
    if (a) playing.setLoop('now', a, SAMPLE_RATE_HZ);
    if (b) playing.setLoop('other', b, SAMPLE_RATE_HZ);
  }, [isPlaying, nowLoop, otherLoop, isMatched, soundVolume]);
  const isOtherHeard = side === 'other' && otherLoop !== null;
  useEffect(() => {
    player.current?.hear(isOtherHeard ? 'other' : 'now');
  }, [isOtherHeard, isPlaying]);
  return null;
}

/** The same object while it says the same: what is asked for again and again comes as a new one each time. */
function useSteady<T>(asked: Asked<T>): Asked<T> {
  const { state } = asked;
  const answer = shownOf(asked);
  const reason = asked.state === 'failed' ? asked.reason : '';
  return useMemo(() => {
    if (state === 'failed') return { state, reason };
    return state === 'ready' ? { state, answer: answer as T } : { state, last: answer };
  }, [state, answer, reason]);
}

type Loop = Float32Array<ArrayBuffer>;

/** Both loops from −1 to 1 by one factor, so that one is as much louder as it is; or each as strong as the other. */
function levelled(now: Loop | null, other: Loop | null, isMatched: boolean): readonly [Loop | null, Loop | null] {
  const strength = (loop: Loop | null) => (loop && isMatched ? rms(loop) : 1) || 1;
  const [a, b] = [strength(now), strength(other)];
  const most = Math.max(now ? peakOf(now) / a : 0, other ? peakOf(other) / b : 0) || 1;
  const scaled = (loop: Loop | null, by: number) => loop && loop.map((each) => each / (by * most));
  return [scaled(now, a), scaled(other, b)];
}

function rms(loop: Loop): number {
  return Math.sqrt(loop.reduce((sum, each) => sum + each * each, 0) / loop.length);
}
