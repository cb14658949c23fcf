/** How a skirt lies on its collar: how far its strands reach to the nose and to the tail, and how far it stands out. */
import type { Finish } from './kinds/common';
import type { SkirtLayer } from './kinds/skirt-layer';

export interface StrandGroup {
  readonly hex: string;
  readonly accentHex: string | null;
  readonly sheen: Finish['sheen'];
  readonly count: number;
  /** Reach of the strands from the collar, the tips as cut, m. */
  readonly toNoseM: number;
  readonly toTailM: number;
  readonly widthM: number;
}

export interface SkirtForm {
  readonly groups: readonly StrandGroup[];
  readonly longSide: 'nose' | 'tail';
  /** Longest reach each way, m. */
  readonly toNoseM: number;
  readonly toTailM: number;
  /** The angle from the shank at which strands leave the collar: the nearer it sits to an end the more they flare. */
  readonly flareRad: number;
  readonly isThinned: boolean;
}

const ONE_PIECE_STRAND_M = 0.0011;
/** Flare of strands held in their middle, and what holding them off it adds. Trade estimates. */
const LEAST_FLARE_RAD = 0.35;
const FLARE_OFF_CENTRE_RAD = 1.3;

/** What of a skirt its form follows from. */
interface SkirtBand {
  readonly finish: Finish;
  readonly strands: { readonly count: number; readonly lengthM: number } | null;
}

/**
 * @param collarAt how far along its strands the collar sits, 0…1
 * @param flipped its long side to the nose
 * @param held what is pulled through its band; anything but strips is left out
 */
export function skirtForm(
  { finish, strands }: SkirtBand,
  { collarAt, tips }: { readonly collarAt: number; readonly tips: 'even' | 'thinned' },
  flipped: boolean,
  held: readonly { readonly kind: string }[],
): SkirtForm {
  const shortShare = Math.min(collarAt, 1 - collarAt);
  const noseShare = flipped ? 1 - shortShare : shortShare;
  // A one-piece skirt is moulded about its collar: all its strands run one way.
  const group = (
    lengthM: number,
    { hex, accentHex, sheen, count, widthM }: Omit<StrandGroup, 'toNoseM' | 'toTailM'>,
  ): StrandGroup => ({
    hex,
    accentHex,
    sheen,
    count,
    widthM,
    toNoseM: lengthM * noseShare,
    toTailM: lengthM * (1 - noseShare),
  });
  const own = strands
    ? [
        group(strands.lengthM, {
          hex: finish.hex,
          accentHex: null,
          sheen: finish.sheen,
          count: strands.count,
          widthM: ONE_PIECE_STRAND_M,
        }),
      ]
    : [];
  const layers = held.filter(isLayer).map((layer) =>
    group(layer.lengthM, {
      hex: layer.finish.hex,
      accentHex: layer.accentHex,
      sheen: layer.finish.sheen,
      count: layer.strands,
      widthM: layer.strandWidthM,
    }),
  );
  const groups = [...own, ...layers];
  return {
    groups,
    longSide: noseShare > 0.5 ? 'nose' : 'tail',
    toNoseM: Math.max(0, ...groups.map(({ toNoseM }) => toNoseM)),
    toTailM: Math.max(0, ...groups.map(({ toTailM }) => toTailM)),
    flareRad: LEAST_FLARE_RAD + FLARE_OFF_CENTRE_RAD * (0.5 - shortShare),
    isThinned: tips === 'thinned',
  };
}

function isLayer(held: { readonly kind: string }): held is SkirtLayer {
  return held.kind === 'skirtLayer';
}
