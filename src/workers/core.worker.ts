/** The core behind a worker's door, for what would hold up the hand. */
import { expose, transfer } from 'comlink';
import { lightestHead } from '../core/predict/head-finder';
import { moversOf } from '../core/predict/movers';
import { predict } from '../core/predict/predict';
import { retrievePath } from '../core/predict/retrieve-path';
import { predictSpin } from '../core/predict/spin';
import { stallSpeeds } from '../core/predict/stalls';
import { weighing } from '../core/prepared/weigh';
import { atOnce, answerer, bySteps } from './answering';

const jobs = {
  predict: atOnce(predict),
  predictSpin: atOnce(predictSpin),
  stallSpeeds: atOnce(stallSpeeds),
  moversOf: atOnce(moversOf),
  lightestHead: atOnce(lightestHead),
  retrievePath: atOnce(retrievePath),
  weigh: bySteps(weighing),
};

export type CoreJobs = typeof jobs;

expose(answerer(jobs, transfer));
