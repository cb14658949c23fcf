/** Zod as the core uses it: jitless, so that no code is made from strings and a strict content security policy holds. */
import { z } from 'zod';

z.config({ jitless: true });

export { z };

/** A length of something that exists, m: above zero and no longer than a boat. */
export const positiveLengthM = z.number().positive().max(10);
/** A length that may be zero, m. */
export const lengthM = z.number().nonnegative().max(10);
export const hexColour = z.string().regex(/^#[0-9a-f]{6}$/, 'a colour like #d9a441');
export const shortText = z.string().trim().min(1).max(120);
