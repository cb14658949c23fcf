/** What every kind of part has, and what every turned one has beside it. */
import * as z from 'zod/mini';
import { hexColour, labelText, partLengthM, partMassKg, shortText } from '../../schema';
import { MATERIAL_IDS } from '../material';

export const partIdSchema = z
  .string()
  .check(z.regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'a part id: small letters, digits and single hyphens'), z.maxLength(80))
  .brand<'PartId'>();

export const finishSchema = z.strictObject({
  name: shortText,
  hex: hexColour,
  sheen: z.enum(['metal', 'gloss', 'matte', 'clear']),
});
export type Finish = z.infer<typeof finishSchema>;

export const common = {
  id: partIdSchema,
  name: shortText,
  maker: shortText,
  /** What the maker calls the size; null where parts of the kind are sold by measure. */
  label: z.nullable(labelText),
  material: z.enum(MATERIAL_IDS),
  finish: finishSchema,
  massKg: partMassKg,
};

export const bored = { lengthM: partLengthM, boreM: partLengthM };
