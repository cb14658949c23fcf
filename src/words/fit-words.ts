/** Why a part does not go where it is wanted, with the numbers. */
import { never } from '../core/never';
import type { Misfit } from '../core/fits/misfit';
import { showLength, type UnitSystem } from '../core/units/write';

export interface MisfitWords {
  readonly title: string;
  /** The two numbers that do not agree: `hole 1.2 mm, clevis wire 1.4 mm`. */
  readonly figure: string;
  readonly why: string;
}

export function misfitWords(misfit: Misfit, system: UnitSystem): MisfitWords {
  const length = (lengthM: number) => showLength(lengthM, system);
  switch (misfit.code) {
    case 'boreTooTight':
      return {
        title: 'Bore too tight',
        figure: `bore ${length(misfit.boreM)}, ${misfit.what} ${length(misfit.throughM)}`,
        why: 'It cannot slide on. Drill it, or take a thinner wire or another part.',
      };
    case 'boreTooLoose':
      return {
        title: 'Bore too loose',
        figure: `bore ${length(misfit.boreM)}, ${length(misfit.mostM)} at most on ${length(misfit.throughM)}`,
        why: 'It sits crooked on the wire and wears it.',
      };
    case 'holeTooSmall':
      return {
        title: 'Blade hole too small for its clevis',
        figure: `hole ${length(misfit.holeM)}, clevis wire ${length(misfit.lobeM)}`,
        why: 'The blade would bind, or not go on at all.',
      };
    case 'rootMeetsWire':
      return {
        title: 'Blade too large for its clevis',
        figure: `root reaches in ${length(misfit.rootM)} swung out, clevis drop ${length(misfit.dropM)}`,
        why: 'Swung out, the root of the blade meets the wire and holds it. A clevis with more drop clears it.',
      };
    case 'eyeTooSmall':
      return {
        title: 'Eye too small for what passes through it',
        figure: `eye ${length(misfit.eyeM)}, ${length(misfit.ringWiresM)} to pass`,
        why: 'Both turns of a ring pass through an eye; a stinger’s eye goes over point and barb.',
      };
    case 'loopTooSmall':
      return {
        title: 'Loop too small for its ring',
        figure: `loop ${length(misfit.insideM)} inside, two turns of the ring ${length(misfit.ringWiresM)}`,
        why: 'Both turns of the ring pass through the loop.',
      };
    case 'ringTooSmall':
      return {
        title: 'Ring too small for what it joins',
        figure: `${length(misfit.insideM)} inside, ${length(misfit.neededM)} needed`,
        why: 'What it joins would not swing free.',
      };
    case 'ringTooLarge':
      return {
        title: 'Ring too large to hold the tie together',
        figure: `${length(misfit.insideM)} inside, ${length(misfit.mostM)} at most`,
        why: 'It slides about the bend and does not keep it from opening. Ring size follows the wire.',
      };
    case 'bandTooLoose':
      return {
        title: 'Band too loose for the collar',
        figure: `band ${length(misfit.boreM)}, collar ${length(misfit.collarM)}`,
        why: 'It must be stretched to grip.',
      };
    case 'bandTooTight':
      return {
        title: 'Band too tight for the collar',
        figure: `band ${length(misfit.boreM)}, collar ${length(misfit.collarM)}`,
        why: 'Stretched so far it tears. Wet the collar, or take a wider band.',
      };
    case 'noRoomInClevis':
      return {
        title: 'No room inside the clevis',
        figure: `${length(misfit.lengthM)} long, ${length(misfit.roomM)} left`,
        why: 'Legs forced apart bind on the wire.',
      };
    default:
      return never(misfit, 'misfitWords');
  }
}
