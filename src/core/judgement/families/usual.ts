/** Of what fits a place that asks, what builders of the family usually put there: it is offered first. Trade estimates. */
import type { Family, Lure } from '../../lure/lure';
import type { Part } from '../../parts/part';
import type { SlotCode } from '../slot';

/** Below an arm a blade stays clear of the body when it is no longer than this. */
const UNDER_ARM_M = 0.018;
/** Under a belly a blade is so wide at most, of the body where that is widest: behind there it grows slimmer. A plate is taken as half as wide as high. */
const OF_BODY_WIDTH = 0.65;
/** And so long as this share of its room at most: the next hook hangs behind it. */
const OF_BODY_LENGTH = 0.4;

type Usual = (part: Part, lure: Lure) => boolean;

const USUAL: Readonly<Partial<Record<Family, Readonly<Partial<Record<SlotCode, Usual>>>>>> = {
  underspin: {
    head: (part) => part.kind !== 'head' || part.eye !== undefined,
    endBlade: (part) => part.kind !== 'blade' || part.lengthM <= UNDER_ARM_M,
    softBody: (part) => part.kind !== 'trailer' || part.style === 'swimmer',
  },
  hardBait: {
    bellyBlade: (part, { build: { carrier } }) =>
      part.kind !== 'blade' ||
      carrier.kind !== 'body' ||
      (part.widthM <= OF_BODY_WIDTH * Math.max(carrier.wire.widthM, carrier.wire.heightM / 2) &&
        part.lengthM <= OF_BODY_LENGTH * carrier.wire.lengthM),
    eyeHook: (part) => part.kind !== 'hook' || part.points === 3,
  },
};

/** @param slot the place that asks; null where none does */
export function isUsualForSlot(lure: Lure, slot: SlotCode | null, part: Part): boolean {
  const usual = slot === null ? undefined : USUAL[lure.family]?.[slot];
  return usual === undefined || usual(part, lure);
}
