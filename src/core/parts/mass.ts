/** Mass of a part from its geometry and its material's density, kg: the check on every measured mass. */
import { never } from '../never';
import { FILM_LOBE, PATTERNS } from './blade-pattern';
import { densityOf } from './material';
import { filmLobe, planArea, sheetArea } from './outline';
import type { Part } from './part';
import { radiusProfile } from './profile';

/** Volume of material, m³. Shapes are those of profile.ts; wire parts are developed lengths of round wire. */
export function materialVolume(part: Part): number {
  switch (part.kind) {
    case 'wire':
      return disc(part.diameterM) * part.stockLengthM;
    case 'clevis': {
      // A strip or wire of the lobe's thickness: two legs out to the drop and the bow that joins them.
      const developedM = 2 * (part.dropM + part.boreM) + part.legGapM + 2 * part.legThicknessM;
      const widthM = part.style === 'folded' ? part.boreM + 2.2 * part.legThicknessM : part.lobeThicknessM;
      return developedM * part.legThicknessM * widthM - 2 * disc(part.boreM) * part.legThicknessM * 0.5;
    }
    case 'blade':
      return (sheetArea(PATTERNS[part.pattern].outline, part) - disc(part.holeDiameterM)) * part.thicknessM;
    case 'filmBlade':
      return (2 * planArea(FILM_LOBE, filmLobe(part)) - disc(part.boreM)) * part.thicknessM;
    case 'bead':
      return part.wallM === null ? solidBored(part) : shell(part, part.wallM);
    case 'weight':
    case 'striker':
    case 'sleeve':
      return solidBored(part);
    case 'bell':
    case 'cap':
      return shell(part, part.wallM);
    case 'dressing':
      return disc(part.coreM) * part.fibreLengthM;
    case 'splitRing':
      return disc(part.wireDiameterM) * 2 * Math.PI * (part.outerDiameterM - part.wireDiameterM);
    case 'hook': {
      const bendM = (Math.PI / 2) * part.gapM;
      const perPointM = part.lengthM - part.gapM / 2 + bendM + part.gapM * 0.6;
      const eyeM = Math.PI * (part.eyeInnerDiameterM + part.wireDiameterM);
      // A treble is one double hook and a single brazed to it: three bends, and about two shanks up to the fork.
      const wires = part.points === 1 ? 1 : 2.6;
      return disc(part.wireDiameterM) * (perPointM * wires + eyeM);
    }
    case 'shrinkTube':
      return Math.PI * (part.suppliedBoreM + part.suppliedWallM) * part.suppliedWallM * part.stockLengthM;
    default:
      return never(part, 'materialVolume');
  }
}

export function massFromGeometry(part: Part): number {
  return materialVolume(part) * densityOf(part.material);
}

function disc(diameterM: number): number {
  return (Math.PI / 4) * diameterM ** 2;
}

function solidBored(part: Extract<Part, { lengthM: number; boreM: number }>): number {
  return revolve(part, (radiusM) => radiusM ** 2 - (part.boreM / 2) ** 2);
}

/** A thin wall that follows the profile. */
function shell(part: Extract<Part, { lengthM: number; boreM: number }>, wallM: number): number {
  const profile = radiusProfile(part);
  let volume = 0;
  for (let i = 1; i < profile.length; i++) {
    const [a, b] = [profile[i - 1], profile[i]];
    if (!a || !b) continue;
    const slantM = Math.hypot(b.xM - a.xM, b.radiusM - a.radiusM);
    volume += 2 * Math.PI * Math.max((a.radiusM + b.radiusM) / 2 - wallM / 2, 0) * slantM * wallM;
  }
  return volume;
}

function revolve(part: Extract<Part, { lengthM: number; boreM: number }>, section: (radiusM: number) => number) {
  const profile = radiusProfile(part);
  let volume = 0;
  for (let i = 1; i < profile.length; i++) {
    const [a, b] = [profile[i - 1], profile[i]];
    if (!a || !b) continue;
    volume += Math.PI * Math.max(section((a.radiusM + b.radiusM) / 2), 0) * (b.xM - a.xM);
  }
  return volume;
}
