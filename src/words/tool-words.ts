/** What a step of making takes: tools, supplies, time, and what can come to harm. */
import type { Hazard, Supply, Tool, Undoing, Wait } from '../core/make/operation-rule';
import { CEMENT, CUTTING_WIRE, HOOK_POINTS, HOT_METAL, KNIFE, LEAD, SHRINKING_TUBE } from './caution-words';

export const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  clippedWire: CUTTING_WIRE,
  flame: SHRINKING_TUBE,
  hookPoint: HOOK_POINTS,
  lead: LEAD,
  cement: CEMENT,
  hotMetal: HOT_METAL,
  blade: KNIFE,
};

export const TOOL_WORDS: Readonly<Record<Tool, string>> = {
  cutters: 'side cutters',
  roundPliers: 'round-nosed pliers',
  flatPliers: 'flat pliers',
  ringPliers: 'split-ring pliers',
  rule: 'rule or caliper',
  vise: 'vise',
  bobbin: 'thread bobbin',
  scissors: 'scissors',
  knife: 'sharp knife',
  heat: 'heat gun or lighter',
  mould: 'mould and ladle',
  file: 'fine file',
  awl: 'awl or fine drill',
};

export const SUPPLY_WORDS: Readonly<Record<Supply, string>> = {
  thread: 'tying thread',
  cement: 'head cement',
  water: 'warm water',
  cap: 'a cork or a bit of tube for the point',
  goggles: 'eye protection',
  craftWire: 'craft wire',
  board: 'cutting board',
  lead: 'metal for the head',
  glue: 'waterproof glue',
};

export const UNDOING_WORDS: Readonly<Record<Undoing, string>> = {
  byHand: 'Comes off again by hand.',
  withTool: 'Comes undone with a tool.',
  opensRing: 'Comes off by opening the ring.',
  destroys: 'Cannot be undone without cutting or making it anew.',
};

export const WAIT_WORDS: Readonly<Record<Wait['for'], string>> = {
  heat: 'heat, kept moving',
  cement: 'cement to dry',
  soak: 'band in warm water',
  cooling: 'metal to cool',
};
