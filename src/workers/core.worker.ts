/** The core behind a worker's door, for what would hold up the hand. */
import { expose } from 'comlink';
import { weigh } from '../core/lure/weigh';
import { predict, stallSpeeds } from '../core/predict';

const coreWorker = { predict, stallSpeeds, weigh };

export type CoreWorker = typeof coreWorker;

expose(coreWorker);
