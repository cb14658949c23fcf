import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { FILM_LOBE } from '../blade-pattern';
import { densityOf } from '../material';
import { filmLobe, planArea } from '../outline';
import { common } from './common';
import { asMeasured, discM2, noWords, plain, TURNING_AREAS, type KindRoom } from './room';
import { boreSide } from './turned';

/** A propeller of soft film threaded through its middle: two lobes, open flat or folded back to a V. */
export const filmBladeSchema = z.strictObject({
  kind: z.literal('filmBlade'),
  ...common,
  /** Tip to tip, lying flat. */
  spanM: partLengthM,
  widthM: partLengthM,
  thicknessM,
  boreM: partLengthM,
});
export type FilmBlade = z.infer<typeof filmBladeSchema>;

/** How far the lobes are folded back from flat, rad. */
export const foldSchema = z.number().check(z.nonnegative(), z.maximum(1.4));
export const filmStateSchema = z.strictObject({ of: z.literal('film'), foldRad: foldSchema });

const lobesM2 = (part: FilmBlade) => 2 * planArea(FILM_LOBE, filmLobe(part));

export const filmBladeRoom: KindRoom<FilmBlade, z.infer<typeof filmStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'film', foldRad: 0 },
  asTaken: () => ({ of: 'film', foldRad: 0 }),
  threads: {
    side: boreSide('usual'),
    stackM: ({ thicknessM: filmM }) => filmM,
    betweenLegsM: ({ thicknessM: filmM }) => filmM,
  },
  sits: {},
  holds: {},
  radiusM: ({ spanM }) => spanM / 2,
  profile: null,
  geometricKg: (part) => (lobesM2(part) - discM2(part.boreM)) * part.thicknessM * densityOf(part.material),
  areas: () => TURNING_AREAS,
  turningM2: lobesM2,
  smaller: ({ boreM, widthM, spanM, thicknessM: filmM }) => [
    ['hole', boreM, 'width', widthM],
    ['hole', boreM, 'span', spanM],
    ['thickness', filmM, 'width', widthM],
  ],
  telling: ({ spanM, widthM }) => [spanM, widthM],
  words: noWords,
  larger: (part, by) => ({
    ...part,
    spanM: part.spanM * by,
    widthM: part.widthM * by,
    massKg: part.massKg * by ** 2,
  }),
};
