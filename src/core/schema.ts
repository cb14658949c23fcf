/**
 * Zod as everything here uses it: its small edition, which the page can afford to load before the drawing stands, and
 * jitless, so that no code is made from strings and a strict content security policy holds.
 */
import * as z from 'zod/mini';
import en from 'zod/v4/locales/en.js';

z.config({ ...en(), jitless: true });

/** A length of something that exists, m: above zero and no longer than a boat. */
export const positiveLengthM = z.number().check(z.positive(), z.maximum(10));
/** A length that may be zero, m. */
export const lengthM = z.number().check(z.nonnegative(), z.maximum(10));
export const hexColour = z.string().check(z.regex(/^#[0-9a-f]{6}$/, 'a colour like #d9a441'));
export const shortText = z.string().check(z.trim(), z.minLength(1), z.maxLength(120));
