/** The core behind a worker's door, for what would hold up the hand. */
import { expose } from 'comlink';
import { weigh } from '../core/lure/weigh';
import { lightestHead } from '../core/predict/head-finder';
import { moversOf } from '../core/predict/movers';
import { predict } from '../core/predict/predict';
import { retrievePath } from '../core/predict/retrieve-path';
import { predictSpin } from '../core/predict/spin';
import { stallSpeeds } from '../core/predict/stalls';

const coreWorker = { predict, predictSpin, stallSpeeds, weigh, moversOf, lightestHead, retrievePath };

export type CoreWorker = typeof coreWorker;

expose(coreWorker);
