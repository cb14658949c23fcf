/** The core behind a worker's door, for what would hold up the hand. */
import { expose, transfer } from 'comlink';
import type { FindingsContext } from '../core/judgement/findings';
import { mendings } from '../core/judgement/mending';
import type { Lure } from '../core/lure/lure';
import { CATALOGUE } from '../core/parts/catalogue';
import type { Part } from '../core/parts/part';
import { lightestHead } from '../core/predict/head-finder';
import { compare } from '../core/predict/compare';
import { moversOf } from '../core/predict/movers';
import { predict } from '../core/predict/predict';
import { retrievePath } from '../core/predict/retrieve-path';
import { learnFrom } from '../core/predict/readings';
import { predictSpin } from '../core/predict/spin';
import { stallSpeeds } from '../core/predict/stalls';
import { weighing } from '../core/prepared/weigh';
import { atOnce, answerer, bySteps } from './answering';

const jobs = {
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
