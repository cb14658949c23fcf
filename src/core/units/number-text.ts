/**
 * Reads the number at the head of what a person typed: `0.9`, `.038`, `0,9`, `7/16`, `1 3/4`, `1-3/4`, `3½`, `1 3⁄8`, `-4`.
 * Exact: the value is a fraction, never a rounded decimal.
 */
import Fraction from 'fraction.js';

export interface NumberText {
  readonly value: Fraction;
  /** What follows the number, trimmed. */
  readonly rest: string;
  /** True for `.038` and `3/32`: written the way the trade writes inches. */
  readonly inchStyle: boolean;
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

const MIXED = /^([+-]?)(\d+)(?:\s+|-)(\d+)\/(\d+)(?![\d/])/;
const PLAIN_FRACTION = /^([+-]?)(\d+)\/(\d+)(?![\d/])/;
const DECIMAL = /^([+-]?)(\d+(?:[.,]\d+)?|[.,]\d+)(?:[eE]([+-]?\d{1,3}))?(?![\d.,/])/;

/** The number at the start of `text`, or null when there is none that can be read in only one way. */
export function readNumberText(text: string): NumberText | null {
  const plain = text
    .trim()
    .replaceAll('⁄', '/')
    .replace(/(\d?)\s*([½¼¾⅛⅜⅝⅞⅓⅔])/, (_, whole: string, sign: string) =>
      whole === '' ? (VULGAR[sign] ?? '') : `${whole} ${VULGAR[sign] ?? ''}`,
    );

  const mixed = MIXED.exec(plain);
  if (mixed) {
    const [all, sign, whole, top, bottom] = mixed;
    if (Number(bottom) === 0) return null;
    const value = new Fraction(`${top}/${bottom}`).add(new Fraction(whole ?? '0'));
    return finish(plain, all, sign === '-' ? value.neg() : value, true);
  }
  const fraction = PLAIN_FRACTION.exec(plain);
  if (fraction) {
    const [all, sign, top, bottom] = fraction;
    if (Number(bottom) === 0) return null;
    return finish(plain, all, new Fraction(`${sign}${top}/${bottom}`), true);
  }
  const decimal = DECIMAL.exec(plain);
  if (decimal) {
    const [all, sign, digits = '', exponent] = decimal;
    const withPoint = digits.replace(',', '.');
    const tenPower = new Fraction(10).pow(Number(exponent ?? 0));
    if (tenPower === null) return null;
    const value = new Fraction(withPoint.startsWith('.') ? `0${withPoint}` : withPoint).mul(tenPower);
    return finish(plain, all, sign === '-' ? value.neg() : value, /^[.,]/.test(digits));
  }
  return null;
}

function finish(text: string, all: string, value: Fraction, inchStyle: boolean): NumberText {
  return { value, rest: text.slice(all.length).trim(), inchStyle };
}
