/** Which handling a step is shown by: what words cannot tell, drawn from the step's own parts. */
import { childrenOf, itemOf, type Build, type ItemId } from '../../core/lure/lure';
import { wireEnd, wireOf } from '../../core/carriers/carrier';
import { goalOf } from '../../core/make/goal';
import type { MakeStep } from '../../core/make/plan';
import type { Part } from '../../core/parts/part';
import { nailFrames, screwEyeFrames } from './bodies';
import { lockFrames, skirtFrames, trailerFrames } from './behind-head';
import { stackFrames } from './clevises';
import type { Frame } from './frame';
import { baitFrames, gateFrames, knotFrames, linkFrames, snellFrames } from './knots';
import { loopFrames } from './loop';
import { ringFrames } from './ring';

export function handlingFrames({ operation, amounts, piece: { build, over } }: MakeStep): readonly Frame[] {
  switch (operation.op) {
    case 'formLoop':
    case 'rollLoop':
    case 'closeLoop':
      return loopFrames(wireEnd(build.carrier, operation.end), wireOf(build.carrier));
    case 'snell':
      return snellFrames(build, operation.hook);
    case 'tieEnd':
      return knotFrames(build, operation.end);
    case 'tieLink':
      return linkFrames(build, operation.item, operation.hook);
    case 'threadBait':
      return baitFrames(build, operation.item);
    case 'threadClevis': {
      const { part } = itemOf(build, operation.clevis);
      return part.kind === 'clevis' ? gateFrames(part, wireOf(build.carrier)) : [];
    }
    case 'threadLeg':
    case 'hangOnClevis': {
      const stack = [operation.clevis, ...goalOf(build, over).stackedWith(operation.clevis)].slice(0, 2);
      return stackFrames(build, inStrand(build, stack), over);
    }
    case 'hangByRing': {
      const ring = itemOf(build, operation.ring).part;
      const eye = itemOf(build, operation.items[0] ?? holderOf(build, operation.ring)).part;
      return ring.kind === 'splitRing' ? ringFrames(ring, eyeOf(eye), eye.finish.hex) : [];
    }
    case 'ringOverTie': {
      const ring = itemOf(build, operation.ring).part;
      const wire = wireOf(build.carrier);
      return ring.kind === 'splitRing' ? ringFrames(ring, wire.diameterM, wire.finish.hex) : [];
    }
    case 'fitSkirt':
      return skirtFrames(build, operation.skirt);
    case 'lockSkirt':
      return lockFrames(build, operation.item, operation.skirt);
    case 'screwNail':
      return nailFrames(build, operation.item);
    case 'screwIn':
      return screwEyeFrames(build, operation.item);
    case 'pushTrailer': {
      const out = amounts.find((amount) => amount.of === 'pushOut');
      return trailerFrames(build, operation.item, out?.of === 'pushOut' ? out.lengthM : null);
    }
    default:
      return [];
  }
}

/** The first of the stack, nose to tail, is drawn above. */
function inStrand({ strand }: Build, stack: readonly ItemId[]): ItemId[] {
  return [...new Set(strand.map(({ item }) => item))].filter((id) => stack.includes(id));
}

function holderOf(build: Build, ring: ItemId): ItemId {
  const { seat } = itemOf(build, ring);
  return seat.on === 'item' ? seat.item : (childrenOf(build, ring)[0]?.id ?? ring);
}

/** Inside of the eye or hole that goes on the ring, m. */
function eyeOf(part: Part): number {
  switch (part.kind) {
    case 'hook':
    case 'swivel':
    case 'body':
      return part.eyeInnerDiameterM;
    case 'blade':
      return part.holeDiameterM;
    case 'splitRing':
      return part.outerDiameterM / 2;
    default:
      return 0.002;
  }
}
