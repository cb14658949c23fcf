import { oncePer } from '../core/once';

let given = 0;

/** A number for a thing, the same for as long as it is: what is told to a worker is copied, and known by its number. */
export const numberOf = oncePer<object, number>(() => ++given);
