/** What wears on a lure in words: what is due first, what it takes, and what to do. */
import { itemOf, type Build, type Used } from '../core/lure/lure';
import type { ArmWear, Clock, TieWear, Wear } from '../core/wear/wear';
import type { Lives, TieLife } from '../core/wear/line-tie';
import { decimalText } from '../core/units/write';
import { partTitle } from './part-words';

export interface WearSentence {
  /** What wears, and how far it has come. */
  readonly title: string;
  /** What that means and what to do. */
  readonly why: string;
}

/** `about 12 fish (3 to 50)` */
export function fishWords({ fish }: TieLife): string {
  return livesWords(fish, 'fish');
}

function livesWords({ value, low, high }: Lives, what: string): string {
  return `about ${count(value)} ${what} (${count(low)} to ${count(high)})`;
}

/** All of it in one quiet line: what is due, else how far the line tie has come, else the first that wears. */
export function wearGist({ tie, arm, clocks }: Wear, build: Build, { fish }: Used): string | null {
  const clockNames = clocks.filter(isClockDue).map((clock) => partTitle(itemOf(build, clock.item).part));
  const due = [...(tie && isTieDue(tie) ? ['line tie'] : []), ...(arm && arm.used >= 1 ? ['arm'] : []), ...clockNames];
  if (due.length > 0) return `due: ${due.join(', ')}`;
  if (tie?.outcome === 'open') {
    const { value } = tie.life.fish;
    return `line tie ${fish > 0 ? `${fish} of ` : ''}about ${count(value)} fish`;
  }
  const [first] = clocks;
  return first ? clockWords(first, build).title : null;
}

/** What wears, a line each; clocks only of what has begun to. */
export function wearTitles({ tie, arm, clocks }: Wear, build: Build, { hours, fish }: Used): string[] {
  return [
    ...(tie ? [tieWords(tie)] : []),
    ...(arm ? [armWords(arm)] : []),
    ...(hours + fish > 0 ? clocks.map((clock) => clockWords(clock, build)) : []),
  ].map(({ title }) => title);
}

export function isTieDue(tie: TieWear): boolean {
  return tie.outcome === 'open' && tie.used >= 1;
}

export function isClockDue(clock: Clock): boolean {
  return 'used' in clock && clock.used >= 1;
}

function count(fish: number): string {
  if (fish >= 1000) return 'over 1000';
  return fish < 1 ? 'less than 1' : decimalText(fish, 0);
}

const AT = { tie: 'in the bend of its tie', head: 'where the wire leaves the head' } as const;

/** A closed or an open tie: what each school says. */
export const TIE_SCHOOLS =
  'Some close the tie, so that no knot slides out of place; others leave it open, since a closed one can pinch the line. A good knot, tied again after each fish, is what both ask for.';

export function tieWords(tie: TieWear): WearSentence {
  switch (tie.outcome) {
    case 'open': {
      const { life, otherwise, isRinged } = tie;
      const other = isRinged
        ? `Without the ring over it: ${fishWords(otherwise)}.`
        : `A ring forced over it makes that ${fishWords(otherwise)}; it then breaks ${AT[otherwise.at]}.`;
      return {
        title: `Line tie lasts ${fishWords(life)}`,
        why: `Each fish opens and closes it; it breaks ${AT[life.at]}. ${other} Bending it straight after a fish counts as one more. ${TIE_SCHOOLS}`,
      };
    }
    case 'closed':
      return {
        title: 'Line tie closed: it does not open',
        why: `The wire goes first where it leaves the head. ${TIE_SCHOOLS}`,
      };
    case 'outsideModel':
      return {
        title: 'Life of the line tie cannot be said',
        why: `Nothing is known of how ${tie.material} wire tires. Stainless and spring steel are.`,
      };
  }
}

export function armWords({ straightenings }: ArmWear): WearSentence {
  return {
    title: `Arm can be bent back ${livesWords(straightenings, 'times')}`,
    why: 'Then it breaks at its tightest bend. Bend it back over a wide round with the fingers, not at a point with pliers: a wider bend lasts longer.',
  };
}

export function clockWords(clock: Clock, build: Build): WearSentence {
  const name = partTitle(itemOf(build, clock.item).part);
  switch (clock.clock) {
    case 'squeak':
      return {
        title: `${name}: squeak ${percent(clock.wornIn)} worn in`,
        why: 'It grows with the hours it rubs. Let the rivet spin again to have it silent.',
      };
    case 'swivel': {
      const sooner = clock.stallsSoonerMps;
      const effect =
        sooner === null
          ? 'No blade turns behind it.'
          : `The blade behind it stops ${decimalText(sooner, 2)} m/s earlier.`;
      return {
        title: `${name}: ${clock.condition}`,
        why: `${effect} Rinse and dry it after each day, or put a free one in its place.`,
      };
    }
    case 'band':
      return {
        title: `${name}: ${percent(clock.used)} of its life`,
        why: 'Rubber perishes in sun and water: stretch it once before a trip, and tie or wire the skirt if it cracks.',
      };
    case 'knot':
      return {
        title: `Knot at the ${name.toLowerCase()}: ${percent(clock.used)} worn`,
        why: clock.isGentle
          ? 'Run the line through the fingers above it after each fish and tie it afresh where it is rough.'
          : 'It is chafed by what rests on it: a small bead between makes it last about three times as long.',
      };
    case 'bait':
      return {
        title: `${name}: ${percent(clock.used)} of its fish`,
        why: 'A torn one slides down: thread it on afresh further back, or take a new one.',
      };
  }
}

function percent(share: number): string {
  return share > 1 ? 'past the end' : `${Math.round(share * 100)} %`;
}
