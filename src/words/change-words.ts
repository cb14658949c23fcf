/** What a change was for, in words: beside undo and redo. */
import { CHANGE_CODES, type ChangeCode, type KeptName } from '../core/lure/change-name';
import type { Repair } from '../core/judgement/finding';

const WORDS: Readonly<Record<ChangeCode, string>> = {
  rename: 'rename',
  nameHook: 'name the hook',
  swap: 'swap',
  add: 'add a part',
  takeWire: 'take another wire',
  move: 'move',
  takeOff: 'take off',
  turn: 'turn',
  legForward: 'aft leg forward',
  legBack: 'aft leg back',
  repair: 'repair',
  freeRoom: 'free room',
  loop: 'loop',
  arm: 'length of the arm',
  straight: 'length of a straight',
  bend: 'bend',
  twist: 'twist',
  bendRadius: 'radius of a bend',
  straighten: 'straighten a bend',
  tie: 'line tie',
  fold: 'fold the film',
  barb: 'barb',
  tube: 'cut the tube',
  swivel: 'condition of the swivel',
  rivet: 'rivet',
  collar: 'move the collar',
  tips: 'tips of the skirt',
  cutTrailer: 'cut the trailer',
  threadTrailer: 'thread the trailer',
  buryPoint: 'bury the point',
  roundTrailer: 'round the trailer',
  slideTube: 'slide the tube',
  snell: 'snell',
  slideStop: 'slide the stop',
  link: 'length of the link',
  threadBait: 'thread the bait',
  lineLength: 'length of the line',
  knot: 'knot',
  tieBehind: 'tie a lure on behind',
  untieBehind: 'take off the lure behind',
  clack: 'clack',
  nail: 'set the nail weight',
  moveEye: 'move the eye',
  lock: 'lock wire',
  keepVersion: 'keep a version',
  goBackToVersion: 'go back to a version',
  forgetVersion: 'forget a version',
  note: 'note',
  noteVersion: 'note on a version',
  keepReading: 'keep a reading',
  forgetReading: 'forget a reading',
  markMade: 'mark as made',
  use: 'tell hours and fish',
  tune: 'make a move of the Tank',
  markNotMade: 'not made',
};

const REPAIR_WORDS: Readonly<Record<Repair['code'], string>> = {
  addBeads: 'add beads below the clevis',
  setFreeRoom: 'leave play',
  turnBlade: 'turn the hollow to the body',
  coverWithTube: 'cut the tube to length',
  straighten: 'straighten the twisted bends',
  bendNearHead: 'bend near the head',
  bendArm: 'bend the arm',
  lengthenArm: 'lengthen the arm',
  closeLoop: 'close the loop',
  slideTubeUp: 'slide the tube up',
  roundTrailer: 'round the trailer',
  threadStraight: 'thread the trailer straight',
  turnClaw: 'turn the claw',
  moveCollar: 'move the collar',
  thinTips: 'thin the tips',
  putOn: 'put on what was lacking',
  swapFor: 'swap for what fits',
  formLoop: 'form a loop',
  takeOutOfClevis: 'let one out of the clevis',
  takeOffStinger: 'take the stinger off',
  pinchBarbs: 'pinch the barbs',
  lengthenLine: 'lengthen the line',
  snellFromPoint: 'snell from the point’s side',
  setSpacing: 'space the hooks',
  turnGate: 'turn the gate',
  setNail: 'set the nail weight',
  slideStop: 'slide the stop',
  standNailUp: 'stand the nail weight up',
  moveNail: 'move the nail weight',
};

export function changeWords(name: KeptName): string {
  if (typeof name === 'string') return isCode(name) ? WORDS[name] : name;
  const { code, part, repair } = name;
  if (repair !== undefined) return (REPAIR_WORDS as Readonly<Record<string, string>>)[repair] ?? WORDS.repair;
  return part === undefined ? WORDS[code] : `${WORDS[code]}: ${part}`;
}

function isCode(name: string): name is ChangeCode {
  return (CHANGE_CODES as readonly string[]).includes(name);
}
