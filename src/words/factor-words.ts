/** What a prediction does not know, in words. */
import { itemOf, type Build } from '../core/lure/lure';
import type { SharedKey } from '../core/predict/factors';
import type { SoundFactor } from '../core/predict/sound';
import type { SoundKey } from '../core/sound/motion';
import { partTitle } from './part-words';

const FACTOR_WORDS: Readonly<Record<SharedKey, string>> = {
  mass: 'what the parts really weigh',
  hardDrag: 'drag of head, beads and hooks',
  softDrag: 'drag of skirt, trailer and dressing',
  wireDrag: 'drag of the wire',
  flutter: 'drag of a blade that hangs still',
  lift: 'lift of head and body',
  lineDrag: 'drag of the line',
  armStiffness: 'stiffness of the arm',
  carriedWater: 'water the blades carry along',
  armDamping: 'damping of the arm',
  fling: 'what fling is left over after the push of the water',
  moment: 'how far out the blade pulls',
  towardsStream: 'which way the blade pulls',
  carries: 'how much of its weight the blade carries',
  kick: 'how hard the blade kicks',
  rub: 'rub of the bearings',
  flapping: 'how freely its blade flaps',
  turnsWhich: 'which way its blade turns',
  sideways: 'how much a surface blade paddles aside',
  planing: 'lift at the surface',
  fall: 'how it lies as it falls',
  wobbleRate: 'how often its body sheds its wake',
  wobbleDrive: 'how hard its wake swings it',
};
const SOUND_FACTOR_WORDS: Readonly<Record<SoundKey, string>> = {
  approach: 'how fast the pieces come together',
  roundness: 'how round they are where they strike',
  ring: 'how much of its ring a plate gives off',
  loss: 'how fast a ring dies away',
  slip: 'how hard it slips',
  flow: 'roar of the water',
};
const BLADE_FACTOR_WORDS = {
  setAngleRad: 'set',
  flapFactor: 'flap',
  edgeDrag: 'edge drag',
} as const;

/** `Least known: edge drag and flap of the blade; drag of the line.` */
export function unsureWords(factors: readonly SoundFactor[], build: Build): string {
  const isOne = new Set(factors.flatMap((factor) => (factor.of === 'blade' ? [factor.station] : []))).size < 2;
  const words = factors.map((factor) => {
    if (factor.of === 'shared') return FACTOR_WORDS[factor.key];
    if (factor.of === 'sound') return SOUND_FACTOR_WORDS[factor.key];
    return `${BLADE_FACTOR_WORDS[factor.key]} of the ${isOne ? 'blade' : partTitle(itemOf(build, factor.station).part)}`;
  });
  return words.length === 0 ? '' : `Least known: ${words.join('; ')}.`;
}
