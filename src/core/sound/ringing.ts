/**
 * The notes that a part goes on with when it is struck: of sheet those of a free disc (disc-modes.ts), of a bell those of
 * its rim. A bead, a weight and a head have theirs far above hearing, a film and all that is soft lose them at once: of
 * those only the blow is heard.
 *
 * A bell's rim bends like a ring of radius R and wall t in its own plane: f_n = n(n² − 1)/√(n² + 1) · t/(2π√12 R²) √(E/ρ)
 * (Rayleigh, Theory of Sound, §233), its water inside and out being 2ρ_w R/n on each square metre.
 *
 * A blow of impulse spectrum F̂ gives a mode of mass M the speed F̂(f)/M; what it then gives to the water is a force of the
 * water it carries times its acceleration, of which most cancels between the parts of it that move to and fro.
 */
import { oncePer } from '../once';
import { bladeArea } from '../parts/blade-area';
import { densityOf } from '../parts/material';
import type { Part } from '../parts/part';
import { carriedWater, discMode, noteInWater, type DiscMode } from './disc-modes';
import { elasticOf, type Elastic } from './elastic';

export interface Note {
  readonly hz: number;
  /** What moves in it, with its water, kg. */
  readonly massKg: number;
  /** Of that the water, kg. */
  readonly waterKg: number;
  /** Share of its energy lost in a radian. */
  readonly lossFactor: number;
}

/** Modes of sheet that are worked out: nodal diameters and circles. */
const SHEET_MODES = [
  [2, 0],
  [0, 1],
  [3, 0],
  [1, 1],
  [4, 0],
] as const;
const RIM_MODES = [2, 3, 4] as const;
/** Of the whole, what moves in one mode. Trade estimate, near what a free disc's modes have. */
const MODE_SHARE = 0.25;
/** A hollow stiffens the lowest note of sheet a little; others less. Trade estimate. */
const CUPPED = 1.08;
/** What the water takes of a ring in a radian, by rubbing and by sound. Trade estimate. */
const WATER_LOSS = 0.008;
/** What a bell that is pinched loses to what pinches it. Trade estimate. */
export const PINCHED_LOSS = 0.15;
/** What a blade loses to the clevis or the ears it hangs by. Trade estimate. */
const HUNG_LOSS = 0.02;
/** What rings faster than it dies away is no note. */
const MOST_LOSS = 0.03;
/** Above it nobody hears. */
const MOST_HZ = 20_000;
/** Stiffened by its crown, a bell's rim rings higher than a ring of its own. Trade estimate. */
const CROWNED = 1.3;

/** The notes of this part in water, lowest first; none of what does not ring. */
export function notesOf(part: Part, waterKgM3: number, isPinched = false): Note[] {
  const elastic = elasticOf(part.material);
  if (!elastic || elastic.lossFactor > MOST_LOSS) return [];
  const notes = rung(part, elastic, waterKgM3).filter(({ hz }) => hz < MOST_HZ);
  return isPinched ? notes.map((note) => ({ ...note, lossFactor: note.lossFactor + PINCHED_LOSS })) : notes;
}

function rung(part: Part, elastic: Elastic, waterKgM3: number): Note[] {
  switch (part.kind) {
    case 'blade':
    case 'deltaBlade':
      return sheetNotes(bladeArea(part), part.thicknessM, part.material, elastic, waterKgM3);
    case 'bell':
      return rimNotes(part, elastic, waterKgM3);
    default:
      return [];
  }
}

const sheetModes = oncePer((elastic: Elastic): readonly DiscMode[] =>
  SHEET_MODES.map(([diameters, circles]) => discMode(diameters, circles, elastic.poisson)),
);

function sheetNotes(
  areaM2: number,
  thicknessM: number,
  material: Part['material'],
  elastic: Elastic,
  waterKgM3: number,
): Note[] {
  const radiusM = Math.sqrt(areaM2 / Math.PI);
  const densityKgM3 = densityOf(material);
  const disc = { radiusM, thicknessM, densityKgM3, elastic };
  const dryKg = densityKgM3 * areaM2 * thicknessM;
  return sheetModes(elastic)
    .map((mode): Note => {
      const waterKg = MODE_SHARE * dryKg * carriedWater(disc, mode, waterKgM3);
      return {
        hz: CUPPED * noteInWater(disc, mode, waterKgM3),
        massKg: MODE_SHARE * dryKg + waterKg,
        waterKg,
        lossFactor: elastic.lossFactor + WATER_LOSS + HUNG_LOSS,
      };
    })
    .sort((a, b) => a.hz - b.hz);
}

function rimNotes(bell: Extract<Part, { kind: 'bell' }>, elastic: Elastic, waterKgM3: number): Note[] {
  const radiusM = bell.mouthDiameterM / 2;
  const { wallM, lengthM, material } = bell;
  const densityKgM3 = densityOf(material);
  const dryKg = densityKgM3 * 2 * Math.PI * radiusM * lengthM * wallM;
  return RIM_MODES.map((n): Note => {
    const inAir = ((n * (n * n - 1)) / Math.sqrt(n * n + 1)) * (wallM / (2 * Math.PI * Math.sqrt(12) * radiusM ** 2));
    const carried = (2 * waterKgM3 * radiusM) / n / (densityKgM3 * wallM);
    const waterKg = MODE_SHARE * dryKg * carried;
    return {
      hz: (CROWNED * inAir * Math.sqrt(elastic.youngPa / densityKgM3)) / Math.sqrt(1 + carried),
      massKg: MODE_SHARE * dryKg + waterKg,
      waterKg,
      lossFactor: elastic.lossFactor + WATER_LOSS,
    };
  });
}

/** Time in which a note falls by 20 dB, s: to a tenth of its swing, which falls as e^(−π f η t). */
export function decayOf({ hz, lossFactor }: Note): number {
  return Math.LN10 / (Math.PI * hz * lossFactor);
}
