/** A part as something that strikes: of what, how round, how heavy, and how much water it moves when it is stopped. */
import { roomOf, type Part } from '../parts/part';
import { elasticOf, type Elastic } from './elastic';
import type { Striker } from './impact';

/** A compact body carries about half of the water that it displaces along with it: a ball does (Lamb, Hydrodynamics, §92). */
const CARRIED_WATER = 0.5;
/** How round what has no form of its own is at its edges. Trade estimate. */
const EDGE_M = 0.001;
/** Of a blade's mass, what a blow on its edge or through its clevis has to stop: the rest swings about. Trade estimate. */
const BLADE_SHARE = 0.3;

/** Whether a part is so hard that a blow of it is heard. */
export function isHard(part: Part): boolean {
  return elasticOf(part.material) !== null;
}

/** A part that strikes, m, kg. */
export interface Piece extends Striker {
  /**
   * Force that it gives to the water for each newton that stops it: what it displaces and carries along over all that moves.
   */
  readonly pushes: number;
}

/**
 * This part as a piece that strikes; null where it is so soft that no blow of it is heard.
 * @param carries the blade that hangs on it, of which a share is stopped with it
 */
export function pieceOf(part: Part, waterKgM3: number, carries: Part | null = null): Piece | null {
  const elastic = elasticOf(part.material);
  if (!elastic) return null;
  const [own, hung] = [stoppedOf(part), carries ? stoppedOf(carries) : { massKg: 0, volumeM3: 0 }];
  const [dryKg, volumeM3] = [own.massKg + hung.massKg, own.volumeM3 + hung.volumeM3];
  const carriedKg = CARRIED_WATER * waterKgM3 * volumeM3;
  const massKg = dryKg + carriedKg;
  return {
    elastic,
    radiusM: roundnessM(part),
    massKg,
    pushes: (waterKgM3 * volumeM3 + carriedKg) / massKg,
  };
}

/** What lies on the bottom: it does not give way, and pushes no water. */
export function bottomPiece(elastic: Elastic, radiusM: number): Piece {
  return { elastic, radiusM, massKg: Infinity, pushes: 0 };
}

const IN_PART: ReadonlySet<Part['kind']> = new Set(['blade', 'deltaBlade', 'filmBlade']);

/** What of a part a blow has to stop. */
function stoppedOf(part: Part): { readonly massKg: number; readonly volumeM3: number } {
  const share = IN_PART.has(part.kind) ? BLADE_SHARE : 1;
  return { massKg: share * part.massKg, volumeM3: share * roomOf(part).displacedM3(part, part.massKg) };
}

/** How round a part is where it strikes, m. Of turned parts their end, of sheet its edge, of wire its own roundness. */
export function roundnessM(part: Part): number {
  switch (part.kind) {
    case 'bead':
      return part.shape === 'round' ? part.diameterM / 2 : EDGE_M;
    case 'blade':
    case 'deltaBlade':
      return Math.max(part.thicknessM, EDGE_M / 2);
    case 'hook':
      return part.wireDiameterM / 2;
    case 'head':
      return 4 * EDGE_M;
    case 'weight':
    case 'body':
    case 'striker':
      return 2 * EDGE_M;
    default:
      return EDGE_M;
  }
}
