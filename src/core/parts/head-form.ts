/**
 * The outside of a moulded head: height above and below the shank's axis against the way from its nose. One form serves
 * drawing, mass and contact. The widths stand to the heights as the head's width to its height.
 */
import { never } from '../never';

export const HEAD_SHAPES = ['bullet', 'ball', 'minnow', 'flat', 'cone'] as const;

/** What of a head its outside follows from. */
export interface HeadForm {
  readonly shape: (typeof HEAD_SHAPES)[number];
  readonly lengthM: number;
  readonly heightM: number;
  readonly widthM: number;
  readonly collarDiameterM: number;
}

export interface HeadStation {
  readonly xM: number;
  readonly upM: number;
  readonly downM: number;
}

const STEPS = 28;

/** The outline of a head from nose to collar, m above and below its axis. */
export function headProfile(head: HeadForm): HeadStation[] {
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const x = (1 - Math.cos((i / STEPS) * Math.PI)) / 2;
    const [up, down] = halves(head.shape, x);
    const leastM = x > 0.8 ? head.collarDiameterM / 2 : 0;
    const half = head.heightM / 2;
    return { xM: x * head.lengthM, upM: Math.max(up * half, leastM), downM: Math.max(down * half, leastM) };
  });
}

/** Share of the half height above and below the axis at x, 0 at the nose and 1 at the collar. */
function halves(shape: HeadForm['shape'], x: number): readonly [number, number] {
  switch (shape) {
    case 'ball': {
      const round = Math.sqrt(Math.max(0, 1 - (2 * x - 1) ** 2));
      return [round, round];
    }
    case 'bullet': {
      const nose = Math.min(1, x / 0.7) ** 0.62;
      return [nose, nose];
    }
    case 'cone':
      return [0.16 + 0.84 * x, 0.16 + 0.84 * x];
    case 'minnow': {
      const back =
        Math.sin(Math.min(1, x / 0.62) * (Math.PI / 2)) ** 0.7 * (x > 0.62 ? 1 - 0.45 * ((x - 0.62) / 0.38) : 1);
      return [back * 0.9, back];
    }
    case 'flat': {
      const round = Math.sqrt(Math.max(0, 1 - (2 * x - 1) ** 4));
      return [round * 0.55, round];
    }
    default:
      return never(shape, 'headProfile');
  }
}

/** Volume of the head without its collar, m³: ellipses from nose to collar. */
export function headVolume(head: HeadForm): number {
  const stations = headProfile(head);
  const wide = head.widthM / head.heightM;
  return stations.slice(1).reduce((sum, b, i) => {
    const a = stations[i];
    if (!a) return sum;
    const heightM = (a.upM + a.downM + b.upM + b.downM) / 2;
    return sum + (Math.PI / 4) * heightM * heightM * wide * (b.xM - a.xM);
  }, 0);
}
