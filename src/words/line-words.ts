/** What there is to say of lines, snells, bait and what rests on a knot. */
import { never } from '../core/never';
import type { Finding } from '../core/judgement/finding';
import { showDepth, showLength, showMass, showStrength, type UnitSystem } from '../core/units/write';
import type { FindingWords } from './bait-words';

type LineCode =
  | 'lineTooShort'
  | 'slipsOverKnot'
  | 'knotGuard'
  | 'pointTurnsIn'
  | 'hookSpacing'
  | 'rollsBehind'
  | 'baitOnHooks'
  | 'gate'
  | 'sawsLine'
  | 'stopHolds'
  | 'lineTwist'
  | 'sinkerReach'
  | 'strength'
  | 'aheadOfLure';
type LineFinding = Extract<Finding, { code: LineCode }>;

export function lineFindingWords(finding: LineFinding, system: UnitSystem): FindingWords {
  const length = (lengthM: number) => showLength(lengthM, system);
  const isGood = finding.severity === 'good';
  switch (finding.code) {
    case 'lineTooShort':
      return {
        title: 'What is on the line is longer than it',
        figure: `${length(finding.neededM)} needed, ${length(finding.lengthM)} finished`,
        why: 'Hooks, spacing, beads and blade have to lie on it with room to slide.',
      };
    case 'slipsOverKnot':
      return {
        title: 'The knot slips through',
        figure: `hole ${length(finding.boreM)}, knot about ${length(finding.knotM)}`,
        why: 'A small bead with a narrow hole next to the knot holds the rest.',
      };
    case 'knotGuard':
      return isGood
        ? {
            title: `A small bead spares the ${finding.on}`,
            figure: '',
            why: 'What turns ahead of it does not reach the line there.',
          }
        : {
            title: `Nothing small between the stack and the ${finding.on}`,
            figure: '',
            why: 'What knocks there wears the line where it is weakest. A small bead next to it takes the blows.',
          };
    case 'pointTurnsIn':
      return {
        title: 'The snell turns the point into the bait',
        figure: '',
        why: 'With the line in by the back of the eye a pull closes the gap. In by the point’s side it turns the point out.',
      };
    case 'hookSpacing': {
      const figure = `${length(finding.spacingM)} from its last wrap to the next eye`;
      return isGood
        ? { title: 'Hooks stand apart', figure, why: 'Measured on the line drawn straight.' }
        : {
            title: 'Hooks foul each other',
            figure: `${figure}; ${length(Math.abs(finding.gapM))} ${finding.gapM < 0 ? 'into each other' : 'of air'}`,
            why: 'The bend of one lies over the eye of the next.',
          };
    }
    case 'rollsBehind':
      return {
        title: 'The rolling hook is not the foremost',
        figure: '',
        why: 'It turns the bait from its head; behind another hook it only winds the line up.',
      };
    case 'baitOnHooks': {
      const figure = `${length(Math.abs(finding.beyondM))} ${finding.beyondM < 0 ? 'of hook beyond the bait' : 'of bait beyond the last hook'}`;
      const usual = finding.usualHooks === 1 ? 'one hook' : 'two hooks, or three for a long one';
      const { is } = finding;
      switch (is) {
        case 'held':
          return { title: 'Bait and hooks suit each other', figure, why: `This bait usually takes ${usual}.` };
        case 'long':
          return {
            title: 'Much bait beyond the last hook',
            figure,
            why: 'Fish that nip take it off behind the point.',
          };
        case 'short':
          return {
            title: 'The last hook is beyond the bait',
            figure,
            why: 'It hangs bare: bring it nearer, or take a longer bait.',
          };
        default:
          return never(is, 'lineFindingWords');
      }
    }
    case 'gate':
      return isGood
        ? { title: 'The gate of the clevis looks to the rod', figure: '', why: 'A pull keeps it shut.' }
        : {
            title: 'The gate of the clevis looks to the hook',
            figure: '',
            why: 'The blade’s pull can open it. Turn the clevis round.',
          };
    case 'sawsLine':
      return {
        title: 'Thin metal turns on bare line',
        figure: `leg ${length(finding.legM)}`,
        why: 'It saws the line. A plastic clevis, or one of thicker wire, is gentler.',
      };
    case 'stopHolds': {
      const figure = `slips at ${showStrength(finding.gripN, system)}, pulled with up to ${showStrength(finding.pullN, system)}`;
      return isGood
        ? { title: 'The stop holds', figure, why: 'Against what rests on it at this speed, jerks included.' }
        : { title: 'The stop slips', figure, why: 'A tighter one, or two of them, hold the blade where it should be.' };
    }
    case 'aheadOfLure': {
      const title = {
        near: 'Near the lure: what follows the blade takes the lure',
        between: 'Between near and far',
        far: 'Far ahead: the blade itself is taken',
      }[finding.is];
      return {
        title,
        figure: `${length(finding.gapM)} from the blade to the end of the line`,
        why: 'Builders differ: a hand’s width so that the lure looks to chase it, or an arm’s length so as not to slow the lure. Divers suit it least: their lip runs in slower water.',
      };
    }
    case 'strength': {
      const figure = `${showStrength(finding.carriesN, system)} with its knots, ${showStrength(finding.wantedN, system)} wanted`;
      return isGood
        ? {
            title: 'Line and links carry what you ask',
            figure,
            why: 'From the tie to each hook, less what the knots cost.',
          }
        : {
            title: finding.items.length > 0 ? 'This link is weaker than you ask' : 'The line is weaker than you ask',
            figure,
            why: 'From the tie to each hook the weakest counts. What leads to no hook carries no fish.',
          };
    }
    case 'lineTwist':
      return isGood
        ? { title: 'A swivel lets the line untwist', figure: '', why: 'Keep it clean: one that does not turn is none.' }
        : {
            title: 'The bait rolls and there is no swivel',
            figure:
              finding.rollsPerM === null
                ? ''
                : `about ${Math.round(finding.rollsPerM)} turns a metre, give or take half`,
            why: 'Every turn of the bait is a turn in the line. A swivel at the rod end takes it.',
          };
    case 'sinkerReach': {
      const depth = (m: number) => showDepth(m, system);
      const { isOnBottom, neededKg, neededLineM, bottomM } = finding;
      const over = depth(finding.lureOverBottomM);
      const wanted = [
        neededKg === null ? null : `about ${showMass(neededKg, system)}`,
        neededLineM === null ? null : `${depth(neededLineM)} of line out`,
      ].filter((each) => each !== null);
      const would =
        wanted.length > 0
          ? `At this speed ${wanted.join(', or ')} would bring it down.`
          : 'Neither a heavier one nor more line brings it down at this speed: go slower.';
      return {
        title: isOnBottom ? 'The sinker keeps to the bottom' : 'The sinker runs over the bottom',
        figure: `${isOnBottom ? '' : `sinker at ${depth(finding.sinkerDepthM)} of ${depth(bottomM)}, `}lure ${over} over it`,
        why: isOnBottom
          ? 'At the speed it is checked at, current counted in. Faster, it lifts.'
          : `${would} The speed is through the water, so a drift with the stream needs less.`,
      };
    }
    default:
      return never(finding, 'lineFindingWords');
  }
}
