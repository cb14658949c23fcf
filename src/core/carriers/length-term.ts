/** The terms a length to cut is made up of, and those of the ends of a wire. */
import { wireInEnd } from '../parts/formed-wire';
import { knotAllowance, loopAllowance } from '../parts/knots';
import { turnsAllowance, wrapsAllowance } from '../parts/turns';
import type { WireEnd } from '../parts/wire-form';

export type LengthTerm =
  | {
      readonly code: 'loop';
      readonly end: 'nose' | 'tail';
      readonly insideDiameterM: number;
      readonly lengthM: number;
    }
  | { readonly code: 'wraps'; readonly end: 'nose' | 'tail'; readonly wraps: number; readonly lengthM: number }
  | { readonly code: 'underWraps'; readonly end: 'nose' | 'tail'; readonly lengthM: number }
  | { readonly code: 'tag'; readonly end: 'nose' | 'tail'; readonly lengthM: number }
  /** Of a line: from where it bears at its nose to its end, knots and loops among it. */
  | { readonly code: 'finished'; readonly lengthM: number }
  | { readonly code: 'knot'; readonly end: 'nose' | 'tail'; readonly turns: number; readonly lengthM: number }
  | { readonly code: 'tiedLoop'; readonly end: 'nose' | 'tail'; readonly insideM: number; readonly lengthM: number }
  /** Wraps about the shank of a hook. */
  | { readonly code: 'snell'; readonly wraps: number; readonly shankM: number; readonly lengthM: number }
  /** Kept for a knot that is spoilt. */
  | { readonly code: 'spare'; readonly lengthM: number }
  | { readonly code: 'stack'; readonly lengthM: number }
  | { readonly code: 'freeRoom'; readonly lengthM: number }
  /** Cast into the head. */
  | { readonly code: 'inHead'; readonly lengthM: number }
  | { readonly code: 'straight'; readonly lengthM: number }
  | { readonly code: 'bend'; readonly angleRad: number; readonly insideRadiusM: number; readonly lengthM: number }
  | { readonly code: 'coil'; readonly turns: number; readonly insideDiameterM: number; readonly lengthM: number }
  | { readonly code: 'arm'; readonly lengthM: number }
  | { readonly code: 'turnedDown'; readonly lengthM: number }
  | { readonly code: 'spacer'; readonly lengthM: number }
  | { readonly code: 'strip'; readonly strands: number; readonly lengthM: number }
  | { readonly code: 'keeper'; readonly lengthM: number }
  | { readonly code: 'lockTurns'; readonly turns: number; readonly lengthM: number }
  | { readonly code: 'lockTwist'; readonly lengthM: number }
  | { readonly code: 'overWraps'; readonly lengthM: number }
  | { readonly code: 'overLoop'; readonly lengthM: number }
  | { readonly code: 'overRingAndEye'; readonly lengthM: number }
  | { readonly code: 'lengthwiseShrink'; readonly share: number; readonly lengthM: number };

/** What an end of a wire takes beside its run, m. */
export function endTerms(end: 'nose' | 'tail', form: WireEnd, wireM: number): LengthTerm[] {
  switch (form.form) {
    case 'plain':
      return [];
    case 'bentOver':
      return [{ code: 'turnedDown', lengthM: form.lengthM }];
    case 'bentLoop':
      return [{ code: 'loop', end, insideDiameterM: form.insideDiameterM, lengthM: wireInEnd(form, wireM) }];
    case 'wrappedLoop': {
      const { insideDiameterM, turns, wraps, tagM } = form;
      return [
        { code: 'loop', end, insideDiameterM, lengthM: turnsAllowance(insideDiameterM, turns, wireM) },
        { code: 'wraps', end, wraps, lengthM: wrapsAllowance(wraps, wireM) },
        { code: 'underWraps', end, lengthM: wraps * wireM },
        { code: 'tag', end, lengthM: tagM },
      ];
    }
    case 'knot':
      return [
        { code: 'knot', end, turns: form.turns, lengthM: knotAllowance(form, wireM) },
        { code: 'tag', end, lengthM: form.tagM },
      ];
    case 'tiedLoop':
      return [
        { code: 'tiedLoop', end, insideM: form.insideM, lengthM: loopAllowance(form, wireM) },
        { code: 'tag', end, lengthM: form.tagM },
      ];
  }
}
