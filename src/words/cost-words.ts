/** What a change costs on a made lure, in words. */
import type { Cost } from '../core/costs/cost';
import type { Build, ItemId } from '../core/lure/lure';
import { never } from '../core/never';
import { showLength, type UnitSystem } from '../core/units/write';
import { partTitle } from './part-words';

/** @param from the made build, which still has what came off; @param to what it becomes */
export function costWords(cost: Cost, from: Build, to: Build, system: UnitSystem): string {
  const names = (ids: readonly ItemId[]) =>
    ids
      .map((id) => (to.items[id] ?? from.items[id])?.part)
      .map((part) => (part ? partTitle(part) : 'a part'))
      .join(', ');
  switch (cost.code) {
    case 'cutsWire':
      return `cuts the ${cost.wire.kind}: new ${showLength(cost.wire.diameterM, system)} ${cost.wire.kind}, ${showLength(cost.newLengthM, system)}`;
    case 'otherBody':
      return `takes another body: ${partTitle(cost.part)}`;
    case 'screws':
      return `screws in or out: ${names(cost.items)}`;
    case 'leavesHole':
      return `leaves a hole where this was, to be filled and left to set: ${names(cost.items)}`;
    case 'opensBodyEye':
      return `bends the body’s own eye open and shut, as there is no ring: ${names(cost.items)}`;
    case 'changesBladeAtClevis':
      return `changes at the clevis gate, nothing cut: ${names(cost.items)}`;
    case 'opensRing':
      return `opens the ring: ${names(cost.items)}`;
    case 'cutsHook':
      return `cuts off the hook, never the wire’s eye: ${cost.parts.map(partTitle).join(', ')}. Eye protection on, the points held away under a cloth`;
    case 'opensEye':
      return `opens the hook’s own eye and shuts it: ${names(cost.items)}`;
    case 'cutsTube':
      return `cuts the shrink tube: new tube, ${showLength(cost.newLengthM, system)}`;
    case 'bendsWire':
      return 'bends the wire again';
    case 'opensEndLoop':
      return 'opens the end loop and closes it again';
    case 'newHead':
      return 'takes a new head on new wire';
    case 'slipsOff':
      return `slips off and on by hand: ${names(cost.items)}`;
    case 'tiesAgain':
      return `ties again: ${names(cost.items)}`;
    default:
      return never(cost, 'costWords');
  }
}
