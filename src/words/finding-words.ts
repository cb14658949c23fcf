/** Findings, repairs, refusals and costs as sentences. */
import { never } from '../core/never';
import type { Cost } from '../core/lure/cost';
import type { Finding, Repair } from '../core/lure/finding';
import { itemOf, type Build, type ItemId } from '../core/lure/lure';
import type { Refusal } from '../core/lure/structure';
import { showLength, showLengthBoth, type UnitSystem } from '../core/units/write';
import { KIND_WORDS, partTitle } from './part-words';

export interface FindingWords {
  readonly title: string;
  /** The number it rests on, in both systems; empty where there is none. */
  readonly figure: string;
  readonly why: string;
}

export const SEVERITY_WORDS = { fault: 'Fault', caution: 'Look at', good: 'In order' } as const;

export function findingWords(finding: Finding, build: Build, system: UnitSystem): FindingWords {
  const named = (index: number) => {
    const id = finding.items[index];
    return id === undefined ? '' : partTitle(itemOf(build, id).part);
  };
  switch (finding.code) {
    case 'bladeAgainstHook': {
      const posture = finding.posture === 'rest' ? 'at rest' : 'swung out, turning';
      const distance = showLengthBoth(Math.abs(finding.clearanceM), system);
      const why =
        finding.posture === 'rest'
          ? finding.isHeldByTube
            ? 'The tube holds the hook in line, so the tip must end before its points.'
            : 'The hook can fall back on its ring, so the tip must end before its eye.'
          : 'Measured over the whole band of the predicted spread, with the hook leaning.';
      switch (finding.severity) {
        case 'fault':
          return { title: `Blade reaches the hook ${posture}`, figure: `${distance} too far`, why };
        case 'caution': {
          const wanted = showLengthBoth(finding.wantedM, system);
          return { title: `Blade close to the hook ${posture}`, figure: `${distance} left; ${wanted} wanted`, why };
        }
        case 'good':
          return { title: `Blade clear of the hook ${posture}`, figure: distance, why };
        default:
          return never(finding.severity, 'findingWords');
      }
    }
    case 'clevisRoom': {
      const play = showLengthBoth(finding.roomM, system);
      const why = 'Play along the wire, so that the clevis is not pinched between its neighbours.';
      return finding.severity === 'fault'
        ? {
            title: 'No free room for the clevis to turn',
            figure: `${play}; it needs ${showLengthBoth(finding.wantedM, system)}`,
            why,
          }
        : { title: 'Clevis has room to turn', figure: play, why };
    }
    case 'crowdedClevis':
      return {
        title: 'Too much inside the clevis',
        figure: `${showLengthBoth(finding.insideM, system)} inside, legs ${showLengthBoth(finding.gapM, system)} apart`,
        why: 'Legs forced apart bind on the wire.',
      };
    case 'emptyClevis':
      return { title: 'A clevis without a blade', figure: '', why: `${named(0)} carries nothing yet.` };
    case 'boreTooTight':
      return {
        title: `Bore too tight: ${named(0)}`,
        figure: `bore ${showLengthBoth(finding.boreM, system)}, through it ${showLengthBoth(finding.throughM, system)}`,
        why: 'It cannot slide on. A thinner wire, or another part, would.',
      };
    case 'bladeHoleTooSmall':
      return {
        title: 'Blade hole too small for its clevis',
        figure: `hole ${showLengthBoth(finding.holeM, system)}, clevis ${showLengthBoth(finding.lobeM, system)}`,
        why: 'The blade would bind, or not go on at all.',
      };
    case 'hollowOutward':
      return {
        title: 'Blade hung the wrong way about',
        figure: '',
        why: 'Its hollow faces away from the body; the cup then catches no water.',
      };
    case 'endNotFormed':
      return {
        title: finding.end === 'nose' ? 'No line tie yet' : 'No tail loop yet',
        figure: '',
        why: 'The end of the wire is plain.',
      };
    case 'noTurningBlade':
      return {
        title: 'No blade turns on this wire',
        figure: '',
        why: 'Thread a clevis and hang a blade on it.',
      };
    case 'noHook':
      return { title: 'No hook', figure: '', why: 'Hang a ring on the tail loop and a hook on the ring.' };
    default:
      return never(finding, 'findingWords');
  }
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
    default:
      return never(repair, 'repairWords');
  }
}

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

export function refusalWords(refusal: Refusal | { readonly code: 'nothingToDo' }): string {
  switch (refusal.code) {
    case 'unknownItem':
      return `There is no ${refusal.item} on this lure.`;
    case 'itemExists':
      return `${refusal.item} is on the lure already.`;
    case 'idMismatch':
      return `The entry ${refusal.item} names itself otherwise.`;
    case 'noSuchPlace':
      return `Place ${refusal.index + 1} is beyond the string, which has ${refusal.length}.`;
    case 'cannotSit':
      return refusal.seat === 'strand'
        ? `A ${KIND_WORDS[refusal.kind].one} cannot be threaded on a wire: it has no bore for it.`
        : `A ${KIND_WORDS[refusal.kind].one} cannot hang on a wire loop.`;
    case 'nothingToHoldIt': {
      const [what, holder] = [KIND_WORDS[refusal.kind].one, KIND_WORDS[refusal.onKind].one];
      const verb = { hung: 'hang on', tied: 'be tied to', over: 'slide over' }[refusal.how];
      return `A ${what} cannot ${verb} a ${holder}: there is nothing to hold it.`;
    }
    case 'seatTaken':
      return `${refusal.on} already carries a blade; it has one lobe.`;
    case 'hangsOnItself':
      return `${refusal.item} would hang on itself.`;
    case 'leavesHanging':
      return `${refusal.item} would hang on nothing: ${refusal.on} is gone.`;
    case 'legsCrossed':
      return `The fore leg of ${refusal.item} cannot lie behind its aft leg: no way of threading gives that.`;
    case 'strandMismatch':
      return `${refusal.item} is not threaded the way its kind is: once, or once for each leg of a clevis.`;
    case 'hookWithoutRole':
      return `${refusal.item} needs a name for what it does on the lure.`;
    case 'swapKind':
      return `A ${KIND_WORDS[refusal.from].one} can only be swapped for another ${KIND_WORDS[refusal.from].one}.`;
    case 'nothingToDo':
      return 'There is nothing more to undo or redo.';
    default:
      return never(refusal, 'refusalWords');
  }
}

export function costWords(cost: Cost, build: Build, system: UnitSystem): string {
  const names = (ids: readonly ItemId[]) =>
    ids
      .map((id) => build.items[id]?.part)
      .map((part) => (part ? partTitle(part) : 'a part'))
      .join(', ');
  switch (cost.code) {
    case 'cutsWire':
      return `cuts the wire: new ${showLength(cost.wire.diameterM, system)} wire, ${showLength(cost.newLengthM, system)}`;
    case 'changesBladeAtClevis':
      return `changes at the clevis gate, nothing cut: ${names(cost.items)}`;
    case 'opensRing':
      return `opens the ring: ${names(cost.items)}`;
    case 'cutsTube':
      return `cuts the shrink tube: new tube, ${showLength(cost.newLengthM, system)}`;
    case 'tiesAgain':
      return `ties again: ${names(cost.items)}`;
    default:
      return never(cost, 'costWords');
  }
}
