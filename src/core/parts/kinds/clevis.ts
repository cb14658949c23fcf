import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, bearsAt, discM2, hardAreas, plain, type KindRoom, untouched } from './room';
import { boreSide } from './turned';

/** Two legs on the axle, a lobe that carries the blade. The blade can be changed later only on a quick-change clevis. */
export const clevisSchema = z.strictObject({
  kind: z.literal('clevis'),
  ...common,
  style: z.enum(['folded', 'stirrup', 'quickChange']),
  /** Thickness of each leg along the axle. */
  legThicknessM: thicknessM,
  /** Clear distance between the legs along the axle. */
  legGapM: partLengthM,
  /** Hole of each leg. */
  boreM: partLengthM,
  /** Axle to where the blade's hole hangs. */
  dropM: partLengthM,
  /** Thickness of what passes through the blade's hole. */
  lobeThicknessM: thicknessM,
});
export type Clevis = z.infer<typeof clevisSchema>;

const radiusM = ({ boreM, legThicknessM }: Clevis) => boreM / 2 + legThicknessM;

export const clevisRoom: KindRoom<Clevis, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  // Each leg stands in the strand by itself.
  threads: { side: boreSide('usual'), stackM: ({ legThicknessM }) => legThicknessM, betweenLegsM: null },
  sits: {},
  holds: {
    hung: {
      takes: ['hole', 'coil'],
      isOnlyOne: true,
      hanger: ({ lobeThicknessM, dropM }) => ({ hanger: 'lobe', thickM: lobeThicknessM, dropM }),
      // Between its two legs.
      bearing: ({ dropM }, lies, at) => ({ ...bearsAt(lies, at, (lies.x1M - lies.x0M) / 2), offAxisM: dropM }),
    },
  },
  radiusM,
  profile: null,
  /** A strip or wire of the lobe's thickness: two legs out to the drop and the bow that joins them. */
  geometricKg: ({ dropM, boreM, legGapM, legThicknessM, lobeThicknessM, style, material }) => {
    const developedM = 2 * (dropM + boreM) + legGapM + 2 * legThicknessM;
    const widthM = style === 'folded' ? boreM + 2.2 * legThicknessM : lobeThicknessM;
    return (developedM * legThicknessM * widthM - 2 * discM2(boreM) * legThicknessM * 0.5) * densityOf(material);
  },
  areas: (part, { lengthM }) => hardAreas(radiusM(part), lengthM, false),
  smaller: ({ boreM, dropM }) => [['hole', boreM / 2, 'drop', dropM]],
  telling: ({ boreM, dropM }) => [boreM, dropM],
  words: ({ style }) => [style === 'quickChange' ? 'quick-change' : style],
};
