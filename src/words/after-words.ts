/** What to look at, listen for or feel for after a step. */
import type { AfterCheck, Sense } from '../core/make/operation-rule';

export interface AfterWords {
  readonly sense: Sense;
  readonly words: string;
}

const look = (words: string): AfterWords => ({ sense: 'look', words });
const feel = (words: string): AfterWords => ({ sense: 'feel', words });
const listen = (words: string): AfterWords => ({ sense: 'listen', words });

export const AFTER_WORDS: Readonly<Record<AfterCheck, AfterWords>> = {
  cutFlat: feel('the cut end is flattened, nothing scratches'),
  bendsFlat: look('it lies flat on the table, bends not twisted'),
  knotSeated: feel(
    'wetted and drawn down slowly, its turns side by side; pull it on something blunt, every other point capped',
  ),
  snellSeated: feel(
    'wetted and drawn down slowly, its wraps side by side against the eye; pull the hook on something blunt, every other point capped. Stiff line and long shanks seat worst',
  ),
  snapShut: feel('the snap clicks shut and stays shut when pulled'),
  baitStraight: look('head at the collar, point out, the rest trailing in line'),
  hookStraight: look('hook and arm in one plane'),
  loopCentred: look('the loop stands in the middle of the wire'),
  wrapsTight: feel('the wraps are tight and no tag stands out'),
  freePlay: feel('the stack slides by the play you left, no more'),
  loopCloses: look('the end just meets the wire'),
  gapLeft: look('the gap is as wide as it should be'),
  endHolds: feel('nothing slips over the end'),
  order: look('it stands where the drawing has it'),
  hollowIn: look('the hollow of the blade faces the body'),
  bladeSwings: feel('flicked, it swings and turns by itself'),
  gateForward: look('the gate of the clevis points to the rod'),
  legsFree: look('the other leg stands free beside the wire'),
  bellRings: listen('shaken, it rings'),
  tubeTight: look('the tube grips all round and holds the hook in line'),
  gapPlugged: look('the gap is covered'),
  ringFlat: look('the ring lies flat, its coils shut'),
  swivelTurns: feel('both eyes of the swivel turn freely'),
  hangsFree: feel('it swings free in the loop'),
  eyeClosed: look('the eye is shut'),
  dressingHolds: feel('the bundle does not turn on the shank'),
  keeperHolds: feel('the keeper does not slide'),
  barbFlat: feel('drawn over cloth, it does not catch'),
  foldEven: look('both lobes stand alike'),
  rivetHolds: feel('the rivet does not turn'),
  rivetSqueaks: listen('turned by hand, the blade squeaks'),
  bladeTicks: listen('blown at, the blade ticks and does not drag'),
  collarPlace: look('the band sits where you measured'),
  skirtFlares: look('the strands stand off all round'),
  longSide: look('the long side lies as in the drawing'),
  lockFlat: feel('no end of the wire stands up'),
  tipsUneven: look('the tips end in no line'),
  lengthRight: look('it has the length you measured'),
  pointUnderSkin: feel('a finger drawn along the back meets no point'),
  trailerStraight: look('from above and from the side it lies dead straight'),
  clawOpposite: look('the claw lies away from the point'),
  strandsClear: look('no strand reaches what kicks'),
  bodyWhole: look('no crack, no water inside; the eyes stand straight'),
  eyeSquare: look('the eye stands square to the belly, in line with the others'),
  eyeShut: feel('the eye is closed: a thin line does not pass the gap'),
  nailUpright: look('it stands upright, under the widest part of the blade'),
  bladeKnocks: listen('turned by hand, the blade taps it once a turn and goes on'),
  stingerTurns: feel('the stinger swings and does not come off'),
  pointCovered: look('no point is bare'),
};

export const SENSE_WORDS: Readonly<Record<Sense, string>> = { look: 'Look', listen: 'Listen', feel: 'Feel' };
