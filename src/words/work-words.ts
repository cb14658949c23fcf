/** Steps of building in sentences, with the caution at the step that needs it. */
import { never } from '../core/never';
import type { Hazard, WorkStep } from '../core/lure/work-step';
import type { Part } from '../core/parts/part';
import { showLength, showLengthBoth, type UnitSystem } from '../core/units/write';
import { CEMENT, CUTTING_WIRE, HOOK_POINTS, LEAD, SHRINKING_TUBE } from './caution-words';
import { finishWords, KIND_WORDS, partTitle } from './part-words';

export const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  clippedWire: CUTTING_WIRE,
  flame: SHRINKING_TUBE,
  hookPoint: HOOK_POINTS,
  lead: LEAD,
  cement: CEMENT,
};

export function workWords(step: WorkStep, system: UnitSystem): string {
  switch (step.do) {
    case 'cutWire':
      return `Cut the ${lower(step.part)} to ${showLengthBoth(step.lengthM, system)}.`;
    case 'tieDressing':
      return `Tie the ${lower(step.part)} to the shank of the ${lower(step.on)} and cement the thread.`;
    case 'formLoop': {
      const loop = `${step.end === 'nose' ? 'line tie' : 'tail loop'}, ${showLength(step.insideDiameterM, system)} inside`;
      const wraps = `${step.wraps} ${step.wraps === 1 ? 'wrap' : 'wraps'}`;
      const hold = step.holding.length > 0 ? ` Hang in it first: ${step.holding.map(lower).join(', ')}.` : '';
      const room =
        step.freeRoomM === null
          ? ''
          : ` This closes the wire, so look at the order once more. Leave ${showLength(step.freeRoomM, system)} of play.`;
      return `Roll the ${loop}; ${wraps} about the shaft; clip the tag.${hold}${room}`;
    }
    case 'hangByRing':
      return step.parts.length === 0
        ? `Open the ${lower(step.ring)} and hang it on.`
        : `Open the ${lower(step.ring)}; hang it on with the ${step.parts.map(lower).join(' and the ')}. See that it closes flat.`;
    case 'shrinkTube':
      return `Cut the ${lower(step.part)} to ${showLengthBoth(step.lengthM, system)}, slide it over loop, ring and hook eye, and shrink it.`;
    case 'thread':
      return `Thread ${step.count === 1 ? 'the' : `${step.count} ×`} ${sized(step.part, system)}${colour(step.part)}.`;
    case 'slideOver':
      return `Slide the ${lower(step.part)} over the ${KIND_WORDS[step.over.kind].one}, mouth to the tail.`;
    case 'threadClevis':
      return step.blade
        ? `Hang the ${lower(step.blade)} on the ${lower(step.clevis)}, hollow to the body, and thread both legs.`
        : `Thread both legs of the ${lower(step.clevis)}.`;
    case 'threadLeg':
      return step.leg === 'lower'
        ? `Thread the lower leg of the ${lower(step.clevis)}; its upper leg waits.`
        : step.blade
          ? `Hang the ${lower(step.blade)} on the waiting ${lower(step.clevis)}, hollow to the body, and close it with the upper leg.`
          : `Thread the upper leg of the ${lower(step.clevis)}.`;
    case 'check':
      switch (step.of) {
        case 'turnsFreely':
          return 'Flick the blade: it turns freely and comes to rest by itself.';
        case 'clearsHook':
          return 'Lay the blade back and swing it out: it stays clear of the hook both ways.';
        default:
          return never(step.of, 'workWords');
      }
    default:
      return never(step, 'workWords');
  }
}

function lower(part: Part): string {
  const title = partTitle(part);
  return title.charAt(0).toLowerCase() + title.slice(1);
}

/** Beads are told apart by their size. */
function sized(part: Part, system: UnitSystem): string {
  return part.kind === 'bead' ? `${showLength(part.diameterM, system)} ${lower(part)}` : lower(part);
}

function colour(part: Part): string {
  const finish = finishWords(part);
  const isTold = partTitle(part).toLowerCase().includes(finish);
  return (part.kind === 'bead' || part.kind === 'weight') && !isTold ? `, ${finish}` : '';
}
