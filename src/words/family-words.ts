import type { Family } from '../core/lure/lure';

/** What each family is called. */
export const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  inlineSpinner: 'Inline spinner',
  spinnerbait: 'Spinnerbait',
  buzzbait: 'Buzzbait',
  wormHarness: 'Worm harness',
  bladeLeader: 'Blade leader',
  bladeAhead: 'Blade ahead of a lure',
  hardBait: 'Hard bait with a blade',
  underspin: 'Underspin',
};
