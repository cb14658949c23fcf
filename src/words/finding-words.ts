/** Findings, repairs and refusals as sentences. */
import { carrierRoom } from '../core/carriers/carrier';
import { CARRIER_WORDS } from './carrier-words';
import { never } from '../core/never';
import type { Finding, Repair } from '../core/judgement/finding';
import { itemOf, type Build } from '../core/lure/lure';
import { showLength, showMass, type UnitSystem } from '../core/units/write';
import type { NoRepairReason } from '../core/judgement/mending';
import type { LureRule } from '../core/judgement/lure-rule';
import { degrees } from './angle-words';
import { MEASURE_WORDS } from './measure-words';
import { baitFindingWords, type FindingWords } from './bait-words';
import { lackWords } from './lack-words';
import { bodyFindingWords } from './body-finding-words';
import { lineFindingWords } from './line-words';
import { misfitWords } from './fit-words';
import { partLine, partTitle } from './part-words';

export const SEVERITY_WORDS = { fault: 'Fault', caution: 'Look at', good: 'In order' } as const;

export function findingWords(finding: Finding, build: Build, system: UnitSystem): FindingWords {
  const named = (index: number) => {
    const id = finding.items[index];
    return id === undefined ? '' : partTitle(itemOf(build, id).part);
  };
  switch (finding.code) {
    case 'bladeAgainstHook': {
      const posture = finding.posture === 'rest' ? 'at rest' : 'swung out, turning';
      const distance = showLength(Math.abs(finding.clearanceM), system);
      const why =
        finding.posture === 'rest'
          ? finding.isHeldByTube
            ? 'The tube holds the hook in line, so the tip must end before its points.'
            : carrierRoom(build.carrier).isLimp
              ? 'The line lets the hook fall back, so the tip must end before its eye.'
              : 'The hook can fall back on its ring, so the tip must end before its eye.'
          : 'Measured over the whole band of the predicted spread, with the hook leaning.';
      switch (finding.severity) {
        case 'fault':
          return { title: `Blade reaches the hook ${posture}`, figure: `${distance} too far`, why };
        case 'caution': {
          const wanted = showLength(finding.wantedM, system);
          return { title: `Blade close to the hook ${posture}`, figure: `${distance} left; ${wanted} wanted`, why };
        }
        case 'good':
          return { title: `Blade clear of the hook ${posture}`, figure: distance, why };
        default:
          return never(finding.severity, 'findingWords');
      }
    }
    case 'clevisRoom': {
      const play = showLength(finding.roomM, system);
      const why = 'Play along the wire, so that the clevis is not pinched between its neighbours.';
      return finding.severity === 'fault'
        ? {
            title: 'No free room for the clevis to turn',
            figure: `${play}; it needs ${showLength(finding.wantedM, system)}`,
            why,
          }
        : { title: 'Clevis has room to turn', figure: play, why };
    }
    case 'crowdedClevis':
      return {
        title: 'Too much inside the clevis',
        figure: `${showLength(finding.insideM, system)} inside, legs ${showLength(finding.gapM, system)} apart`,
        why: 'Legs forced apart bind on the wire.',
      };
    case 'emptyClevis':
      return { title: 'A clevis without a blade', figure: '', why: `${named(0)} carries nothing yet.` };
    case 'boreTooTight':
    case 'boreTooLoose':
    case 'holeTooSmall':
    case 'rootMeetsWire':
    case 'eyeTooSmall':
    case 'loopTooSmall':
    case 'ringTooSmall':
    case 'ringTooLarge':
    case 'bandTooLoose':
    case 'bandTooTight':
    case 'noRoomInClevis': {
      const { title, figure, why } = misfitWords(finding, system);
      return { title: `${title}: ${named(0)}`, figure, why };
    }
    case 'bladeAgainstBlade': {
      const gap = showLength(Math.abs(finding.clearanceM), system);
      const why =
        'Between the two sweeps, over the whole band of both spreads. The gap changes the rear blade’s rate and the beat: it makes them different, not better.';
      if (finding.severity === 'fault')
        return { title: 'Blades reach each other', figure: `${gap} into each other`, why };
      return finding.severity === 'caution'
        ? {
            title: 'Blades close to each other',
            figure: `${gap} apart; ${showLength(finding.wantedM, system)} wanted`,
            why,
          }
        : { title: 'Blades clear of each other', figure: gap, why };
    }
    case 'stackedClevises':
      return {
        title: `Two clevises stacked, ${finding.form}`,
        figure: '',
        why: 'Thread both lower legs first, then hang both blades, then close with both upper legs. The two blades push each other round as one.',
      };
    case 'missingGuard':
      return {
        title: 'Nothing smooth behind what turns',
        figure: `it bears on ${BEARS_ON[finding.bearsOn]}`,
        why: 'A bead or a washer behind it turns easily and saves what it bears on. One ahead of it only keeps weed out: it takes no load and changes no friction while there is play.',
      };
    case 'tubeCover': {
      const covers = showLength(finding.coversM, system);
      return finding.severity === 'good'
        ? { title: 'Tube covers loop, ring and hook eye', figure: covers, why: 'It holds the hook in line.' }
        : {
            title: 'Tube too short for loop, ring and hook eye',
            figure: `covers ${covers} once shrunk, ${showLength(finding.neededM, system)} needed`,
            why: 'The hook can fall back on its ring, and the blade may catch it.',
          };
    }
    case 'bellWithoutSleeve':
      return {
        title: 'Bell without a sleeve',
        figure: `bore ${showLength(finding.boreM, system)} on wire ${showLength(finding.wireM, system)}`,
        why: 'The stack pinches it, so it cannot swing and ring. Slide it over a sleeve.',
      };
    case 'sleeveInBell': {
      const figure = `sleeve ${showLength(finding.sleeveM, system)}, ${showLength(finding.neededM, system)} needed`;
      return finding.severity === 'good'
        ? { title: 'Bell rides on its sleeve', figure, why: 'The sleeve carries the stack through the bell.' }
        : {
            title: 'Sleeve too short for its bell',
            figure,
            why: 'Slid back on the striker, the bell’s neck drops off the sleeve, and the stack pinches it.',
          };
    }
    case 'silentBell':
      return {
        title: 'Bell with nothing to ring against',
        figure: '',
        why: 'A striker or a hard bead at its mouth, narrower than the mouth, makes it ring.',
      };
    case 'intendedContact':
      return { ...CONTACT_WORDS[finding.between], figure: '' };
    case 'ruleKept':
      return { title: `Keeps your rule for ${finding.rule.place}`, figure: '', why: ruleSource(finding.rule) };
    case 'ruleBroken': {
      const { breach, rule } = finding;
      const why = ruleSource(rule);
      switch (breach.of) {
        case 'hooks':
          return {
            title: `More hooks than your rule for ${rule.place} allows`,
            figure: `${breach.found} on it, ${breach.most} allowed`,
            why,
          };
        case 'blades':
          return {
            title: `More blades than your rule for ${rule.place} allows`,
            figure: `${breach.found} on it, ${breach.most} allowed`,
            why,
          };
        case 'points':
          return {
            title: `More points on a hook than your rule for ${rule.place} allows`,
            figure: `${breach.found} points, ${breach.most} allowed`,
            why,
          };
        case 'barbs':
          return { title: `Barbed, and your rule for ${rule.place} allows no barbs`, figure: '', why };
        default:
          return never(breach, 'findingWords');
      }
    }
    case 'hollowOutward':
      return {
        title: 'Blade hung the wrong way about',
        figure: '',
        why: 'Its hollow faces away from the body; the cup then catches no water.',
      };
    case 'wrongWire':
      return { ...CARRIER_WORDS[finding.wants].wanted, figure: '' };
    case 'impossibleMeasure': {
      const [less, than] = [MEASURE_WORDS[finding.less], MEASURE_WORDS[finding.than]];
      return {
        title: `Cannot be as measured: ${finding.items.length > 0 ? named(0) : build.carrier.wire.name}`,
        figure: `${less} ${showLength(finding.lessM, system)}, ${than} ${showLength(finding.thanM, system)}`,
        why: `Its ${less} has to be smaller than its ${than}. Measure it again, or swap it for another.`,
      };
    }
    case 'doubtfulMass':
      return {
        title: `Mass and measures disagree: ${finding.items.length > 0 ? named(0) : build.carrier.wire.name}`,
        figure: `${showMass(finding.massKg, system)} written down; its measures give ${showMass(finding.geometryKg, system)}`,
        why: 'One of them is a slip: weigh it, or measure it again.',
      };
    case 'endNotFormed':
      if (carrierRoom(build.carrier).isLimp) {
        return finding.end === 'nose'
          ? { title: 'Rod end not tied yet', figure: '', why: 'Knot a loop into it, or tie a swivel to it.' }
          : { title: 'The line ends loose', figure: '', why: 'Snell a hook at its end, or tie something to it.' };
      }
      return {
        title: finding.end === 'nose' ? 'No line tie yet' : 'No tail loop yet',
        figure: '',
        why: 'The end of the wire is plain.',
      };
    case 'noTurningBlade':
    case 'noHook':
      return lackWords(finding.code, build);
    case 'lineTooShort':
    case 'slipsOverKnot':
    case 'knotGuard':
    case 'pointTurnsIn':
    case 'hookSpacing':
    case 'rollsBehind':
    case 'baitOnHooks':
    case 'gate':
    case 'sawsLine':
    case 'stopHolds':
    case 'lineTwist':
    case 'sinkerReach':
    case 'strength':
    case 'aheadOfLure':
      return lineFindingWords(finding, system);
    case 'flasher':
    case 'widerThanBelly':
    case 'flasherAgainstHook':
    case 'flashesOnPause':
    case 'floats':
    case 'knocker':
    case 'gapAhead':
    case 'bladeAheadOfDiver':
    case 'ringInHanger':
    case 'nailGrip':
    case 'nailLeans':
    case 'nailPlace':
    case 'bladeAgainstSoft':
      return bodyFindingWords(finding, system);
    case 'bladeAgainstHead':
    case 'rivet':
    case 'rivetMissing':
    case 'counterTurning':
    case 'armTooShort':
    case 'armTwisted':
    case 'armOutOfLine':
    case 'endLoop':
    case 'strandsFoulTail':
    case 'bluntTrailer':
    case 'trailerStraight':
    case 'pointBuried':
    case 'trailerOverhang':
    case 'clawAtPoint':
    case 'skirtSides':
    case 'skirtWithoutLayers':
    case 'stingerKept':
    case 'headAndBlades':
    case 'noHead':
      return baitFindingWords(finding, system);
    default:
      return never(finding, 'findingWords');
  }
}

/** Where a hook goes on the wire as it is. */
function ruleSource({ source, onDay }: LureRule): string {
  return `Your own entry, from ${source}, looked at on ${onDay}. The authority’s current text decides.`;
}

export function repairWords(repair: Repair, system: UnitSystem): string {
  switch (repair.code) {
    case 'addBeads': {
      const count = NUMBER_WORDS[repair.count] ?? String(repair.count);
      const size = repair.part.kind === 'bead' ? showLength(repair.part.diameterM, system).replace(/\.0+ /, ' ') : '';
      return `Add ${count} ${size} ${repair.count === 1 ? 'bead' : 'beads'} below the clevis`;
    }
    case 'setFreeRoom':
      return `Leave ${showLength(repair.toM, system)} of play`;
    case 'turnBlade':
      return 'Turn the hollow to the body';
    case 'coverWithTube':
      return 'Cut the tube to the length worked out';
    case 'straighten':
      return 'Straighten the twisted bends';
    case 'bendNearHead':
      return `Bend ${degrees(repair.sideRad)} sideways near the head`;
    case 'bendArm':
      return `Bend the arm ${repair.angleRad < 0 ? 'in' : 'out'} by ${degrees(repair.angleRad)}`;
    case 'lengthenArm':
      return `Bend the arm ${showLength(repair.toM, system)} long`;
    case 'closeLoop':
      return 'Close the loop with pliers';
    case 'slideTubeUp':
      return 'Slide the tube up over the end';
    case 'roundTrailer':
      return 'Round the head of the trailer';
    case 'threadStraight':
      return 'Thread it again, dead straight';
    case 'turnClaw':
      return 'Set the claw away from the point';
    case 'moveCollar':
      return 'Set the collar so that the strands end before the tail kicks';
    case 'thinTips':
      return 'Thin the tips unevenly by hand';
    case 'putOn':
      return `Put on: ${partTitle(repair.part)}, ${partLine(repair.part, system)}`;
    case 'swapFor':
      return `Swap it for ${partTitle(repair.part)}, ${partLine(repair.part, system)}`;
    case 'formLoop':
      return 'Form a loop there';
    case 'takeOutOfClevis':
      return 'Let one out of the clevis';
    case 'takeOffStinger':
      return 'Take the stinger off';
    case 'lengthenLine':
      return `Make the line ${showLength(repair.toM, system)} long`;
    case 'snellFromPoint':
      return 'Snell it with the line in by the point’s side';
    case 'setSpacing':
      return `Space the hooks ${showLength(repair.toM, system)} from wrap to eye`;
    case 'turnGate':
      return 'Turn the gate to the rod';
    case 'dropArm':
      return `Bend the arm ${showLength(repair.byM, system)} lower`;
    case 'slideStop':
      return `Slide the stop until ${showLength(repair.toM, system)} is left behind it`;
    case 'setNail':
      return `Set it to stand ${showLength(repair.toM, system)} out`;
    case 'standNailUp':
      return 'Screw it in again, upright';
    case 'moveNail':
      return `Put it ${showLength(repair.toM, system)} behind the head of the body`;
    case 'pinchBarbs':
      return repair.count === 1 ? 'Pinch the barb flat' : 'Pinch the barbs flat';
    default:
      return never(repair, 'repairWords');
  }
}

/** Why no repair is offered. */
export const NO_REPAIR_WORDS: Readonly<Record<NoRepairReason, string>> = {
  measureAgain: 'Measure it again: only you can say which number is right.',
  yourRule: 'Your own rule: what goes is yours to say.',
  anotherKind: 'A lure of this kind stands on another wire: start it anew.',
  noneAtHand: 'No part at hand and no bend that was tried mends it without harm elsewhere.',
  onTheWater: 'It is not the lure’s: change the sinker, the line out or the speed, under Line, rod and how it rides.',
};

const CONTACT_WORDS = {
  bellAndStriker: { title: 'Bell and striker meet, as intended', why: 'They ring when the lure shakes.' },
  beadInClevis: {
    title: 'Bead knocks inside the clevis, as intended',
    why: 'It is struck by both legs at every turn: the loudest of the bead clicks.',
  },
  bladeAndHead: {
    title: 'Blade ticks on the head, as intended',
    why: 'It clacks once for each lobe. Bent further in it would drag and stall.',
  },
} as const;

const NUMBER_WORDS: Readonly<Record<number, string>> = {
  1: 'one',
  2: 'two',
  3: 'three',
  4: 'four',
  5: 'five',
  6: 'six',
  7: 'seven',
  8: 'eight',
  9: 'nine',
};

const BEARS_ON = {
  wraps: 'the wraps',
  thread: 'thread',
  lead: 'lead',
  tube: 'the tube',
  split: 'the split of a ring',
  rim: 'a sharp rim',
  knot: 'a knot',
  lineKnot: 'the knot',
  snell: 'the snell of a hook',
} as const;
