import type { Part } from '../parts/part';

/** How far a part reaches from the line it lies on, m; a bow or a hook's gap to its one side. */
export function outsideRadius(part: Part): number {
  switch (part.kind) {
    case 'bead':
    case 'sleeve':
    case 'striker':
    case 'cap':
    case 'weight':
      return part.diameterM / 2;
    case 'bell':
      return part.mouthDiameterM / 2;
    case 'clevis':
      return part.boreM / 2 + part.legThicknessM;
    case 'dressing':
      return part.bulkM / 2;
    case 'shrinkTube':
      return part.recoveredBoreM / 2 + 2 * part.suppliedWallM;
    case 'splitRing':
      return part.outerDiameterM / 2;
    case 'blade':
      return part.widthM / 2;
    case 'hook':
      return part.gapM;
    case 'filmBlade':
      return part.spanM / 2;
    case 'wire':
    case 'softWire':
      return part.diameterM / 2;
    case 'head':
      return part.heightM / 2;
    case 'swivel':
      return part.barrelDiameterM / 2;
    case 'deltaBlade':
      return part.spanM / 2;
    case 'rivet':
      return part.flangeDiameterM / 2;
    case 'skirt':
      return part.collarDiameterM / 2;
    case 'skirtLayer':
      return part.strandWidthM;
    case 'trailer':
      return part.bodyM / 2;
    case 'keeper':
      return part.standM;
    case 'body':
      return part.diameterM / 2;
    case 'frame':
      return part.head.heightM / 2;
  }
}
