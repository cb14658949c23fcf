/** What is said of bodies, of what is screwed into them, and of nail weights. */
import type { BodyShape } from '../core/parts/body-form';
import type { PartOf } from '../core/parts/part';
import { showLength, showMass } from '../core/units/write';
import { degrees } from './angle-words';
import type { KindWords, StateOfKind, StateWords } from './kind-words';

export const BODY_SHAPE_WORDS: Readonly<Record<BodyShape, string>> = {
  diver: 'diver',
  minnow: 'minnow',
  lipless: 'lipless bait',
  popper: 'popper',
  walker: 'walker',
  swimmer: 'swimmer',
  spoon: 'spoon',
  bladeBait: 'blade bait',
};

type BodyKind = 'lureBody' | 'screwEye' | 'nailWeight';

/** Of fresh water at 20 °C, kg/m³: what a body says of itself before any water is set. */
const FRESH_KG_M3 = 998;

/** `floats`, `hovers` or `sinks`, bare, in fresh water. */
function bareWords({ massKg, volumeM3 }: PartOf<'lureBody'>): string {
  const share = massKg / (FRESH_KG_M3 * volumeM3) - 1;
  if (Math.abs(share) < 0.01) return 'hovers bare';
  return share < 0 ? 'floats bare' : 'sinks bare';
}

export const BODY_KIND_WORDS: { readonly [K in BodyKind]: KindWords<PartOf<K>> & StateWords<StateOfKind<K>> } = {
  lureBody: {
    one: 'body',
    many: 'bodies',
    measures: (part, { length, text, mass }, system) => [
      text('shape', BODY_SHAPE_WORDS[part.shape]),
      length('length', part.lengthM),
      length('height', part.heightM),
      length('width', part.widthM),
      mass,
      text('displaces', `${(part.volumeM3 * 1e6).toFixed(1)} ml, ${bareWords(part)}`),
      text('eyes', `${showLength(part.eyeInnerDiameterM, system)} inside`),
      ...(part.lipLengthM > 0
        ? [
            text('lip', `${showLength(part.lipLengthM, system)} × ${showLength(part.lipWidthM, system)}`),
            text('lip stands', `${degrees(part.lipDownRad)} below straight ahead`),
          ]
        : [text('lip', 'none')]),
    ],
    line: (part, size, system) =>
      `${BODY_SHAPE_WORDS[part.shape]}, ${size(part.lengthM)}, ${showMass(part.massKg, system)}, ${bareWords(part)}`,
  },
  screwEye: {
    one: 'hanger',
    many: 'hangers',
    measures: (part, { length, text, mass }) => [
      text('made', part.style === 'screw' ? 'an eye on a screw' : 'moulded into its body'),
      length('eye, inside', part.eyeInnerDiameterM),
      length('wire', part.wireDiameterM),
      length('in the body', part.threadLengthM),
      ...(part.style === 'screw' ? [mass] : []),
    ],
    line: (part, size) => `eye ${size(part.eyeInnerDiameterM)}, wire ${size(part.wireDiameterM)}`,
  },
  nailWeight: {
    one: 'nail weight',
    many: 'nail weights',
    measures: (part, { length, mass }) => [length('length', part.lengthM), length('diameter', part.diameterM), mass],
    line: (part, size, system) => `${showMass(part.massKg, system)}, ${size(part.diameterM)} × ${size(part.lengthM)}`,
    state: ({ outM, leanRad, clippedM }) =>
      [
        outM > 0 ? `stands ${mm(outM)} proud` : 'all of it in the body',
        ...(Math.abs(leanRad) > LEANS_RAD ? [`leans ${degrees(leanRad)}`] : []),
        ...(clippedM > 0 ? [`${mm(clippedM)} clipped off`] : []),
      ].join(', '),
  },
};

/** From here on a nail does not stand upright, rad. */
const LEANS_RAD = 0.09;

function mm(lengthM: number): string {
  return `${(lengthM * 1000).toFixed(1)} mm`;
}
