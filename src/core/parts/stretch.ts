/** How much longer a line is while it is pulled: by F/(E A), F/A its pull on its section. */
import type { Line } from './kinds/line';

/** A firm pull of one hand, while measuring, N. Trade estimate. */
export const HAND_PULL_N = 10;

/**
 * Stiffness of wet line along itself over its full round section, Pa: nylon and fluorocarbon of fishing line about 1.5 to 2.5
 * GPa; of a braid, a third of its section is air and its fibres run aslant. Trade estimates, give or take a third.
 */
const ALONG_PA: Readonly<Partial<Record<Line['material'], number>>> = {
  nylon: 1.7e9,
  fluorocarbon: 2.4e9,
  braid: 2e10,
};

/** As a share of its length; null of a stuff of which it is not known. */
export function stretchShare(
  { material, diameterM }: Pick<Line, 'material' | 'diameterM'>,
  pullN: number,
): number | null {
  const alongPa = ALONG_PA[material];
  return alongPa === undefined ? null : pullN / (alongPa * Math.PI * (diameterM / 2) ** 2);
}
