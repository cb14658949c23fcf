/**
 * The outside of a turned part: radius against distance from its nose end. One profile serves drawing, mass and clearance.
 * Points run nose to tail; a step is two points at the same x.
 */
import { never } from '../never';
import type { Part, PartKind, PartOf } from './part';

export interface ProfilePoint {
  readonly xM: number;
  readonly radiusM: number;
}

/** Parts that are bored through and slide on a wire or on another part. */
export type BoredPart = PartOf<'bead' | 'sleeve' | 'bell' | 'striker' | 'cap' | 'weight' | 'rivet'>;

const BORED: ReadonlySet<PartKind> = new Set(['bead', 'sleeve', 'bell', 'striker', 'cap', 'weight', 'rivet']);

export function isBored(part: Part): part is BoredPart {
  return BORED.has(part.kind);
}

/** Outside radius over the part's length, with flat faces at the bore where the shape has them. */
export function radiusProfile(part: BoredPart): ProfilePoint[] {
  switch (part.kind) {
    case 'bead':
      return part.shape === 'disc'
        ? box(part.lengthM, part.diameterM)
        : part.shape === 'faceted'
          ? facets(part.lengthM, part.diameterM, part.boreM)
          : roundOff(part.lengthM, part.diameterM, part.boreM, 2);
    case 'sleeve':
    case 'striker':
      return box(part.lengthM, part.diameterM);
    case 'bell':
      return curve(part.lengthM, (x) => {
        const flare = Math.min(1, x / 0.55) ** 0.6 * 0.8 + 0.2 * x ** 2;
        return (part.neckDiameterM + (part.mouthDiameterM - part.neckDiameterM) * flare) / 2;
      });
    case 'cap':
      return curve(part.lengthM, (x) => {
        const dome = Math.sqrt(1 - (1 - x) ** 2);
        return part.boreM / 2 + (part.diameterM / 2 - part.boreM / 2) * dome;
      });
    case 'weight':
      return weightProfile(part);
    case 'rivet':
      return [
        { xM: 0, radiusM: part.flangeDiameterM / 2 },
        { xM: part.lengthM * FLANGE_SHARE, radiusM: part.flangeDiameterM / 2 },
        { xM: part.lengthM * FLANGE_SHARE, radiusM: part.diameterM / 2 },
        { xM: part.lengthM, radiusM: part.diameterM / 2 },
      ];
    default:
      return never(part, 'radiusProfile');
  }
}

/** The flange of a rivet, of its length. */
const FLANGE_SHARE = 0.2;

function weightProfile(part: PartOf<'weight'>): ProfilePoint[] {
  switch (part.shape) {
    case 'cylinder':
      return box(part.lengthM, part.diameterM);
    case 'barrel':
      return roundOff(part.lengthM, part.diameterM, part.diameterM * 0.55, 2.6);
    case 'egg':
      return roundOff(part.lengthM, part.diameterM, part.boreM * 1.6, 2);
    case 'teardrop':
      return curve(part.lengthM, (x) => {
        const end = part.boreM * 0.8;
        const swell = x < 0.68 ? Math.sin((x / 0.68) * (Math.PI / 2)) ** 1.15 : Math.cos(((x - 0.68) / 0.32) * 1.25);
        return end + (part.diameterM / 2 - end) * Math.max(swell, 0);
      });
    default:
      return never(part.shape, 'weightProfile');
  }
}

function curve(lengthM: number, radius: (x: number) => number, steps = 28): ProfilePoint[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const x = (1 - Math.cos((i / steps) * Math.PI)) / 2;
    return { xM: x * lengthM, radiusM: radius(x) };
  });
}

function box(lengthM: number, diameterM: number): ProfilePoint[] {
  return [
    { xM: 0, radiusM: diameterM / 2 },
    { xM: lengthM, radiusM: diameterM / 2 },
  ];
}

function facets(lengthM: number, diameterM: number, boreM: number): ProfilePoint[] {
  const end = Math.max(boreM / 2, diameterM * 0.32);
  return [
    { xM: 0, radiusM: end },
    { xM: lengthM * 0.3, radiusM: diameterM / 2 },
    { xM: lengthM * 0.7, radiusM: diameterM / 2 },
    { xM: lengthM, radiusM: end },
  ];
}

/** A body swelling from `endDiameter` to `diameter` and back; power 2 is elliptic, higher is fuller. */
function roundOff(lengthM: number, diameterM: number, endDiameterM: number, power: number): ProfilePoint[] {
  const end = Math.min(endDiameterM, diameterM) / 2;
  return curve(lengthM, (x) => {
    const u = Math.abs(2 * x - 1);
    return end + (diameterM / 2 - end) * (1 - u ** power) ** (1 / power);
  });
}
