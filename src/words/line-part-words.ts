/** What is said of line and of what is used on it. */
import type { BaitHang } from '../core/parts/kinds/bait';
import type { PartOf } from '../core/parts/part';
import { showMass, showStrength } from '../core/units/write';
import type { KindWords, StateOfKind, StateWords } from './kind-words';

export const BAIT_HANG_WORDS: Readonly<Record<BaitHang, string>> = {
  threaded: 'threaded head first to the collar, trailing straight',
  throughSide: 'hooked once through its side, the rest trailing',
};

type LineKind = 'line' | 'snap' | 'stop' | 'bait' | 'link';

export const LINE_KIND_WORDS: { readonly [K in LineKind]: KindWords<PartOf<K>> & StateWords<StateOfKind<K>> } = {
  line: {
    one: 'line',
    many: 'lines',
    measures: (part, { length, text }, system) => [
      length('diameter', part.diameterM),
      text('carries', showStrength(part.breakingN, system)),
      text('feel', part.stiffness),
    ],
    line: (part, size, system) => `${size(part.diameterM)}, ${showStrength(part.breakingN, system)}, ${part.stiffness}`,
  },
  snap: {
    one: 'snap',
    many: 'snaps',
    measures: (part, { length, mass }) => [
      length('length', part.lengthM),
      length('wire', part.wireDiameterM),
      length('eye', part.eyeInnerDiameterM),
      mass,
    ],
    line: (part, size) => `${size(part.lengthM)}, wire ${size(part.wireDiameterM)}`,
  },
  stop: {
    one: 'stop',
    many: 'stops',
    measures: (part, { length, text, mass }, system) => [
      length('length', part.lengthM),
      length('diameter', part.diameterM),
      text('slips at', showStrength(part.gripN, system)),
      mass,
    ],
    line: (part, size, system) =>
      `${size(part.diameterM)} × ${size(part.lengthM)}, slips at ${showStrength(part.gripN, system)}`,
    // Where it stands is told with its lengths.
    state: () => '',
  },
  bait: {
    one: 'bait',
    many: 'baits',
    measures: (part, { length, mass }) => [length('length', part.lengthM), length('thickness', part.bodyM), mass],
    line: (part, size, system) => `${size(part.lengthM)} × ${size(part.bodyM)}, ${showMass(part.massKg, system)}`,
    state: ({ hangs }) => (hangs === 'throughSide' ? 'hooked once through its side' : ''),
  },
  link: {
    one: 'link',
    many: 'links',
    measures: (part, { length, text }, system) => [
      length('diameter', part.diameterM),
      text('carries', showStrength(part.breakingN, system)),
    ],
    line: (part, size, system) => `${size(part.diameterM)}, ${showStrength(part.breakingN, system)}`,
    state: () => '',
  },
};
