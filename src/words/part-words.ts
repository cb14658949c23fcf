/** Names and measures of parts, as sentences and lists for people. A kind that is missing here is a type error. */
import { PATTERNS } from '../core/parts/blade-pattern';
import type { BoredPart } from '../core/parts/bored';
import { MATERIALS } from '../core/parts/material';
import type { RivetFixing } from '../core/parts/kinds/rivet';
import type { SwivelCondition } from '../core/parts/kinds/swivel';
import type { Item } from '../core/lure/lure';
import type { ItemState, Part, PartKind, PartOf } from '../core/parts/part';
import { degrees } from './angle-words';
import { showLength, showMass, type UnitSystem } from '../core/units/write';
import type { KindWords, Measure, Say, StateOfKind, StateWords } from './kind-words';
import { LINE_KIND_WORDS } from './line-part-words';
import { BODY_KIND_WORDS } from './body-part-words';

/** `French blade #2, Odmar & Daughter`. */
export function partTitle(part: Part): string {
  const label = part.label === null ? '' : ` ${part.label}`;
  return `${part.name}${label}`;
}

/** `copper front, black back`, or the one finish. */
export function finishWords(part: Part): string {
  return part.kind === 'blade' && part.backFinish.name !== part.finish.name
    ? `${part.finish.name}, ${part.backFinish.name} inside`
    : part.finish.name;
}

export const CONDITION_WORDS: Readonly<Record<SwivelCondition, string>> = {
  free: 'turns freely',
  gritty: 'gritty',
  rusty: 'rusty',
};
export const FIXING_WORDS: Readonly<Record<RivetFixing, string>> = {
  free: 'free to spin',
  crimped: 'crimped on the wire',
  upset: 'crimped, upset and filed',
};

const TURNED: Pick<KindWords<Extract<BoredPart, { readonly diameterM: number }>>, 'measures' | 'line'> = {
  measures: (part, { length, mass }) => [
    length('length', part.lengthM),
    length('diameter', part.diameterM),
    length('bore', part.boreM),
    mass,
  ],
  line: (part, size, system) =>
    `${size(part.diameterM)} × ${size(part.lengthM)}, ${finishWords(part)}, ${showMass(part.massKg, system)}`,
};

const WORDS: { readonly [K in PartKind]: KindWords<PartOf<K>> & StateWords<StateOfKind<K>> } = {
  wire: {
    one: 'wire',
    many: 'wires',
    measures: (part, { length }) => [length('diameter', part.diameterM), length('stock length', part.stockLengthM)],
    line: (part, size) => size(part.diameterM),
  },
  ...LINE_KIND_WORDS,
  ...BODY_KIND_WORDS,
  clevis: {
    one: 'clevis',
    many: 'clevises',
    measures: (part, { length, mass }) => [
      length('bore', part.boreM),
      length('drop', part.dropM),
      length('between legs', part.legGapM),
      length('lobe', part.lobeThicknessM),
      mass,
    ],
    line: (part, size) => `bore ${size(part.boreM)}, drop ${size(part.dropM)}`,
  },
  blade: {
    one: 'blade',
    many: 'blades',
    measures: (part, { length, text, mass }) => [
      text('pattern', PATTERNS[part.pattern].name),
      length('length', part.lengthM),
      length('width', part.widthM),
      length('thickness', part.thicknessM),
      length('cup depth', part.cupDepthM),
      length('hole', part.holeDiameterM),
      mass,
      text('face', part.texture),
    ],
    line: (part, size) => `${size(part.lengthM)} × ${size(part.widthM)}, ${finishWords(part)}`,
  },
  filmBlade: {
    one: 'film blade',
    many: 'film blades',
    measures: (part, { length, mass }) => [
      length('tip to tip', part.spanM),
      length('width', part.widthM),
      length('thickness', part.thicknessM),
      length('bore', part.boreM),
      mass,
    ],
    line: (part, size) => `${size(part.spanM)} × ${size(part.widthM)}, ${finishWords(part)}`,
    state: ({ foldRad }) => (foldRad > 0 ? `folded ${degrees(foldRad)}` : ''),
  },
  bead: { ...TURNED, one: 'bead', many: 'beads' },
  sleeve: {
    ...TURNED,
    one: 'sleeve',
    many: 'sleeves',
    state: ({ slidUp }) => (slidUp ? 'slid up over the end' : ''),
  },
  bell: {
    one: 'bell',
    many: 'bells',
    measures: (part, { length, mass }) => [
      length('length', part.lengthM),
      length('mouth', part.mouthDiameterM),
      length('bore', part.boreM),
      mass,
    ],
    line: (part, size) => `${size(part.lengthM)} × ${size(part.mouthDiameterM)}, ${finishWords(part)}`,
  },
  striker: { ...TURNED, one: 'striker', many: 'strikers' },
  cap: { ...TURNED, one: 'cap', many: 'caps' },
  weight: { ...TURNED, one: 'weight', many: 'weights' },
  dressing: {
    one: 'dressing',
    many: 'dressings',
    measures: (part, { length, mass }) => [
      length('fibre length', part.fibreLengthM),
      length('bulk', part.bulkM),
      length('thread band', part.bandLengthM),
      mass,
    ],
    line: (part, size) => `${size(part.fibreLengthM)}, ${finishWords(part)}`,
  },
  splitRing: {
    one: 'split ring',
    many: 'split rings',
    measures: (part, { length, mass }) => [
      length('outside', part.outerDiameterM),
      length('wire', part.wireDiameterM),
      mass,
    ],
    line: (part, size) => `${size(part.outerDiameterM)}, wire ${size(part.wireDiameterM)}`,
  },
  hook: {
    one: 'hook',
    many: 'hooks',
    measures: (part, { length, text, mass }) => [
      length('length', part.lengthM),
      length('gap', part.gapM),
      length('wire', part.wireDiameterM),
      length('eye', part.eyeInnerDiameterM),
      text('points', part.points === 3 ? 'three' : 'one'),
      text('barb', part.barb ? 'barbed' : 'none'),
      text('eye form', part.eye),
      mass,
    ],
    line: (part, size) => `gap ${size(part.gapM)}, ${part.barb ? 'barbed' : 'barbless'}, ${finishWords(part)}`,
    state: ({ pinched }) => (pinched ? 'barb pinched' : ''),
  },
  shrinkTube: {
    one: 'shrink tube',
    many: 'shrink tubes',
    measures: (part, { length }) => [
      length('bore as sold', part.suppliedBoreM),
      length('bore shrunk', part.recoveredBoreM),
      length('wall', part.suppliedWallM),
    ],
    line: (part, size) => `${size(part.suppliedBoreM)} shrinking to ${size(part.recoveredBoreM)}, ${finishWords(part)}`,
    state: () => '',
  },
  head: {
    one: 'head',
    many: 'heads',
    measures: (part, { length, text, mass }) => [
      length('length', part.lengthM),
      length('height', part.heightM),
      length('width', part.widthM),
      length('collar', part.collarDiameterM),
      text('shape', part.shape),
      mass,
    ],
    line: (part, size, system) =>
      `${size(part.lengthM)} × ${size(part.heightM)}, ${MATERIALS[part.material].name}, ${finishWords(part)}, ${showMass(part.massKg, system)}`,
  },
  swivel: {
    one: 'swivel',
    many: 'swivels',
    measures: (part, { length, mass }) => [
      length('length', part.lengthM),
      length('barrel', part.barrelDiameterM),
      length('eye', part.eyeInnerDiameterM),
      length('eye wire', part.eyeWireM),
      mass,
    ],
    line: (part, size) => `${size(part.lengthM)}, eye ${size(part.eyeInnerDiameterM)}`,
    state: ({ condition }) => (condition === 'free' ? '' : CONDITION_WORDS[condition]),
  },
  deltaBlade: {
    one: 'delta blade',
    many: 'delta blades',
    measures: (part, { length, text, mass }) => [
      text('lobes', String(part.lobes)),
      text('hand', part.hand),
      length('tip to tip', part.spanM),
      length('along the wire', part.lengthM),
      length('thickness', part.thicknessM),
      length('bore', part.boreM),
      mass,
    ],
    line: (part, size) => `${size(part.spanM)}, ${part.hand}-handed, ${finishWords(part)}`,
    state: ({ clacks }) => (clacks ? 'ticks on the head' : ''),
  },
  rivet: {
    one: 'rivet',
    many: 'rivets',
    measures: (part, { length, mass }) => [
      length('length', part.lengthM),
      length('flange', part.flangeDiameterM),
      length('bore', part.boreM),
      mass,
    ],
    line: (part, size) => `${size(part.lengthM)}, bore ${size(part.boreM)}, ${MATERIALS[part.material].name}`,
    state: ({ fixing }) => (fixing === 'free' ? '' : FIXING_WORDS[fixing]),
  },
  skirt: {
    one: 'skirt',
    many: 'skirts',
    measures: (part, { length, text, mass }) => [
      length('bore', part.boreM),
      length('band', part.collarDiameterM),
      ...(part.strands
        ? [text('strands', String(part.strands.count)), length('strand length', part.strands.lengthM)]
        : []),
      mass,
    ],
    line: (part, size) => `bore ${size(part.boreM)}, ${finishWords(part)}`,
    state: ({ tips }) => (tips === 'thinned' ? 'tips thinned' : ''),
  },
  skirtLayer: {
    one: 'skirt strip',
    many: 'skirt strips',
    measures: (part, { length, text, mass }) => [
      text('strands', String(part.strands)),
      length('strip length', part.lengthM),
      length('strand width', part.strandWidthM),
      mass,
    ],
    line: (part, size) => `${part.strands} strands of ${size(part.lengthM)}, ${finishWords(part)}`,
  },
  trailer: {
    one: 'trailer',
    many: 'trailers',
    measures: (part, { length, text, mass }) => [
      length('length', part.lengthM),
      length('body', part.bodyM),
      length('kicks from', part.kicksFromM),
      text('head', part.head),
      mass,
    ],
    line: (part, size, system) => `${size(part.lengthM)}, ${finishWords(part)}, ${showMass(part.massKg, system)}`,
    state: ({ cutM, rounded }) => [cutM > 0 ? 'cut short' : '', rounded ? 'rounded' : ''].filter(Boolean).join(', '),
  },
  keeper: {
    one: 'keeper',
    many: 'keepers',
    measures: (part, { length, mass }) => [length('leg', part.legM), length('wire', part.wireDiameterM), mass],
    line: (part, size) => `wire ${size(part.wireDiameterM)}, leg ${size(part.legM)}`,
  },
  hookDisc: {
    one: 'hook disc',
    many: 'hook discs',
    measures: (part, { length, mass }) => [
      length('diameter', part.diameterM),
      length('thickness', part.thicknessM),
      mass,
    ],
    line: (part, size) => `${size(part.diameterM)} across, ${finishWords(part)}`,
  },
  softWire: {
    one: 'soft wire',
    many: 'soft wires',
    measures: (part, { length }) => [length('diameter', part.diameterM), length('stock length', part.stockLengthM)],
    line: (part, size) => `${size(part.diameterM)}, ${finishWords(part)}`,
    state: ({ turns }) => `${turns} ${turns === 1 ? 'turn' : 'turns'}`,
  },
  body: {
    one: 'body',
    many: 'bodies',
    measures: (part, { length, mass }) => [
      length('eye to eye', part.lengthM),
      length('metal', part.metalLengthM),
      length('diameter', part.diameterM),
      length('eye', part.eyeInnerDiameterM),
      mass,
    ],
    line: (part, size, system) =>
      `${size(part.metalLengthM)} × ${size(part.diameterM)}, ${finishWords(part)}, ${showMass(part.massKg, system)}`,
  },
  frame: {
    one: 'frame',
    many: 'frames',
    measures: (part, { length, text, mass }, system) => [
      length('wire', part.wire.diameterM),
      text('head', part.head.name),
      text('head mass', showMass(part.head.massKg, system)),
      text('hook', part.hook.label ?? part.hook.name),
      mass,
    ],
    line: (part, size) =>
      `wire ${size(part.wire.diameterM)}, ${partTitle(part.head).toLowerCase()}, hook ${part.hook.label ?? ''}`,
  },
};

/** Of one part, and of several. */
export const KIND_WORDS: Readonly<Record<PartKind, { readonly one: string; readonly many: string }>> = WORDS;

type AnyKindWords<P> = KindWords<P> & { readonly state?: (state: ItemState) => string };

function wordsOf<P extends Part>({ kind }: P): AnyKindWords<P> {
  // Words of a kind take the parts and states of that kind, and this part is of its kind.
  return WORDS[kind] as unknown as AnyKindWords<P>;
}

/** What was done to a piece, in a few words; empty when nothing was. */
export function stateWords({ part, state }: Pick<Item, 'part' | 'state'>): string {
  return state ? (wordsOf(part).state?.(state) ?? '') : '';
}

/** Everything measured on a part, most telling first. */
export function partMeasures(part: Part, system: UnitSystem): readonly Measure[] {
  const text = (name: string, words: string): Measure => ({ name, text: words });
  const say: Say = {
    length: (name, lengthM) => ({ name, text: showLength(lengthM, system) }),
    text,
    mass: text('mass', showMass(part.massKg, system)),
  };
  return [
    ...wordsOf(part).measures(part, say, system),
    text('material', MATERIALS[part.material].name),
    text('finish', finishWords(part)),
  ];
}

/** One short line that tells a part from its neighbours in a list. */
export function partLine(part: Part, system: UnitSystem): string {
  return wordsOf(part).line(part, (lengthM) => showLength(lengthM, system), system);
}
