/** Mass of a part from its geometry and its material's density, kg: the check on every measured mass. */
import { never } from '../never';
import { FILM_LOBE, PATTERNS } from './blade-pattern';
import { densityOf } from './material';
import { filmLobe, planArea, sheetArea } from './outline';
import { deltaLobeArea } from './delta-form';
import { formedLength } from './formed-wire';
import { headVolume } from './head-form';
import type { Part, PartOf } from './part';
import { radiusProfile, type BoredPart } from './profile';

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
    case 'rivet':
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
    case 'head':
      return headVolume(part) + disc(part.collarDiameterM) * part.collarLengthM;
    case 'swivel': {
      const barrelM = part.lengthM - 2 * (part.eyeInnerDiameterM + part.eyeWireM);
      const eyesM = 2 * Math.PI * (part.eyeInnerDiameterM + part.eyeWireM) + barrelM;
      return disc(part.barrelDiameterM) * Math.max(barrelM, 0) * 0.75 + disc(part.eyeWireM) * eyesM;
    }
    case 'deltaBlade':
      return deltaLobeArea(part) * part.lobes * part.thicknessM;
    case 'skirt': {
      const band = (disc(part.collarDiameterM) - disc(part.boreM)) * part.collarLengthM;
      const strands = part.strands ? part.strands.count * part.strands.lengthM * ONE_PIECE_STRAND_M2 : 0;
      return band + strands;
    }
    case 'skirtLayer':
      return part.strands * part.lengthM * part.strandWidthM * part.strandThicknessM;
    case 'trailer':
      return disc(part.bodyM) * part.lengthM * TRAILER_FULLNESS[part.style];
    case 'keeper':
      return disc(part.wireDiameterM) * keeperWire(part);
    case 'softWire':
      return disc(part.diameterM) * part.stockLengthM;
    case 'body': {
      const metal = { ...part, kind: 'weight', lengthM: part.metalLengthM, boreM: part.wireDiameterM } as const;
      const eyesM = 2 * Math.PI * (part.eyeInnerDiameterM + part.wireDiameterM) + part.metalLengthM;
      return solidBored(metal) + disc(part.wireDiameterM) * eyesM;
    }
    case 'frame':
      return (
        materialVolume(part.head) +
        materialVolume(part.hook) +
        disc(part.wire.diameterM) * formedLength(part.form, part.wire.diameterM)
      );
    default:
      return never(part, 'materialVolume');
  }
}

export function massFromGeometry(part: Part): number {
  if (part.kind !== 'frame') return materialVolume(part) * densityOf(part.material);
  const { head, hook, wire, form } = part;
  return massFromGeometry(head) + massFromGeometry(hook) + wireMass(wire, formedLength(form, wire.diameterM));
}

/** Mass of a length of stock sold by length, kg. */
export function wireMass(stock: { readonly massKg: number; readonly stockLengthM: number }, lengthM: number): number {
  return (stock.massKg / stock.stockLengthM) * lengthM;
}

/** Wire in a keeper: the leg on the shank, the bight about it and the barb that stands off, m. */
export function keeperWire({ legM, standM, wireDiameterM }: PartOf<'keeper'>): number {
  return legM + Math.PI * wireDiameterM * 2 + 2 * standM;
}

/** Section of a strand of a one-piece skirt, m². */
const ONE_PIECE_STRAND_M2 = 0.0011 * 0.0009;
/** How much of the cylinder about it a soft tail fills. Trade estimates. */
const TRAILER_FULLNESS = { paddleTail: 0.52, kickingFrog: 0.6, grub: 0.46, claw: 0.42, segmentedMinnow: 0.5 } as const;

function disc(diameterM: number): number {
  return (Math.PI / 4) * diameterM ** 2;
}

function solidBored(part: BoredPart): number {
  return revolve(part, (radiusM) => radiusM ** 2 - (part.boreM / 2) ** 2);
}

/** A thin wall that follows the profile. */
function shell(part: BoredPart, wallM: number): number {
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

function revolve(part: BoredPart, section: (radiusM: number) => number) {
  const profile = radiusProfile(part);
  let volume = 0;
  for (let i = 1; i < profile.length; i++) {
    const [a, b] = [profile[i - 1], profile[i]];
    if (!a || !b) continue;
    volume += Math.PI * Math.max(section((a.radiusM + b.radiusM) / 2), 0) * (b.xM - a.xM);
  }
  return volume;
}
