/** What there is to say of hard baits, soft bodies, flashers and knockers. */
import { never } from '../core/never';
import type { Finding } from '../core/judgement/finding';
import { decimalText, showLength, showMass, showSpeed, type UnitSystem } from '../core/units/write';
import { degrees } from './angle-words';
import type { FindingWords } from './bait-words';

export type BodyFinding = Extract<
  Finding,
  {
    code:
      | 'flasher'
      | 'widerThanBelly'
      | 'flasherAgainstHook'
      | 'flashesOnPause'
      | 'floats'
      | 'knocker'
      | 'gapAhead'
      | 'bladeAheadOfDiver'
      | 'ringInHanger'
      | 'nailGrip'
      | 'nailLeans'
      | 'nailPlace'
      | 'bladeAgainstSoft';
  }
>;

const FLOATS = { floats: 'Floats', hovers: 'Hovers', sinks: 'Sinks' } as const;

export function bodyFindingWords(finding: BodyFinding, system: UnitSystem): FindingWords {
  const length = (lengthM: number) => showLength(Math.abs(lengthM), system);
  const speed = (mps: number) => showSpeed(mps, system === 'metric' ? 'mps' : 'mph');
  switch (finding.code) {
    case 'flasher': {
      const hooks = `${finding.hooks} ${finding.hooks === 1 ? 'hook' : 'hooks'} with ${finding.points} points left`;
      if (finding.wobbleHz === null) {
        return {
          title: 'Nothing swings this blade',
          figure: hooks,
          why: 'At this speed the body does not wobble: it has neither a lip nor a wake that drives it, or it is too slow.',
        };
      }
      const rate = decimalText(finding.wobbleHz, 1);
      return {
        title: finding.ticksHz > 0 ? 'Blade swings, ticks and flashes under the belly' : 'Blade swings under the belly',
        figure: `${rate} a second, ${degrees(finding.swingRad)} to each side; ${hooks}`,
        why: 'The wobble of the body swings it; it is not asked to turn. Stopped, it drops and hangs. A treble it stands in for is missing from float, balance and hook count.',
      };
    }
    case 'widerThanBelly':
      return {
        title: 'Blade wider than the belly',
        figure: `${length(finding.bladeM)} under ${length(finding.bellyM)} of body`,
        why: 'It stands out at both sides and fouls the swing: a narrower or smaller one lies under the body.',
      };
    case 'flasherAgainstHook':
      return finding.clearM < 0
        ? {
            title: 'Blade reaches the points of the hook behind it',
            figure: `${length(finding.clearM)} too far`,
            why: 'They catch on each other as both swing. A shorter blade, or a hanger further ahead.',
          }
        : {
            title: finding.severity === 'good' ? 'Blade ends ahead of the hook' : 'Blade ends close to the hook',
            figure: `${length(finding.clearM)} left`,
            why: 'From its tip, lying back, to where the points begin.',
          };
    case 'flashesOnPause': {
      const pause = `about ${finding.swings} ${finding.swings === 1 ? 'swing' : 'swings'} until it hangs`;
      const turns =
        finding.turns === null || finding.turns === 'never'
          ? []
          : [`turns from ${speed(finding.turns.startsMps)}, then down to ${speed(finding.turns.keepsMps)}`];
      const swept =
        finding.wobbleHz === null || finding.toAndFroM <= 0
          ? []
          : [`carried ${length(finding.toAndFroM)} to each side ${decimalText(finding.wobbleHz, 1)} times a second`];
      return {
        title:
          finding.turns === 'never' ? 'Free all round, but it never turns' : 'Free all round: it flashes on the pause',
        figure: [...turns, ...swept, pause].join('; '),
        why: 'Drawn fast enough it turns about its ring while the body carries it to and fro; stopped, it falls from lying back to hanging down.',
      };
    }
    case 'floats': {
      const figure =
        finding.secondsPerM === null
          ? `${showMass(Math.abs(finding.inWaterKg), system)} in water`
          : `${decimalText(finding.secondsPerM, 1)} s a metre, ${showMass(Math.abs(finding.inWaterKg), system)} in water`;
      return finding.isLost
        ? {
            title: 'No longer floats',
            figure: `${showMass(finding.inWaterKg, system)} too heavy`,
            why: 'The bare body floats; with what hangs on it, it sinks. Lighter hooks, ring or blade bring it back.',
          }
        : { title: FLOATS[finding.is], figure, why: 'All of it at rest, against the water it pushes aside.' };
    }
    case 'knocker':
      switch (finding.knock) {
        case 'jams':
          return {
            title: 'Nail weight stands too proud: it holds the blade',
            figure: `${length(finding.gapM)} in, ${length(finding.mostM)} is the most`,
            why: 'The edge of the blade meets it square. Screw it in until the back runs up on it.',
          };
        case 'misses':
          return {
            title: 'Nail weight too deep: it never knocks',
            figure: `${length(finding.gapM)} short of the blade`,
            why: 'The back of the blade comes by without meeting it.',
          };
        case 'knocks':
          return {
            title: 'Knocks once a turn',
            figure: `${length(finding.gapM)} in, up to ${length(finding.mostM)}; a turn comes up to ${Math.round(finding.unevenShare * 100)} % early or late`,
            why: 'The back of the blade runs up on the end of the nail. The nearer to the most, the more unevenly it turns and flashes.',
          };
        default:
          return never(finding.knock, 'bodyFindingWords');
      }
    case 'gapAhead':
      switch (finding.severity) {
        case 'fault':
          return {
            title: 'Gap lost: the blade is on the nose of the lure',
            figure: `${length(finding.leftM)} too far`,
            why: 'It cannot turn there. Slide its stop ahead, or take one that grips harder.',
          };
        case 'caution':
          return {
            title: 'Lying back, the blade reaches the nose of the lure',
            figure: `${length(finding.leftM)} too far`,
            why: 'It catches there at each pause. Slide its stop ahead.',
          };
        default:
          return {
            title: 'The blade keeps its distance from the lure',
            figure: `${length(finding.leftM)} behind its tip`,
            why: 'Near, the lure seems to chase it; far, the blade itself is taken. Both lift, and cost depth.',
          };
      }
    case 'bladeAheadOfDiver':
      return {
        title: 'Blade ahead of a diver: builders differ',
        figure: `${length(finding.aheadM)} ahead`,
        why: 'Divers suit it least, say some: the blade lifts the line and slows the water at the lip, so the bait runs shallower and wobbles less. Others want just that, to bring a deep body over weed and to be seen from afar. Its depth stands beside the lure without the blade when both are compared; which takes more fish a fair trial tells.',
      };
    case 'ringInHanger':
      return finding.severity === 'good'
        ? {
            title: 'Ring swings free in its hanger',
            figure: `${length(finding.roomM)} play`,
            why: 'Both coils go through the eye.',
          }
        : {
            title: finding.severity === 'fault' ? 'Ring too thick for its hanger' : 'Ring binds in its hanger',
            figure: finding.roomM < 0 ? `${length(finding.roomM)} too thick` : `${length(finding.roomM)} play`,
            why: 'Both coils go through the eye: without play it stands stiff. A ring of thinner wire, or a larger eye.',
          };
    case 'nailGrip':
      return {
        title: 'Nail weight hardly grips',
        figure: `${length(finding.inM)} in the body, ${length(finding.outM)} out`,
        why: 'Knocked on, it works loose. A shorter one, or one that is clipped, may stand as far out and hold.',
      };
    case 'nailLeans':
      return {
        title: 'Nail weight leans',
        figure: degrees(finding.leanRad),
        why: 'Upright it takes the knock along itself; aslant each knock turns it further.',
      };
    case 'nailPlace':
      return {
        title: 'Nail weight not under the widest part of the blade',
        figure: `${length(finding.behindWidestM)} ${finding.behindWidestM > 0 ? 'behind' : 'ahead of'} it`,
        why: 'There the back falls away most to its edges, and the knock is widest.',
      };
    case 'bladeAgainstSoft':
      return finding.clearM < 0
        ? {
            title: 'Blade beats on the soft body',
            figure: `${length(finding.clearM)} too far`,
            why: 'A longer drop of the arm, a smaller blade or a slimmer body lets it turn.',
          }
        : { title: 'Blade turns clear of the soft body', figure: length(finding.clearM), why: 'At its usual spread.' };
    default:
      return never(finding, 'bodyFindingWords');
  }
}
