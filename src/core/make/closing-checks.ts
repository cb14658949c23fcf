/** What is looked over once all steps are done, each with what the Bench found about it. */
import { carrierRoom } from '../carriers/carrier';
import type { Finding } from '../judgement/finding';
import type { Build, ItemId } from '../lure/lure';
import type { Part, PartKind } from '../parts/part';

export const CLOSING = [
  'turnsFreely',
  'clearsHook',
  'clearsBlade',
  'hollowIn',
  'ringsShut',
  'swivelFree',
  'endHolds',
  'inLine',
  'sounds',
  'skirtLies',
  'trailerStraight',
  'knotsSeated',
  'baitLies',
  'gateForward',
  'hooksAllowed',
] as const;
export type Closing = (typeof CLOSING)[number];

export interface ClosingCheck {
  readonly check: Closing;
  readonly items: readonly ItemId[];
  /** What the Bench found about it, worst first. */
  readonly findings: readonly Finding[];
}

interface Rule {
  /** Kinds of part it is about; it is asked when one of them is on the lure. */
  readonly kinds: readonly PartKind[];
  /** Fewer than this many and it is not asked. */
  readonly least?: number;
  readonly isOnlyBent?: boolean;
  readonly isOnlyLine?: boolean;
  readonly codes: readonly Finding['code'][];
}

const TURNS: readonly PartKind[] = ['blade', 'filmBlade', 'deltaBlade'];

const RULES: Readonly<Record<Closing, Rule>> = {
  turnsFreely: {
    kinds: TURNS,
    codes: [
      'clevisRoom',
      'crowdedClevis',
      'boreTooTight',
      'missingGuard',
      'rivet',
      'flasher',
      'bladeAgainstSoft',
      'flashesOnPause',
    ],
  },
  clearsHook: { kinds: ['hook'], codes: ['bladeAgainstHook', 'flasherAgainstHook'] },
  clearsBlade: { kinds: TURNS, least: 2, codes: ['bladeAgainstBlade', 'stackedClevises', 'counterTurning'] },
  hollowIn: { kinds: ['blade'], codes: ['hollowOutward'] },
  ringsShut: { kinds: ['splitRing'], codes: ['ringTooSmall', 'ringTooLarge'] },
  swivelFree: { kinds: ['swivel'], codes: [] },
  endHolds: { kinds: TURNS, isOnlyBent: true, codes: ['endLoop', 'armTooShort', 'rivetMissing'] },
  inLine: { kinds: ['head'], isOnlyBent: true, codes: ['armTwisted', 'armOutOfLine'] },
  sounds: {
    kinds: ['bell', 'striker', 'deltaBlade', 'bead', 'nailWeight'],
    codes: ['intendedContact', 'silentBell', 'bladeAgainstHead', 'knocker'],
  },
  skirtLies: { kinds: ['skirt'], codes: ['skirtSides', 'strandsFoulTail', 'skirtWithoutLayers'] },
  trailerStraight: { kinds: ['trailer'], codes: ['trailerStraight', 'bluntTrailer', 'clawAtPoint', 'trailerOverhang'] },
  knotsSeated: {
    kinds: ['hook'],
    isOnlyLine: true,
    codes: ['knotGuard', 'slipsOverKnot', 'pointTurnsIn', 'hookSpacing', 'lineTwist', 'stopHolds'],
  },
  baitLies: { kinds: ['bait'], codes: ['baitOnHooks', 'rollsBehind'] },
  gateForward: { kinds: ['clevis'], isOnlyLine: true, codes: ['gate', 'sawsLine'] },
  hooksAllowed: { kinds: ['hook'], codes: ['ruleBroken', 'ruleKept'] },
};

/** Only about contacts that are there: a lone bead makes no sound to listen for. */
const ONLY_WITH_FINDINGS: ReadonlySet<Closing> = new Set(['sounds', 'gateForward']);

/** What is tried on the finished lure. @param found its findings */
export function closingChecks(build: Build, found: readonly Finding[]): ClosingCheck[] {
  const items = Object.values(build.items);
  return CLOSING.flatMap((check): ClosingCheck[] => {
    const { kinds, least = 1, isOnlyBent = false, isOnlyLine = false, codes } = RULES[check];
    const { castsNose, isLimp } = carrierRoom(build.carrier);
    const about = items.filter(({ part }: { readonly part: Part }) => kinds.includes(part.kind));
    if (about.length < least || (isOnlyBent && !castsNose) || (isOnlyLine && !isLimp)) return [];
    const findings = found.filter(({ code }) => codes.includes(code));
    if (findings.length === 0 && ONLY_WITH_FINDINGS.has(check)) return [];
    return [{ check, items: about.map(({ id }) => id), findings }];
  });
}
