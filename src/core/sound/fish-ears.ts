/**
 * About what fish hear. Their ears end somewhere in a range, which differs between kinds and tests: the middle is taken and
 * the range is told. Below 150 Hz it is the lateral line that feels it.
 */
export const FISH_GROUPS = ['perch', 'pike', 'salmonid', 'sunfish', 'carp'] as const;
export type FishGroup = (typeof FISH_GROUPS)[number];

export interface FishEars {
  /** Where hearing ends: the least, the usual and the most that is found, Hz. */
  readonly upToHz: readonly [number, number, number];
}

export const FISH_EARS: Readonly<Record<FishGroup, FishEars>> = {
  perch: { upToHz: [500, 700, 1000] },
  pike: { upToHz: [400, 500, 600] },
  salmonid: { upToHz: [300, 400, 500] },
  sunfish: { upToHz: [600, 800, 1000] },
  carp: { upToHz: [3000, 4000, 5000] },
};

export const LATERAL_LINE_HZ = 150;
