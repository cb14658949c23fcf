/** The lure a newcomer sees first; the rest of the scenario loads behind it. */
import { lureFileSchema } from '../core/files/lure-file';
import type { Lure } from '../core/lure/lure';
import hovnaLantern from './lures/hovna-lantern.json';

export const FIRST_LURE: Lure = lureFileSchema.parse(hovnaLantern).lure;
