/** The core behind a worker's door, for what would hold up the hand. */
import { expose, transfer } from 'comlink';
import type { FindingsContext } from '../core/judgement/findings';
import { mendings } from '../core/judgement/mending';
import { waterViscosity, type Water } from '../core/hydro/water';
import type { Build, Lure } from '../core/lure/lure';
import { CATALOGUE } from '../core/parts/catalogue';
import type { Part } from '../core/parts/part';
import { lightestHead } from '../core/predict/head-finder';
import { compare } from '../core/predict/compare';
import { moversOf } from '../core/predict/movers';
import { predict, type Asked } from '../core/predict/predict';
import { retrievePath } from '../core/predict/retrieve-path';
import { lureInWater } from '../core/predict/lure-in-water';
import { learnFrom } from '../core/predict/readings';
import { soundAsBelieved, type SoundAsked } from '../core/predict/sound';
import { predictSpin } from '../core/predict/spin';
import { stallSpeeds } from '../core/predict/stalls';
import { peakOf, renderLoop, rmsOf, type RenderAsked } from '../core/sound/render';
import { followScript } from '../core/predict/retrieve-script';
import { cardOf } from '../core/tune/card';
import { promiseOf } from '../core/tune/promise';
import { ranking, type RankAsked } from '../core/tune/rank';
import { MovesTried, trying } from '../core/tune/tried';
import { weighing } from '../core/prepared/weigh';
import { atOnce, answerer, bySteps } from './answering';

/** What is heard of a lure at a speed, as a loop of samples, Pa, with its peak and strength; without a sample where nothing can be said. */
function soundLoop(build: Build, water: Water, speedMps: number, asked: SoundLoopAsked, how: RenderAsked) {
  const inWater = lureInWater(build, water, asked.outfit, asked.state);
  const heard = soundAsBelieved(inWater, waterViscosity(water), speedMps, asked.sound, asked.learnt);
  const loop = heard ? renderLoop(heard, how) : new Float32Array(0);
  return { loop, peak: peakOf(loop), rms: rmsOf(loop) };
}

type SoundLoopAsked = Required<Asked> & { readonly sound: SoundAsked };

/** The moves of the lure last asked about, as tried so far: this worker's own, for as long as the lure and its setting stay. */
let lastTried: { readonly of: string; readonly moves: MovesTried } | null = null;

function triedSoFar({ lure, setting }: MovesAsked, own: readonly Part[]): MovesTried {
  const of = JSON.stringify([lure.build, setting, own]);
  if (lastTried?.of !== of) lastTried = { of, moves: new MovesTried(lure, setting, { own, catalogue: CATALOGUE }) };
  return lastTried.moves;
}

type MovesAsked = Pick<RankAsked, 'lure' | 'setting'>;

const jobs = {
  soundLoop: atOnce(soundLoop),
  predict: atOnce(predict),
  predictSpin: atOnce(predictSpin),
  stallSpeeds: atOnce(stallSpeeds),
  moversOf: atOnce(moversOf),
  compare: atOnce(compare),
  learnFrom: atOnce(learnFrom),
  lightestHead: atOnce(lightestHead),
  retrievePath: atOnce(retrievePath),
  weigh: bySteps(weighing),
  cardOf: atOnce(cardOf),
  followScript: atOnce(followScript),
  promiseOf: atOnce(promiseOf),
  tryMoves: bySteps((asked: MovesAsked, ownParts: readonly Part[]) => trying(triedSoFar(asked, ownParts))),
  ranking: bySteps((asked: Omit<RankAsked, 'parts' | 'tried'>, ownParts: readonly Part[]) =>
    ranking({
      ...asked,
      parts: { own: ownParts, catalogue: CATALOGUE },
      tried: triedSoFar(asked, ownParts),
    }),
  ),
  mendings: atOnce((lure: Lure, context: FindingsContext, ownParts: readonly Part[]) =>
    mendings(lure, context, [...ownParts, ...CATALOGUE]),
  ),
};

export type CoreJobs = typeof jobs;

expose(answerer(jobs, transfer));
