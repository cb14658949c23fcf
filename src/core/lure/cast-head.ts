/** A head with its hook cast in it, and all that sits on both: skirt, trailer, keeper, dressing, stinger. */
import type { Head } from '../parts/part';
import { stateOf } from './item-state';
import { childrenOf, type Build, type Holder, type How, type Item } from './lure';
import type { PlacedOff } from './placed';

/** The head with its hook, and all that sits on both, along the shank. */
export function castHead(build: Build, head: Item, part: Head): PlacedOff[] {
  const on = (item: Item, x0M: number, x1M: number, parent: Holder, how: How, offAxisM = 0): PlacedOff => ({
    item,
    parent,
    how,
    line: 'head',
    x0M,
    x1M,
    pivotM: x0M,
    offAxisM,
    forward: false,
  });
  const collarM = part.lengthM;
  const behindCollarM = part.lengthM + part.collarLengthM;
  const onHook = (hook: Item, x0M: number, upM: number): PlacedOff[] => {
    if (hook.part.kind !== 'hook') return [];
    const { gapM, lengthM, wireDiameterM } = hook.part;
    const bendM = x0M + lengthM;
    return childrenOf(build, hook.id).flatMap((child): PlacedOff[] => {
      switch (child.part.kind) {
        case 'trailer':
          return [
            on(
              child,
              behindCollarM,
              behindCollarM + child.part.lengthM - stateOf(child, 'trailer').cutM,
              hook.id,
              'pushed',
              upM,
            ),
          ];
        case 'hook': {
          // A stinger's eye has gone over the point and lies in the bend.
          const stingerM = bendM - wireDiameterM - child.part.wireDiameterM;
          const stingerUpM = upM + gapM / 2;
          return [
            on(child, stingerM, stingerM + child.part.lengthM, hook.id, 'hung', stingerUpM),
            ...onHook(child, stingerM, stingerUpM),
          ];
        }
        case 'dressing':
          return [on(child, behindCollarM, behindCollarM + child.part.fibreLengthM, hook.id, 'tied', upM)];
        case 'keeper':
          return [
            on(
              child,
              behindCollarM + KEEPER_BEHIND_COLLAR_M,
              behindCollarM + KEEPER_BEHIND_COLLAR_M + child.part.legM,
              hook.id,
              'tied',
              upM,
            ),
          ];
        default:
          return [];
      }
    });
  };
  const children = childrenOf(build, head.id).flatMap((child): PlacedOff[] => {
    switch (child.part.kind) {
      case 'hook':
        return [
          on(child, part.hookAtM, part.hookAtM + child.part.lengthM, head.id, 'moulded'),
          ...onHook(child, part.hookAtM, 0),
        ];
      case 'skirt':
        return [
          on(child, collarM, collarM + child.part.collarLengthM, head.id, 'collared'),
          ...childrenOf(build, child.id).map((held) =>
            on(
              held,
              collarM,
              collarM + (child.part.kind === 'skirt' ? child.part.collarLengthM : 0),
              child.id,
              held.part.kind === 'softWire' ? 'tied' : 'banded',
            ),
          ),
        ];
      default:
        return [];
    }
  });
  return [on(head, 0, behindCollarM, 'nose', 'moulded'), ...children];
}

/** How far behind the collar a keeper is lashed. Trade estimate. */
const KEEPER_BEHIND_COLLAR_M = 0.003;
