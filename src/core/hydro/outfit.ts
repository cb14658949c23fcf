/** Rod, reel and line, as far as the water feels them. */
import * as z from 'zod/mini';
import '../schema';

export const outfitSchema = z.strictObject({
  line: z.strictObject({
    diameterM: z.number().check(z.minimum(0.00005), z.maximum(0.003)),
    densityKgM3: z.number().check(z.minimum(500), z.maximum(12000)),
    normalDrag: z.number().check(z.minimum(0.5), z.maximum(2)),
    skinDrag: z.number().check(z.minimum(0), z.maximum(0.1)),
  }),
  /** Rod tip above the surface, m. */
  tipHeightM: z.number().check(z.minimum(0), z.maximum(8)),
  /** From the rod's tip to the lure, m. */
  lineOutM: z.number().check(z.minimum(0.5), z.maximum(300)),
});
export type Outfit = z.infer<typeof outfitSchema>;

/** Braid of 0.20 mm, the rod's tip a metre up, half a cast out. Drag of a thin cylinder at these speeds; the rest trade estimates. */
export const USUAL_OUTFIT: Outfit = {
  line: { diameterM: 0.0002, densityKgM3: 980, normalDrag: 1.2, skinDrag: 0.01 },
  tipHeightM: 1,
  lineOutM: 10,
};
