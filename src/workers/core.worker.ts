/** The core behind a worker's door, for what would hold up the hand. */
import { expose } from 'comlink';
import { predict } from '../core/predict';

const coreWorker = { predict };
export type CoreWorker = typeof coreWorker;

expose(coreWorker);
