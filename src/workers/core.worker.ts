/** The core behind a worker's door, for what would hold up the hand. */
import { expose } from 'comlink';
import { weigh } from '../core/lure/weigh';
import { predictSpin } from '../core/predict/spin';
import { stallSpeeds } from '../core/predict/stalls';

const coreWorker = { predictSpin, stallSpeeds, weigh };

export type CoreWorker = typeof coreWorker;

expose(coreWorker);
