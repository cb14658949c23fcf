/** What is said of each kind of part. */
import type { KINDS, PartKind } from '../core/parts/part';
import type { UnitSystem } from '../core/units/write';

export interface Measure {
  readonly name: string;
  readonly text: string;
}

/** Measures of one part in the units of a system. */
export interface Say {
  readonly length: (name: string, lengthM: number) => Measure;
  readonly text: (name: string, words: string) => Measure;
  readonly mass: Measure;
}

/** What was done to a piece of a kind, in a few words; empty when nothing was. Only kinds to which something is done have it. */
export type StateWords<S> = [S] extends [null] ? unknown : { readonly state: (state: S) => string };

export type StateOfKind<K extends PartKind> = K extends keyof typeof KINDS ? (typeof KINDS)[K]['usual'] : never;

export interface KindWords<P> {
  readonly one: string;
  readonly many: string;
  /** Everything measured on it, most telling first, but for its material and finish. */
  readonly measures: (part: P, say: Say, system: UnitSystem) => readonly Measure[];
  /** One short line that tells it from its neighbours in a list. */
  readonly line: (part: P, size: (lengthM: number) => string, system: UnitSystem) => string;
}
