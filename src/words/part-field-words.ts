/** What can be set of a part, in words, and why a copy of it cannot be as it was written. */
import { MATERIALS } from '../core/parts/material';
import { PATTERNS } from '../core/parts/blade-pattern';
import type { MeasureFault } from '../core/parts/measure-faults';
import type { Copied, PartField, PartFieldKey } from '../core/parts/part-fields';
import type { Part } from '../core/parts/part';
import { showLength, type UnitSystem } from '../core/units/write';
import { capital } from './capital';
import { MEASURE_WORDS } from './measure-words';

const WORDS: Readonly<Record<PartFieldKey, string>> = {
  massKg: 'mass',
  material: 'material',
  finish: 'finish',
  backFinish: 'hollow side',
  diameterM: 'diameter',
  stockLengthM: 'sold in lengths of',
  style: 'style',
  legThicknessM: 'leg thickness',
  legGapM: 'between the legs',
  boreM: 'hole',
  dropM: 'drop',
  lobeThicknessM: 'thickness in the blade’s hole',
  pattern: 'pattern',
  lengthM: 'length',
  widthM: 'width',
  thicknessM: 'thickness',
  cupDepthM: 'depth of the hollow',
  holeOffsetM: 'root to middle of the hole',
  holeDiameterM: 'hole',
  texture: 'face',
  spanM: 'tip to tip',
  shape: 'shape',
  wallM: 'wall',
  neckDiameterM: 'neck',
  mouthDiameterM: 'mouth',
  nestDepthM: 'depth of its nest',
  bandLengthM: 'thread band',
  fibreLengthM: 'fibre length',
  bulkM: 'bulk',
  coreM: 'core',
  outerDiameterM: 'outside',
  wireDiameterM: 'wire',
  points: 'points',
  gapM: 'gap',
  eyeInnerDiameterM: 'eye, inside',
  eye: 'eye',
  barb: 'barbed',
  suppliedBoreM: 'hole as sold',
  recoveredBoreM: 'hole when shrunk',
  suppliedWallM: 'wall as sold',
  lengthwiseShrink: 'shrinks in length by this share',
  heightM: 'height',
  collarDiameterM: 'collar',
  collarLengthM: 'collar length',
  wireAtM: 'nose to where the wire goes in',
  hookAtM: 'nose to where the hook comes out',
  barrelDiameterM: 'barrel',
  eyeWireM: 'eye wire',
  lobes: 'lobes',
  hand: 'hand',
  flangeDiameterM: 'flange',
  strands: 'strands',
  strandWidthM: 'strand width',
  strandThicknessM: 'strand thickness',
  bodyM: 'body',
  kicksFromM: 'kicks from',
  head: 'head',
  legM: 'leg',
  standM: 'stands off the shank',
  metalLengthM: 'metal',
  breakingN: 'strength in newtons',
  stiffness: 'feel',
  rolls: 'rolls its bait',
  gripN: 'slips at, in newtons',
  volumeM3: 'water it displaces',
  tieOn: 'line eye on its',
  tieAtM: 'nose to line eye, or along the lip',
  hasTailEye: 'eye at the tail',
  lipLengthM: 'lip, length',
  lipWidthM: 'lip, width',
  lipDownRad: 'lip below straight ahead, in radians',
  threadLengthM: 'in the body',
};

/** `Hole`: what a field is called. */
export function partFieldWords({ key }: Pick<PartField, 'key'>): string {
  return capital(WORDS[key]);
}

/** One of several that a field can be, in words. */
export function choiceWords(key: PartFieldKey, value: string | number): string {
  if (key === 'material' && value in MATERIALS) return MATERIALS[value as keyof typeof MATERIALS].name;
  if (key === 'pattern' && value in PATTERNS) return PATTERNS[value as keyof typeof PATTERNS].name;
  // Codes of two words are written as one: `onePiece`.
  return String(value).replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** What would be right. */
export function copyProblemWords({ problem }: Extract<Copied, { ok: false }>, part: Part, system: UnitSystem): string {
  switch (problem.code) {
    case 'notPossible': {
      return outsideWords(problem.key, part.kind === 'wire' ? 'wire' : 'part');
    }
    case 'cannotStandTogether': {
      return faultWords(problem.fault, system);
    }
  }
}

/** A measure that no part has. @param key of the part's schema */
export function outsideWords(key: string, of: 'part' | 'wire' | 'body'): string {
  const name = WORDS[key as PartFieldKey] ?? key;
  return `${capital(name)}: no ${of} has such a one. A measure taken with a caliper or a scale would be right.`;
}

/** Two measures that cannot stand together, and what would be right. */
export function faultWords({ less, lessM, than, thanM }: MeasureFault, system: UnitSystem): string {
  return `${capital(MEASURE_WORDS[less])} of ${showLength(lessM, system)} and ${MEASURE_WORDS[than]} of ${showLength(thanM, system)} cannot stand together: ${MEASURE_WORDS[less]} has to be smaller. Measure both again.`;
}
