import * as z from 'zod/mini';
import { partLengthM, partLengthOrNoneM, thicknessM } from '../../schema';
import { BLADE_PATTERNS, PATTERNS, usualSpreadRad } from '../blade-pattern';
import { densityOf } from '../material';
import { planArea, sheetArea } from '../outline';
import { common, finishSchema } from './common';
import { asMeasured, discM2, hangsFrom, plain, type KindRoom, untouched } from './room';

/** A blade; `finish` is the front (the outside of the cup), `backFinish` the hollow. Mass is the blade's own. */
export const bladeSchema = z.strictObject({
  kind: z.literal('blade'),
  ...common,
  pattern: z.enum(BLADE_PATTERNS),
  lengthM: partLengthM,
  widthM: partLengthM,
  thicknessM,
  cupDepthM: partLengthOrNoneM,
  /** Root end to the centre of the hole. */
  holeOffsetM: partLengthM,
  holeDiameterM: partLengthM,
  texture: z.enum(['smooth', 'hammered']),
  backFinish: finishSchema,
});
export type Blade = z.infer<typeof bladeSchema>;

export const bladeRoom: KindRoom<Blade, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    hung: {
      port: 'hole',
      side: ({ holeDiameterM, holeOffsetM, pattern }) => ({
        port: 'hole',
        openM: holeDiameterM,
        rootM: holeOffsetM,
        spreadRad: usualSpreadRad(pattern),
      }),
      lies: ({ holeOffsetM, lengthM }, at) => hangsFrom(at, holeOffsetM, lengthM),
    },
  },
  holds: {},
  radiusM: ({ widthM }) => widthM / 2,
  profile: null,
  geometricKg: (part) =>
    (sheetArea(PATTERNS[part.pattern].outline, part) - discM2(part.holeDiameterM)) *
    part.thicknessM *
    densityOf(part.material),
  /** One that hangs and does not turn: edge on to the flow. */
  areas: ({ lengthM, widthM }) => ({
    kind: 'blade',
    axialM2: 0.1 * lengthM * widthM,
    strandM2: 0,
    sideM2: lengthM * widthM,
    slopeM2: 0,
  }),
  turningM2: (part) => planArea(PATTERNS[part.pattern].outline, part),
  smaller: ({ holeOffsetM, holeDiameterM, lengthM, widthM, thicknessM: sheetM, cupDepthM }) => [
    ['rootToHole', holeOffsetM + holeDiameterM / 2, 'length', lengthM],
    ['hole', holeDiameterM, 'width', widthM],
    ['hole', holeDiameterM / 2, 'rootToHole', holeOffsetM],
    ['thickness', sheetM, 'width', widthM],
    ['hollow', cupDepthM, 'width', widthM],
  ],
  telling: ({ lengthM, widthM }) => [lengthM, widthM],
  words: ({ pattern, texture, backFinish }) => [PATTERNS[pattern].name, texture, backFinish.name],
  /** A blade of the same shape and sheet, larger in all its outline. */
  larger: (part, by) => ({
    ...part,
    lengthM: part.lengthM * by,
    widthM: part.widthM * by,
    cupDepthM: part.cupDepthM * by,
    massKg: part.massKg * by ** 2,
  }),
};
