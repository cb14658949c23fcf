/** The core behind a worker's door, for what would hold up the hand. */
import { expose, transfer } from 'comlink';
import type { FindingsContext } from '../core/judgement/findings';
import { mendings } from '../core/judgement/mending';
import type { Water } from '../core/hydro/water';
import type { Build, Lure } from '../core/lure/lure';
import { CATALOGUE } from '../core/parts/catalogue';
import type { Part } from '../core/parts/part';
import { lightestHead } from '../core/predict/head-finder';
import { compare } from '../core/predict/compare';
import { moversOf } from '../core/predict/movers';
import { predict, type Asked } from '../core/predict/predict';
import { retrievePath } from '../core/predict/retrieve-path';
import { learnFrom } from '../core/predict/readings';
import { predictSpin } from '../core/predict/spin';
import { stallSpeeds } from '../core/predict/stalls';
import { renderLoop, type RenderAsked } from '../core/sound/render';
import { weighing } from '../core/prepared/weigh';
import { atOnce, answerer, bySteps } from './answering';

/** What is heard of a lure at a speed, with its spread, and its loop of samples. */
function hear(build: Build, water: Water, speedMps: number, asked: Asked, how: RenderAsked) {
  const [prediction] = predict(build, water, [speedMps], asked).sounds;
  if (!prediction) throw new Error('hear: no sound was asked for');
  const loop = 'heard' in prediction ? renderLoop(prediction.heard, how) : new Float32Array(0);
  return { prediction, loop };
}

const jobs = {
  hear: atOnce(hear),
  predict: atOnce(predict),
  predictSpin: atOnce(predictSpin),
  stallSpeeds: atOnce(stallSpeeds),
  moversOf: atOnce(moversOf),
  compare: atOnce(compare),
  learnFrom: atOnce(learnFrom),
  lightestHead: atOnce(lightestHead),
  retrievePath: atOnce(retrievePath),
  weigh: bySteps(weighing),
  mendings: atOnce((lure: Lure, context: FindingsContext, ownParts: readonly Part[]) =>
    mendings(lure, context, [...ownParts, ...CATALOGUE]),
  ),
};

export type CoreJobs = typeof jobs;

expose(answerer(jobs, transfer));
