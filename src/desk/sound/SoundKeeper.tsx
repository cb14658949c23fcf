'use client';

import { useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { Build } from '@/core/lure/lure';
import type { SoundAsked } from '@/core/predict/sound';
import { SAMPLE_RATE_HZ } from '@/core/sound/render';
import { askCore, askCoreAtOnce } from '@/workers/core-client';
import { useDesk } from '../desk-state';
import { shownOf, useCore, useLearnt, type Asked, type RideQuestion } from '../figures/use-core';
import { shownHistory } from '../shown-lure';
import { retrieveSpeed } from '../speed';
import { LoopPlayer } from './loop-player';
import { forgetSound, useHoursWorkedIn, useSound, type SoundAnswer, type SoundLoop } from './sound-state';

const LOOP_S = 4;
/** The same every time, so that only what is changed sounds otherwise. */
const SEED = 1;

interface SoundQuestion extends RideQuestion {
  readonly sound: SoundAsked;
}

interface LoopQuestion {
  readonly of: SoundQuestion;
  readonly alone: string | null;
  readonly without: readonly string[];
}

interface LoopAnswer extends SoundLoop {
  readonly of: SoundQuestion;
}

const askLoop = async (question: LoopQuestion | null): Promise<LoopAnswer | null> => {
  if (!question) return null;
  const { of, alone, without } = question;
  const { build, water, outfit, bladeState: state, learnt, speedMps, sound } = of;
  const how = { seconds: LOOP_S, seed: SEED, without, ...(alone === null ? {} : { only: [alone] }) };
  const asked = { outfit, state, learnt, sound };
  return { of, ...(await askCoreAtOnce('soundLoop', [build, water, speedMps, asked, how])) };
};

const askSound = async (question: SoundQuestion | null): Promise<SoundAnswer | null> => {
  if (!question) return null;
  const { build, water, outfit, bladeState: state, learnt, speedMps, sound } = question;
  const { sounds } = await askCore('predict', [build, water, [speedMps], { outfit, state, learnt, sound }]);
  const [prediction] = sounds;
  if (!prediction) throw new Error('askSound: a sound was asked for');
  return { build, speedMps, prediction };
};

/**
 * Keeps the sound of the open lure worked out, and played while it is asked for: at the present retrieve, whatever that
 * becomes. It follows the hand itself, before all that stands around the drawing does.
 */
export function SoundKeeper() {
  const build = useDesk((state) => shownHistory(state)?.lure.build);
  return build && <KeeperOf build={build} />;
}

function KeeperOf({ build }: { readonly build: Build }) {
  const { water, outfit, retrieve, fish, soundVolume } = useDesk((state) => state.settings);
  const bladeState = useDesk((state) => state.bladeState);
  const learnt = useLearnt(build);
  const hours = useHoursWorkedIn();
  const { isPlaying, manner, bottom, alone, without, against, side, isMatched } = useSound(
    useShallow((state) => ({ ...state, now: null, other: null, nowLoop: null })),
  );
  const speedMps = retrieveSpeed(retrieve);
  const question = useMemo(
    () => ({ build, water, outfit, bladeState, learnt, speedMps, sound: { manner, bottom, hours, fish } }),
    [build, water, outfit, bladeState, learnt, speedMps, manner, bottom, hours, fish],
  );
  const otherQuestion = useMemo(
    () => (against ? { ...question, build: against.build, learnt: null } : null),
    [question, against],
  );
  const loopQuestion = useMemo(() => ({ of: question, alone, without }), [question, alone, without]);
  const otherLoopQuestion = useMemo(
    // What is heard alone of one lure may not be on the other.
    () => (otherQuestion ? { of: otherQuestion, alone: null, without: [] } : null),
    [otherQuestion],
  );
  const nowLooped = useCore(askLoop, loopQuestion);
  const otherLooped = useCore(askLoop, otherLoopQuestion);
  const nowLoop = shownOf(nowLooped);
  const lastOther = shownOf(otherLooped);
  // What is still shown of another before is not of this one.
  const otherLoop = lastOther?.of.build === against?.build ? lastOther : null;
  // First it is heard, then what is said of it is worked out.
  const saidOfNow = useCore(askSound, nowLoop?.of ?? null);
  const saidOfOther = useCore(askSound, otherLoop?.of ?? null);
  const now = useSteady(nowLooped.state === 'failed' ? nowLooped : saidOfNow);
  const other = useSteady(otherLooped.state === 'failed' ? otherLooped : saidOfOther);
  useEffect(() => {
    useSound.setState({ now, other: against ? other : null, nowLoop });
  }, [now, other, against, nowLoop]);

  const player = useRef<LoopPlayer | null>(null);
  useLayoutEffect(() => {
    player.current ??= new LoopPlayer();
    return () => {
      player.current?.close();
      player.current = null;
      forgetSound();
    };
  }, []);
  const [ofNow, ofOther] = [sounding(nowLoop), sounding(otherLoop)];
  useLayoutEffect(() => {
    const playing = player.current;
    if (!playing) return;
    if (!isPlaying) {
      playing.stop();
      return;
    }
    playing.setVolume(soundVolume);
    void playing.play();
    const [a, b] = levels(ofNow, ofOther, isMatched);
    playing.setLoop('now', ofNow && { samples: ofNow.loop, rateHz: SAMPLE_RATE_HZ, level: a });
    playing.setLoop('other', ofOther && { samples: ofOther.loop, rateHz: SAMPLE_RATE_HZ, level: b });
  }, [isPlaying, ofNow, ofOther, isMatched, soundVolume]);
  const isOtherHeard = side === 'other' && ofOther !== null;
  useLayoutEffect(() => {
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

/** Null of a loop without a sample. */
function sounding(answer: SoundLoop | null): SoundLoop | null {
  return answer && answer.loop.length > 0 ? answer : null;
}

/** What both loops are brought to −1 to 1 by: one factor, so that one is as much louder as it is; or each as strong as the other. */
function levels(now: SoundLoop | null, other: SoundLoop | null, isMatched: boolean): readonly [number, number] {
  const strength = (loop: SoundLoop | null) => (loop && isMatched ? loop.rms : 1) || 1;
  const [a, b] = [strength(now), strength(other)];
  const most = Math.max((now?.peak ?? 0) / a, (other?.peak ?? 0) / b) || 1;
  return [1 / (a * most), 1 / (b * most)];
}
