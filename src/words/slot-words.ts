/** Places that ask for their next part, as they say it. */
import type { SlotCode } from '../core/judgement/slot';

export const SLOT_WORDS: Readonly<Record<SlotCode, string>> = {
  head: 'A head goes here',
  mainHook: 'A hook is cast in the head',
  guardBead: 'A bead goes next to the tie',
  knotBead: 'A small bead spares the knot',
  blade: 'A blade hangs on this clevis',
  bladeOnClevis: 'A blade on its clevis goes here',
  bearingBead: 'A bead goes behind it, to turn on',
  body: 'A body goes here',
  spacer: 'A spacer tube goes here',
  swivel: 'A swivel hangs at the end of the arm',
  endRing: 'A ring goes in the swivel',
  endBlade: 'A blade hangs on this ring',
  deltaBlade: 'A delta blade goes here',
  rivet: 'A rivet stops it',
  tailRing: 'A ring goes in the tail loop',
  tailHook: 'A hook hangs on this ring',
  skirt: 'A skirt is pushed on the collar',
  skirtLayer: 'Strands go in this band',
  lastHook: 'The last hook is snelled here',
  frontHook: 'A hook goes ahead of it',
  snap: 'A snap or a swivel, for the lure',
  rearStop: 'A stop behind the blade',
  frontStop: 'A stop ahead of it',
  bait: 'Worm, minnow or leech goes on this hook',
};
