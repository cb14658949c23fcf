import { oncePer } from '../once';
import { roomOf, type Part } from './part';

/** Plan area of whatever turns, all its lobes, m²; 0 of any other part. */
export const bladeArea = oncePer((part: Part): number => roomOf(part).turningM2(part));
