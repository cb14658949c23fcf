/** Steps of making in sentences: what to do, how, and what to mind. */
import { capital } from './capital';
import { never } from '../core/never';
import type { Amount } from '../core/make/operation-rule';
import type { MakeStep } from '../core/make/plan';
import { itemOf, type Build, type End, type ItemId } from '../core/lure/lure';
import { carrierRoom, wireEnd } from '../core/carriers/carrier';
import { CARRIER_WORDS } from './carrier-words';
import { stateOf } from '../core/lure/item-state';
import { cutLengths } from '../core/lengths/lengths';
import type { Part, PartOf } from '../core/parts/part';
import { showLength, type UnitSystem } from '../core/units/write';
import { degrees } from './angle-words';
import { bodyStepWords } from './body-make-words';
import { finishWords, KIND_WORDS, partTitle } from './part-words';
import { distinctName, listed, lower, type StepWords } from './step-names';

const AMOUNT_WORDS: Readonly<Record<Amount['of'], string>> = {
  cut: 'cut to',
  inside: 'inside',
  play: 'play to leave',
  gap: 'gap to leave',
  turnedDown: 'turned down',
  cutOff: 'cut off',
  pushOut: 'point comes out at',
  collarAt: 'band at',
  tag: 'tag',
  spacing: 'shank to next eye',
  finished: 'finished length',
  fromNose: 'from the nose',
  depth: 'deep',
  fromHead: 'from its head',
  standsOut: 'stands out',
  count: 'how many',
  wraps: 'wraps',
  turns: 'turns',
  bends: 'bends',
  layers: 'layers',
  fold: 'fold',
};

export function amountName(amount: Amount): string {
  return AMOUNT_WORDS[amount.of];
}

/** Measures of a step that its sentences do not say: `wraps 3`, `play to leave 1.50 mm`. */
export function unsaidAmounts(step: MakeStep, system: UnitSystem): string[] {
  const { what, how } = stepWords(step, system);
  return step.amounts.flatMap((amount) => {
    const value =
      'lengthM' in amount
        ? showLength(amount.lengthM, system)
        : 'count' in amount
          ? String(amount.count)
          : degrees(amount.angleRad);
    const isSaid = new RegExp(`(^|\\D)${value.replace(/\./g, '\\.')}(\\D|$)`).test(`${what} ${how}`);
    return isSaid ? [] : [`${amountName(amount)} ${value}`];
  });
}

export function stepWords({ operation, amounts, joins, piece: { build } }: MakeStep, system: UnitSystem): StepWords {
  const behind = joins ? [behindName(joins.part)] : [];
  const part = (id: ItemId) => itemOf(build, id).part;
  const name = (id: ItemId) => distinctName(build, id);
  const size = (of: Amount['of']) => {
    const found = amounts.find((amount) => amount.of === of);
    return found && 'lengthM' in found ? showLength(found.lengthM, system) : '';
  };
  const { carrier } = build;
  switch (operation.op) {
    case 'cutWire':
      return {
        what: `Cut the ${lower(carrier.wire)} to ${size('cut')}.`,
        how: 'Loops, wraps and tags are in this length.',
      };
    case 'cutLine':
      return {
        what: `Cut the ${lower(carrier.wire)} to ${size('cut')}.`,
        how: 'Knots, snells, tags and a spare for a spoilt knot are in this length.',
      };
    case 'tieEnd':
      return lineEndWords(build, operation.end, [...operation.holding.map(name), ...behind]);
    case 'joinBehind':
      return part(operation.on).kind === 'splitRing'
        ? {
            what: `Hang the ${listed(behind)} in the ${name(operation.on)}.`,
            how: 'Part the coils, its eye in and all the way round.',
          }
        : { what: `Hang the ${listed(behind)} in the ${name(operation.on)}.`, how: 'Open it, the eye in, shut it.' };
    case 'snell': {
      const { snell } = stateOf(itemOf(build, operation.hook), 'hook');
      const side = snell?.enters === 'backSide' ? 'from the back of the hook' : 'from the side of the point';
      const spacing = size('spacing');
      return {
        what: `Snell the ${name(operation.hook)}: ${snell?.wraps ?? 0} wraps.`,
        how: `Line through the eye ${side}, wraps about the shank towards the bend, the end back through them.${spacing === '' ? '' : ` Hold it beside the hook behind first: ${spacing} of line from its last wrap to that eye.`}`,
      };
    }
    case 'takeFrame': {
      const head = operation.head ? ` with its ${name(operation.head)}` : '';
      const frame = carrierRoom(carrier).bought(carrier)?.name.toLowerCase() ?? 'frame';
      return { what: `Take the ${frame}${head}.`, how: 'Its end stays straight until all is threaded.' };
    }
    case 'bendWire':
      return {
        what: 'Bend the wire to its template.',
        how: 'In the order of the marks; lay it flat on the table after each bend.',
      };
    case 'castHead':
      return {
        what: `Cast the ${name(operation.head)} about the end of the wire${operation.hook ? ` with the ${name(operation.hook)} in it, point up` : ''}.`,
        how: 'The arm lies in the plane of the hook.',
      };
    case 'formLoop':
      return { what: `Roll the ${endName(build, operation.end)} and close it.`, how: closeHow(build, operation.end) };
    case 'rollLoop':
      return { what: `Roll the ${endName(build, operation.end)}, ${size('inside')} inside.`, how: 'Leave it open.' };
    case 'hangInLoop':
      return { what: `Hang the ${name(operation.item)} in the open loop.`, how: '' };
    case 'closeLoop':
      return { what: `Close the ${endName(build, operation.end)}.`, how: closeHow(build, operation.end) };
    case 'turnDown':
      return { what: `Turn the last ${size('turnedDown')} of the wire down square.`, how: 'Clip what is over.' };
    case 'thread': {
      const [first] = operation.items;
      if (!first) return { what: '', how: '' };
      const count = operation.items.length;
      return {
        what: `Thread ${count === 1 ? 'the' : `${count} ×`} ${told(part(first), system)}.`,
        how: facing(build, first),
      };
    }
    case 'dressWire':
      return { what: `Tie the ${name(operation.item)} on the wire.`, how: 'A thread base first; cement the finish.' };
    case 'slideOver':
      return {
        what: `Slide the ${name(operation.item)} over the ${KIND_WORDS[part(operation.host).kind].one}.`,
        how: part(operation.item).kind === 'bell' ? 'Its mouth to the tail.' : '',
      };
    case 'threadClevis':
      return {
        what: operation.hung
          ? `Thread the ${name(operation.clevis)} with the ${name(operation.hung)} on it.`
          : `Thread the ${name(operation.clevis)}.`,
        how: operation.hung ? 'The blade on the clevis first, its hollow to the body; then both legs.' : 'Both legs.',
      };
    case 'threadLeg':
      return operation.which === 'lower'
        ? { what: `Thread the lower leg of the ${name(operation.clevis)}.`, how: 'Its upper leg waits.' }
        : { what: `Thread the upper leg of the ${name(operation.clevis)}.`, how: 'That closes it about its blade.' };
    case 'hangOnClevis':
      return {
        what: `Hang the ${name(operation.item)} on the waiting ${name(operation.clevis)}.`,
        how: 'Its hollow to the body.',
      };
    case 'cutTubes': {
      const cuts = cutLengths(build);
      const cutOf = (id: ItemId) => {
        const cut = cuts.find(({ item }) => item?.id === id);
        return cut ? ` to ${showLength(cut.cutM, system)}` : '';
      };
      return {
        what: `Cut the tube: ${operation.items.map((id) => `${name(id)}${cutOf(id)}`).join(', ')}.`,
        how: 'Square across.',
      };
    }
    case 'shrinkTube':
      return {
        what: `Slide the ${name(operation.item)} over loop, ring and hook eye, and shrink it.`,
        how: 'From the middle outward, turning it.',
      };
    case 'slideUp':
      return { what: `Slide the ${name(operation.item)} up over the end of the loop.`, how: 'It plugs the gap.' };
    case 'hangByRing': {
      const held = listed(operation.items.map(name));
      const { seat } = itemOf(build, operation.ring);
      const holder = !operation.isHung
        ? ''
        : seat.on === 'item'
          ? name(seat.item)
          : seat.on === 'end'
            ? endName(build, seat.end)
            : '';
      return {
        what: holder
          ? `Open the ${name(operation.ring)}: ${held === '' ? '' : `the ${held} on it, then `}onto the ${holder}.`
          : `Open the ${name(operation.ring)} and put the ${held} on it.`,
        how: 'Turn it right round, until it springs flat.',
      };
    }
    case 'hangByEye':
      return { what: `Hang the ${name(operation.hook)} by its open eye.`, how: 'Then press the eye shut.' };
    case 'hangOnSnap':
      return {
        what: `Open the ${name(operation.snap)} and put the ${name(operation.item)} on it.`,
        how: 'Press it shut.',
      };
    case 'ringOverTie':
      return { what: `Force the ${name(operation.ring)} over the line tie.`, how: 'Both legs of the wire through it.' };
    case 'tieDressing':
      return {
        what: `Tie the ${name(operation.item)} to the shank of the ${name(operation.hook)}.`,
        how: 'A thread base on cement, the bundle lashed at its neck, a whip finish, cement.',
      };
    case 'lashKeeper':
      return {
        what: `Bend the ${name(operation.item)} and lash it to the shank.`,
        how: 'Close turns of craft wire; press the ends flat.',
      };
    case 'pinchBarb':
      return { what: `Press the barb of the ${name(operation.hook)} flat.`, how: 'Along the point, in small bites.' };
    case 'foldFilm':
      return {
        what: `Fold the ${name(operation.item)} back by ${degrees(stateOf(itemOf(build, operation.item), 'film').foldRad)}.`,
        how: 'Both lobes alike.',
      };
    case 'fixRivet':
      return stateOf(itemOf(build, operation.item), 'rivet').fixing === 'upset'
        ? {
            what: `Crimp the ${name(operation.item)}, upset its rim and file it rough.`,
            how: 'It bites the blade at once.',
          }
        : { what: `Crimp the ${name(operation.item)} on the wire.`, how: 'It must not turn.' };
    case 'bendToTick':
      return {
        what: `Bend the arm until the ${name(operation.blade)} just ticks.`,
        how: 'A little at a time, near the head. Past the sweet spot it drags.',
      };
    case 'pullLayers':
      return {
        what: `Pull ${operation.layers.length === 1 ? 'the layer' : `${operation.layers.length} layers`} through the ${name(operation.skirt)}.`,
        how: `${capital([...new Set(operation.layers.map((id) => finishWords(part(id))))].join(', then '))}. Near one end, so that it flares.`,
      };
    case 'fitSkirt':
      return {
        what: `Wet the collar and push the ${name(operation.skirt)} on.`,
        how: 'Point first through the middle of it, along the shank.',
      };
    case 'lockSkirt':
      return {
        what: `Lock the skirt with the ${name(operation.item)}.`,
        how: `${stateOf(itemOf(build, operation.item), 'lock').turns} turns, pull and twist, clip, press the ends down.`,
      };
    case 'thinTips':
      return { what: 'Thin the tips of the skirt unevenly.', how: 'A few strands at a time, never in one line.' };
    case 'buryPoint':
      return {
        what: `Bury the point of the ${name(operation.hook)} in the back of the ${name(operation.item)}.`,
        how: 'Push the body up a little, press the point in until it lies just under the skin, and let the body lie straight again.',
      };
    case 'cutTrailer': {
      const { cutM, rounded } = stateOf(itemOf(build, operation.item), 'trailer');
      return {
        what:
          cutM > 0
            ? `Cut ${showLength(cutM, system)} off the head of the ${name(operation.item)}.`
            : `Round the head of the ${name(operation.item)}.`,
        how: cutM > 0 && rounded ? 'Round what is left, to fit the collar.' : '',
      };
    }
    case 'pushTrailer': {
      const claw =
        part(operation.item).kind === 'trailer' && stateOf(itemOf(build, operation.item), 'trailer').cutM === 0;
      return {
        what: `Push the ${name(operation.item)} on the hook, dead straight.`,
        how: `Cap off. In at the middle of its head${size('pushOut') === '' ? '' : `, out ${size('pushOut')} behind it`}${claw ? '' : '; the cut end to the collar'}.`,
      };
    }
    case 'hangStinger':
      return {
        what: `Put the eye of the ${name(operation.hook)} over the point of the ${name(operation.on)}.`,
        how: 'Cap off. Nothing else goes over this point afterwards.',
      };
    case 'keepStinger':
      return {
        what: `Push the ${name(operation.item)} over the point of the ${name(operation.hook)}, past its barb.`,
        how: 'Hold the hook by its shank with pliers and push away from the fingers. What hangs in the bend still has to swing.',
      };
    case 'tieLink': {
      const held = listed(operation.holding.map(name));
      return {
        what: `Loop the ${name(operation.item)} through the eye of the ${name(operation.hook)}${held === '' ? '' : ` and tie the ${held} to it`}.`,
        how: `${size('spacing')} from eye to eye, cut to ${size('cut')}. Wet the knots and draw them down; trim.`,
      };
    }
    case 'threadBait':
      return baitWords(build, operation.item, name(operation.item));
    case 'takeBody':
    case 'screwIn':
    case 'openBodyEye':
    case 'screwNail':
      return bodyStepWords(operation, build, size);
    case 'capPoint':
      return { what: `Cap the point of the ${name(operation.hook)}.`, how: 'It stays covered until it is needed.' };
    default:
      return never(operation, 'stepWords');
  }
}

/** A worm up over the eye to the collar, the rest on the hooks behind it; or through its side once. */
function baitWords(build: Build, item: ItemId, name: string): StepWords {
  const { hangs } = stateOf(itemOf(build, item), 'bait');
  return hangs === 'throughSide'
    ? { what: `Put the hook once through the side of the ${name}.`, how: 'Point out; the rest trails.' }
    : {
        what: `Thread the ${name} head first on the front hook, up to the collar.`,
        how: 'Caps off. Point out. The other hooks go through it where they come to lie, so that it trails straight and does not ball up.',
      };
}

/** A piece that was made before. */
function behindName(part: Part): string {
  return part.kind === 'lureBody' ? lower(part) : 'piece made before';
}

/** A knot or a loop at the end of a line. */
function lineEndWords(build: Build, end: End, held: readonly string[]): StepWords {
  const form = wireEnd(build.carrier, end);
  const to = held.length > 0 ? ` to the ${listed(held)}` : '';
  if (form.form === 'tiedLoop') {
    return {
      what: `Knot a loop into the ${endName(build, end)}.`,
      how: `The line doubled, an overhand knot passed twice${held.length > 0 ? `; the ${listed(held)} in the loop` : ''}. Wet it, draw all strands down together.`,
    };
  }
  if (form.form !== 'knot') return { what: '', how: '' };
  return form.knot === 'palomar'
    ? {
        what: `Tie the ${endName(build, end)}${to} with a palomar knot.`,
        how: 'Doubled line through the eye, an overhand knot in it, the loop over what hangs there. Wet it, draw it down.',
      }
    : {
        what: `Tie the ${endName(build, end)}${to} with a clinch knot, ${form.turns} turns.`,
        how: 'Through the eye, turns about the standing line, the end back through the first of them. Wet it, draw it down.',
      };
}

/** How a loop is closed: wraps and play, or a gap to leave. */
function closeHow(build: Build, end: End): string {
  const form = wireEnd(build.carrier, end);
  if (form.form === 'wrappedLoop') return 'Wraps close to each other, tight to the loop; clip the tag.';
  if (form.form !== 'bentLoop') return '';
  return form.gapM > 0 ? 'Not too far: the gap stays.' : 'Until it just meets, not too far.';
}

function endName({ carrier }: Build, end: End): string {
  const { tie, tailLoop } = CARRIER_WORDS[carrier.kind];
  return end === 'nose' ? tie : tailLoop;
}

/** Beads are told apart by size and colour. */
function told(part: Part, system: UnitSystem): string {
  const size = part.kind === 'bead' ? `${showLength(part.diameterM, system)} ` : '';
  const finish = finishWords(part);
  const isSaid = partTitle(part).toLowerCase().includes(finish);
  const colour = (part.kind === 'bead' || part.kind === 'weight') && !isSaid ? `, ${finish}` : '';
  return `${size}${lower(part)}${colour}`;
}

/** How a stop comes to hold its place on the line. */
const STOP_HOWS: Readonly<Record<PartOf<'stop'>['style'], string>> = {
  rubber: 'Wet the line and slide it to its place.',
  knot: 'Draw its knot down wet, trim both ends, slide it to its place.',
  peg: 'At its place push the peg in beside the line until it holds against a pull; cut it off flush.',
  shot: 'At its place pinch it shut with flat pliers, its slit along the line.',
};

function facing(build: Build, id: ItemId): string {
  const { part, flipped } = itemOf(build, id);
  if (part.kind === 'cap') return `Its open side to the ${flipped ? 'nose' : 'tail'}.`;
  if (part.kind === 'weight' && part.shape === 'teardrop') return `Its thick end to the ${flipped ? 'nose' : 'tail'}.`;
  if (part.kind === 'stop') return STOP_HOWS[part.style];
  if (part.kind === 'deltaBlade') return 'Front ear first, its hollow to the head.';
  return '';
}

/** What a step is the last chance for, beside what it puts on itself. */
export function lastChanceWords({ lastChanceFor, piece: { build } }: MakeStep): string {
  const names = lastChanceFor.map((id) => lower(itemOf(build, id).part));
  const counted = [...new Set(names)].map((name) => {
    const count = names.filter((each) => each === name).length;
    return count === 1 ? name : `${count} × ${name}`;
  });
  return counted.join(', ');
}
