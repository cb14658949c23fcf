/** What there is to say of bent wires, heads, skirts, trailers and delta blades. */
import { never } from '../core/never';
import type { Finding } from '../core/judgement/finding';
import { showLength, showMass, type UnitSystem } from '../core/units/write';
import { degrees } from './angle-words';

export interface FindingWords {
  readonly title: string;
  /** The number it rests on, in both systems; empty where there is none. */
  readonly figure: string;
  readonly why: string;
}

type BaitFinding = Extract<Finding, { code: BaitCode }>;
type BaitCode =
  | 'bladeAgainstHead'
  | 'rivet'
  | 'rivetMissing'
  | 'counterTurning'
  | 'armTooShort'
  | 'armTwisted'
  | 'armOutOfLine'
  | 'endLoop'
  | 'strandsFoulTail'
  | 'bluntTrailer'
  | 'trailerStraight'
  | 'pointBuried'
  | 'trailerOverhang'
  | 'clawAtPoint'
  | 'skirtSides'
  | 'skirtWithoutLayers'
  | 'stingerKept'
  | 'headAndBlades'
  | 'noHead';

export function baitFindingWords(finding: BaitFinding, system: UnitSystem): FindingWords {
  const length = (lengthM: number) => showLength(lengthM, system);
  switch (finding.code) {
    case 'bladeAgainstHead': {
      const figure = showLength(Math.abs(finding.clearanceM), system);
      switch (finding.touch) {
        case 'free':
          return finding.wanted
            ? {
                title: 'Blade does not reach the head: no clack',
                figure: `${figure} of air`,
                why: 'Bent in until it just ticks, it clacks once for each lobe.',
              }
            : { title: 'Blade clear of the head: silent', figure, why: 'Bent in until it ticks, it would clack.' };
        case 'ticking':
          return {
            title: 'Blade ticks on the head, unasked',
            figure,
            why: 'Say that it is meant to clack, or bend the arm out.',
          };
        case 'dragging':
          return {
            title: 'Blade drags on the head',
            figure: `${figure} too far in`,
            why: 'Past the place where it ticks it rubs, slows and stalls.',
          };
        default:
          return never(finding.touch, 'baitFindingWords');
      }
    }
    case 'rivet':
      return {
        title: {
          free: 'Rivet free: it spins with the blade, silent',
          crimped: 'Rivet crimped: the blade rubs on it',
          upset: 'Rivet upset and filed: it squeaks at once',
        }[finding.fixing],
        figure: '',
        why: {
          free: 'What turns with the blade does not rub. Crimped, it would begin to squeak with hours.',
          crimped: 'A rub meant: the squeak grows as the two wear in.',
          upset: 'A rub meant: the rough edge bites from the first cast.',
        }[finding.fixing],
      };
    case 'rivetMissing':
      return {
        title: 'Nothing stops the blade at the end of the arm',
        figure: '',
        why: 'Thread a rivet or a bead behind it, or it jams against the bend.',
      };
    case 'counterTurning':
      return finding.isOpposed
        ? {
            title: 'The pair turns against itself and runs straight',
            figure: '',
            why: 'Each pulls to its side; opposed they cancel.',
          }
        : {
            title: 'Both blades have the same hand',
            figure: '',
            why: 'A pair runs straight only when one is left-handed and one right-handed. Swap one.',
          };
    case 'armTooShort':
      return {
        title: 'The arm is too short for what is on it',
        figure: `${length(finding.stackM)} on ${length(finding.armM)}`,
        why: 'Bend it longer, or take something off.',
      };
    case 'armTwisted':
      return Math.abs(finding.sideRad) > finding.mostRad
        ? {
            title: 'The bend is twisted',
            figure: degrees(finding.sideRad),
            why: 'Laid on a flat table the whole wire should touch it: a twisted one rolls the lure over.',
          }
        : {
            title: 'The bends lie flat',
            figure: degrees(finding.sideRad),
            why: 'Laid on a flat table the whole wire touches it.',
          };
    case 'armOutOfLine': {
      const figure = showLength(Math.abs(finding.offsetM), system);
      const why =
        'Seen from ahead, arm, blades and hook stand in one line; a small bend near the head brings them there.';
      return Math.abs(finding.offsetM) > finding.mostM
        ? { title: 'Arm and blades stand beside the hook', figure, why }
        : { title: 'Arm and blades in line with the hook', figure, why };
    }
    case 'endLoop':
      return endLoopWords(finding.is, `${length(finding.gapM)} open`);
    case 'strandsFoulTail':
      return {
        title: 'Strands lie over the kicking tail',
        figure: `${showLength(finding.strandsM - finding.kicksFromM, system)} over it`,
        why: 'They hold the tail still. Set the collar further back, or thin the tips.',
      };
    case 'bluntTrailer':
      return {
        title: 'The blunt trailer balloons the skirt',
        figure: `${length(finding.bodyM)} thick behind a ${length(finding.collarM)} collar`,
        why: 'Rounded at its head the strands lie along it.',
      };
    case 'pointBuried':
      return finding.aboveM < 0
        ? {
            title: 'Point buried deep in the soft body',
            figure: `${showLength(-finding.aboveM, system)} within it`,
            why: 'The gap is smaller than the body is high there: the strike hardly drives it out. A wider gap or a slimmer body.',
          }
        : finding.severity === 'caution'
          ? {
              title: 'Point buried, but the body is bunched up over it',
              figure: `pushed up by ${showLength(finding.aboveM, system)}`,
              why: 'So far up it no longer lies straight, and rolls. A smaller gap, or a hook with a bent shank.',
            }
          : {
              title: 'Point buried under the skin: passes weed',
              figure: `body pushed up by ${showLength(finding.aboveM, system)}`,
              why: 'A firm strike drives it out; some fish that nip are missed.',
            };
    case 'trailerStraight':
      return finding.severity === 'good'
        ? { title: 'Trailer threaded straight', figure: '', why: 'Off line it rolls the lure.' }
        : {
            title: 'Trailer threaded crooked',
            figure: degrees(finding.crookedRad),
            why: 'Off line it rolls the lure and the tail kicks to one side.',
          };
    case 'trailerOverhang':
      return {
        title:
          finding.severity === 'good'
            ? 'Trailer swims free behind the hook'
            : 'Nothing of the trailer swims behind the hook',
        figure: `${length(Math.max(finding.behindBendM, 0))} of ${length(finding.ofLengthM)} behind the bend`,
        why: 'Some leave it long for bulk, some cut it short so that fish that nip find the hook.',
      };
    case 'clawAtPoint':
      return {
        title: 'The claw stands on the side of the point',
        figure: '',
        why: 'There it covers the point. Turned away it leaves it free.',
      };
    case 'skirtSides':
      return {
        title: `Long side of the skirt to the ${finding.longSide}`,
        figure: `${length(finding.toNoseM)} to the nose, ${length(finding.toTailM)} to the tail`,
        why: 'For your information: builders do it both ways.',
      };
    case 'stingerKept':
      return finding.severity === 'good'
        ? { title: 'The stinger is kept in the bend', figure: '', why: 'A disc before it: it swings and stays.' }
        : {
            title: 'Nothing keeps the stinger on the hook',
            figure: '',
            why: 'Its eye comes off over the barb when a fish shakes. A disc pushed over the point keeps it; so does a piece of tube over its eye.',
          };
    case 'skirtWithoutLayers':
      return {
        title: 'A band without strips',
        figure: '',
        why: 'Pull layers of strips through it, two for a slim skirt, three for bulk.',
      };
    case 'headAndBlades': {
      const figure = `${showMass(finding.headKg, system)} to ${Math.round(finding.bladeM2 * 1e6)} mm² of blade`;
      return {
        title: {
          inKeeping: 'Head and blades in keeping',
          headTooLight: 'Head light for its blades: it may roll over or ride up',
          headTooHeavy: 'Head heavy for its blades: they hardly hold it up',
        }[finding.is],
        figure,
        why: 'Blades lift and pull the lure round; the head holds it upright and down.',
      };
    }
    case 'noHead':
      return {
        title: 'No head',
        figure: '',
        why: 'Cast or clamp a head about the nose of the wire, or take a bought frame.',
      };
    default:
      return never(finding, 'baitFindingWords');
  }
}

function endLoopWords(is: Extract<BaitFinding, { code: 'endLoop' }>['is'], gap: string): FindingWords {
  switch (is) {
    case 'closed':
      return { title: 'End loop closed', figure: '', why: 'What hangs in it cannot slip out.' };
    case 'plugged':
      return {
        title: 'End loop plugged by the tube',
        figure: gap,
        why: 'The tube slid up over the end closes the gap without closing the loop too far.',
      };
    case 'open':
      return {
        title: 'End loop open: what hangs in it can slip out',
        figure: gap,
        why: 'Close it with pliers, not too far, or slide a spacer tube up over the end.',
      };
    case 'plugTooTight':
      return {
        title: 'The tube does not go over both wires',
        figure: gap,
        why: 'To plug the loop its bore must take the arm and the end beside it.',
      };
    default:
      return never(is, 'endLoopWords');
  }
}
