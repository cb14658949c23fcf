/** Measures of one part that cannot stand together: a bead's hole as wide as the bead. Plain geometry, no estimates. */
import { never } from '../never';
import type { Part } from './part';

/** One measure that has to be smaller than another of the same part and is not. */
export interface MeasureFault {
  readonly less: Measure;
  readonly lessM: number;
  readonly than: Measure;
  readonly thanM: number;
}

export type Measure =
  | 'hole'
  | 'thickness'
  | 'diameter'
  | 'wall'
  | 'neck'
  | 'mouth'
  | 'length'
  | 'width'
  | 'span'
  | 'nest'
  | 'flange'
  | 'rootToHole'
  | 'hollow'
  | 'drop'
  | 'band'
  | 'core'
  | 'bulk'
  | 'wires'
  | 'wire'
  | 'gap'
  | 'eye'
  | 'shrunkHole'
  | 'wireAt'
  | 'hookAt'
  | 'eyes'
  | 'collar'
  | 'strandWidth'
  | 'kicksFrom'
  | 'body'
  | 'metal'
  | 'cut';

/** All that cannot stand together in this part, the plainest first. */
export function measureFaults(part: Part): MeasureFault[] {
  const pairs = pairsOf(part).flatMap(([less, lessM, than, thanM]) =>
    lessM < thanM ? [] : [{ less, lessM, than, thanM }],
  );
  return part.kind === 'frame' ? [...pairs, ...[part.wire, part.head, part.hook].flatMap(measureFaults)] : pairs;
}

type Pair = readonly [less: Measure, lessM: number, than: Measure, thanM: number];

function pairsOf(part: Part): readonly Pair[] {
  switch (part.kind) {
    case 'wire':
    case 'softWire':
      return [['thickness', part.diameterM, 'length', part.stockLengthM]];
    case 'clevis':
      return [['hole', part.boreM / 2, 'drop', part.dropM]];
    case 'blade':
      return [
        ['rootToHole', part.holeOffsetM + part.holeDiameterM / 2, 'length', part.lengthM],
        ['hole', part.holeDiameterM, 'width', part.widthM],
        ['hole', part.holeDiameterM / 2, 'rootToHole', part.holeOffsetM],
        ['thickness', part.thicknessM, 'width', part.widthM],
        ['hollow', part.cupDepthM, 'width', part.widthM],
      ];
    case 'filmBlade':
      return [
        ['hole', part.boreM, 'width', part.widthM],
        ['hole', part.boreM, 'span', part.spanM],
        ['thickness', part.thicknessM, 'width', part.widthM],
      ];
    case 'bead':
      return [
        ['hole', part.boreM, 'diameter', part.diameterM],
        ...(part.wallM === null ? [] : ([['wall', part.wallM, 'diameter', part.diameterM / 2]] as const)),
      ];
    case 'sleeve':
    case 'striker':
    case 'weight':
      return [['hole', part.boreM, 'diameter', part.diameterM]];
    case 'bell':
      return [
        ['hole', part.boreM, 'neck', part.neckDiameterM],
        ['neck', part.neckDiameterM, 'mouth', part.mouthDiameterM],
        ['wall', part.wallM, 'neck', part.neckDiameterM / 2],
      ];
    case 'cap':
      return [
        ['hole', part.boreM, 'diameter', part.diameterM],
        ['nest', part.nestDepthM, 'length', part.lengthM],
        ['wall', part.wallM, 'diameter', part.diameterM / 2],
      ];
    case 'rivet':
      return [
        ['hole', part.boreM, 'diameter', part.diameterM],
        ['diameter', part.diameterM, 'flange', part.flangeDiameterM],
      ];
    case 'dressing':
      return [
        ['band', part.bandLengthM, 'length', part.fibreLengthM],
        ['core', part.coreM, 'bulk', part.bulkM],
      ];
    case 'splitRing':
      return [['wires', part.wireDiameterM * 2, 'diameter', part.outerDiameterM]];
    case 'hook':
      return [
        ['wire', part.wireDiameterM, 'gap', part.gapM],
        ['gap', part.gapM, 'length', part.lengthM],
        ['eye', part.eyeInnerDiameterM, 'length', part.lengthM],
      ];
    case 'shrinkTube':
      return [['shrunkHole', part.recoveredBoreM, 'hole', part.suppliedBoreM]];
    case 'head':
      return [
        ['wireAt', part.wireAtM, 'length', part.lengthM + part.collarLengthM],
        ['hookAt', part.hookAtM, 'length', part.lengthM + part.collarLengthM],
      ];
    case 'swivel':
      return [['eyes', 2 * part.eyeInnerDiameterM, 'length', part.lengthM]];
    case 'deltaBlade':
      return [
        ['hole', part.boreM, 'span', part.spanM],
        ['thickness', part.thicknessM, 'length', part.lengthM],
      ];
    case 'skirt':
      return [['hole', part.boreM, 'collar', part.collarDiameterM]];
    case 'skirtLayer':
      return [['strandWidth', part.strandWidthM, 'length', part.lengthM]];
    case 'trailer':
      return [
        ['kicksFrom', part.kicksFromM, 'length', part.lengthM],
        ['body', part.bodyM, 'length', part.lengthM],
      ];
    case 'keeper':
      return [['wire', part.wireDiameterM, 'length', part.legM]];
    case 'body':
      return [
        ['metal', part.metalLengthM, 'length', part.lengthM],
        ['wire', part.wireDiameterM, 'diameter', part.diameterM],
      ];
    case 'frame':
      return [];
    default:
      return never(part, 'measureFaults');
  }
}
