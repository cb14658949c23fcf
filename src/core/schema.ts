/**
 * Zod as everything here uses it: its small edition, which the page can afford to load before the drawing stands, and
 * jitless, so that no code is made from strings and a strict content security policy holds.
 *
 * The least and greatest values of each kind of quantity stand here once: the schemas of parts, lures and settings are made
 * of them, and every change is held against those schemas before it is taken.
 */
import * as z from 'zod/mini';
import en from 'zod/v4/locales/en.js';

z.config({ ...en(), jitless: true });

/** Nothing on a bench is thinner than a thousandth of a millimetre; anything below is a slip of the keyboard. */
export const LEAST_LENGTH_M = 1e-6;

function between(leastM: number, mostM: number) {
  return z.number().check(z.minimum(leastM), z.maximum(mostM));
}

/** Length, width, diameter or hole of a part, m: no part of a lure is longer than 60 cm. */
export const partLengthM = between(LEAST_LENGTH_M, 0.6);
/** Sheet, wall or wire of a part, m: up to a centimetre. */
export const thicknessM = between(LEAST_LENGTH_M, 0.01);
/** A measure of a part that may be zero, m. */
export const partLengthOrNoneM = z.union([z.literal(0), partLengthM], 'zero, or from 0.001 mm to 600 mm');
/** What is sold by the length, m. */
export const stockLengthM = between(0.001, 10);
/** Wire set off by the builder, which may be zero: play, a straight, an arm, a tag, m. */
export const wireLengthM = z.union([z.literal(0), between(LEAST_LENGTH_M, 2)], 'zero, or from 0.001 mm to 2 m');
/** Line in a leader or between two hooks, which may be zero, m. */
export const lineLengthM = z.union([z.literal(0), between(LEAST_LENGTH_M, 6)], 'zero, or from 0.001 mm to 6 m');
/** What line carries without a knot, N. */
export const breakingN = between(1, 2000);
/** A measure of the user's own hand, m. */
export const handLengthM = between(0.001, 1);
/** Mass of a part, kg: from a hundredth of a milligram to half a kilogram. */
export const partMassKg = z.number().check(z.minimum(1e-8), z.maximum(0.5));
export const hexColour = z.string().check(z.regex(/^#[0-9a-f]{6}$/, 'a colour like #d9a441'));

/** Line breaks, other control characters and halves of characters: nothing that a name is written on takes them. */
const NOT_IN_ONE_LINE = /[\u0000-\u001f\u007f-\u009f\u2028\u2029\ud800-\udfff\ufffe\uffff]+/gu;

/** Text in one line, as it is kept: without control characters, trimmed. */
export function oneLine(text: string): string {
  return text.replace(NOT_IN_ONE_LINE, ' ').trim();
}

function lineOfText(leastLength: number, mostLength: number) {
  return z.string().check(z.overwrite(oneLine), z.minLength(leastLength), z.maxLength(mostLength));
}

/** A name or a source: one line, never empty. */
export const shortText = lineOfText(1, 120);
/** A size as its maker writes it. */
export const labelText = lineOfText(0, 20);
/** Where a tool lies. */
export const placeText = lineOfText(0, 80);

const NOT_IN_A_NOTE = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\ud800-\udfff\ufffe\uffff]+/gu;

/** Free text of several lines. */
export function noteText(mostLength: number) {
  return z.string().check(
    z.overwrite((text) => text.replace(NOT_IN_A_NOTE, ' ')),
    z.maxLength(mostLength),
  );
}

/** A day of the calendar, `2031-09-14`: one that exists. */
export const daySchema = z
  .string()
  .check(
    z.regex(/^\d{4}-\d{2}-\d{2}$/, 'a day like 2031-09-14'),
    z.refine(isDay, 'a day that the calendar has, like 2031-09-14'),
  );

function isDay(text: string): boolean {
  const [year = 0, month = 0, day = 0] = text.split('-').map(Number);
  const isLeap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  const days = [31, isLeap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1] ?? 0;
  return year >= 1900 && day >= 1 && day <= days;
}
