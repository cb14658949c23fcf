/** Steps of building in sentences, with the caution at the step that needs it. */
import { never } from '../core/never';
import type { Hazard, WorkStep } from '../core/lure/work-step';
import type { Part } from '../core/parts/part';
import { showLength, showLengthBoth, type UnitSystem } from '../core/units/write';
import { CEMENT, CUTTING_WIRE, HOOK_POINTS, HOT_METAL, KNIFE, LEAD, SHRINKING_TUBE } from './caution-words';
import { finishWords, KIND_WORDS, partTitle } from './part-words';

export const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  clippedWire: CUTTING_WIRE,
  flame: SHRINKING_TUBE,
  hookPoint: HOOK_POINTS,
  lead: LEAD,
  cement: CEMENT,
  hotMetal: HOT_METAL,
  blade: KNIFE,
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
    case 'takeFrame':
      return `Take the ${step.name.toLowerCase()}${step.head ? ` with its ${lower(step.head)}` : ''}. See that its bends lie flat.`;
    case 'castHead':
      return `Cast or clamp the ${lower(step.head)} about the end of the wire${step.hook ? ` with the ${lower(step.hook)} in it, point up` : ''}.`;
    case 'bendWire':
      return `Bend the wire to its template, ${step.bends} ${step.bends === 1 ? 'bend' : 'bends'} in the order of the marks; lay it flat on the table after each.`;
    case 'ringOverTie':
      return `Force the ${lower(step.ring)} over the line tie, both legs through it.`;
    case 'turnDown':
      return `Turn the last ${showLength(step.lengthM, system)} of the wire down square, and clip what is over.`;
    case 'closeLoop': {
      const hold = step.holding.length > 0 ? ` Hang in it first: ${step.holding.map(lower).join(', ')}.` : '';
      const end = step.plug
        ? `Leave it as it is and slide the ${lower(step.plug)} up over the end.`
        : 'Close it, not too far.';
      return `Bend the end loop, ${showLength(step.insideDiameterM, system)} inside.${hold} ${end}`;
    }
    case 'fixRivet':
      return step.fixing === 'crimped'
        ? `Crimp the ${lower(step.part)} on the wire.`
        : `Crimp the ${lower(step.part)} on the wire, upset its rim and file it rough.`;
    case 'fitSkirt': {
      const layers = step.layers.length > 0 ? ` with its ${step.layers.length} layers` : '';
      const lock = step.lock ? ` Lock it with the ${lower(step.lock)}: turns, twist, clip, press down.` : '';
      return `Wet the collar and push the ${lower(step.skirt)}${layers} on.${lock}`;
    }
    case 'pushTrailer': {
      const cut = step.cutM > 0 ? `Cut ${showLength(step.cutM, system)} off the head of the ${lower(step.part)}. ` : '';
      const round = step.rounded ? 'Round its head. ' : '';
      return `${cut}${round}Push the ${lower(step.part)} on the hook, dead straight.`;
    }
    case 'hangStinger':
      return `Put the eye of the ${lower(step.part)} over the point of the ${lower(step.on)}.`;
    case 'lashKeeper':
      return `Lash the ${lower(step.part)} to the shank with craft wire.`;
    case 'check':
      switch (step.of) {
        case 'turnsFreely':
          return 'Flick the blade: it turns freely and comes to rest by itself.';
        case 'clearsHook':
          return 'Lay the blade back and swing it out: it stays clear of the hook both ways.';
        case 'inLine':
          return 'Look from ahead: tie, arm, blades and hook stand in one line. A small bend near the head mends it.';
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
