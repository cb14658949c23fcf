/** Fractions to decimals and doubles with one rounding only, however large their terms. */
import type Fraction from 'fraction.js';

/** Far more digits than a double holds, so that rounding them first does not show. */
const GUARD_DIGITS = 40;

/** `fraction` to `digits` significant decimal digits, as text without exponent, trailing zeros dropped. */
export function decimalOf(fraction: Fraction, digits: number): string {
  const { n, d } = fraction;
  if (n === 0n) return '0';
  const sign = fraction.s < 0n ? '-' : '';
  const wholeDigits = (n / d).toString() === '0' ? 0 : (n / d).toString().length;
  // Leading zeros behind the point carry no digits.
  const leadingZeros = wholeDigits > 0 ? 0 : Math.max(0, d.toString().length - n.toString().length - 1);
  let places = Math.max(0, digits - wholeDigits + leadingZeros);
  let scaled = roundedDivision(n * 10n ** BigInt(places), d);
  if (wholeDigits === 0 && scaled.toString().length < digits) {
    places += digits - scaled.toString().length;
    scaled = roundedDivision(n * 10n ** BigInt(places), d);
  }
  const text = scaled.toString().padStart(places + 1, '0');
  const whole = text.slice(0, text.length - places);
  const rest = text.slice(text.length - places).replace(/0+$/, '');
  return `${sign}${whole}${rest === '' ? '' : `.${rest}`}`;
}

/** The double nearest to the fraction. */
export function doubleOf(fraction: Fraction): number {
  return Number(decimalOf(fraction, GUARD_DIGITS));
}

function roundedDivision(top: bigint, bottom: bigint): bigint {
  return (2n * top + bottom) / (2n * bottom);
}
