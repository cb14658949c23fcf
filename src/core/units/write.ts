/**
 * Writes quantities: exactly, so that reading gives the same value back (for fields and files), or rounded, for eyes.
 */
import Fraction from 'fraction.js';
import { readQuantity } from './read';
import { UNITS, type UnitId } from './quantity';

/** What people see: millimetres and grams, or inches and ounces. */
export type UnitSystem = 'metric' | 'trade';

/** Finest fraction of an inch or ounce that is written as a fraction. */
const FINEST_DENOMINATOR = 64;

/**
 * The shortest text in `unitId` that reads back to exactly `si`; inches and ounces as a fraction where one is exact.
 * @throws RangeError when `si` is not finite: no text stands for it.
 */
export function writeExact(si: number, unitId: UnitId): string {
  if (!Number.isFinite(si)) throw new RangeError(`writeExact: needs a finite value, got ${String(si)}`);
  const unit = UNITS[unitId];
  const reads = (text: string) => {
    const reading = readQuantity(unit.kind, text, { bare: unitId, minSi: -Infinity });
    return reading.ok && reading.si === si;
  };
  const inUnit = si / unit.factor.valueOf() - unit.offset.valueOf();
  if (unitId === 'in' || unitId === 'oz') {
    const text = `${fractionText(inUnit)} ${unit.symbol}`;
    if (reads(text)) return text;
  }
  for (let digits = 1; digits <= 17; digits++) {
    const text = `${Number(inUnit.toPrecision(digits))} ${unit.symbol}`;
    if (reads(text)) return text;
  }
  // The unit's own double is one step off: give the exact decimal neighbour by the fraction itself.
  const exact = new Fraction(si).div(unit.factor).sub(unit.offset);
  return `${exact.toFraction(false)} ${unit.symbol}`;
}

/** `1 3/4` for 1.75: the nearest 64th, reduced. */
export function fractionText(value: number): string {
  const nearest = new Fraction(Math.round(value * FINEST_DENOMINATOR), FINEST_DENOMINATOR);
  return nearest.toFraction(true);
}

/** Rounded for reading, without exponent and without trailing zeros beyond `digits` decimals. */
export function decimalText(value: number, digits: number): string {
  const text = value.toFixed(digits);
  return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
}

/** A length of a part or gap: `12.4 mm`, or `0.49 in`; wire and other thin things get thousandths. */
export function showLength(lengthM: number, system: UnitSystem): string {
  if (system === 'metric') {
    const mm = lengthM * 1000;
    return `${decimalText(mm, Math.abs(mm) < 2 ? 2 : Math.abs(mm) < 100 ? 1 : 0)} mm`;
  }
  const inches = lengthM / 0.0254;
  if (Math.abs(inches) < 0.1) return `${decimalText(inches, 3).replace(/^(-?)0\./, '$1.')} in`;
  return `${decimalText(inches, 2)} in`;
}

/** The same length in both systems, the user's own first: `4.2 mm (0.17 in)`. */
export function showLengthBoth(lengthM: number, system: UnitSystem): string {
  const other = system === 'metric' ? 'trade' : 'metric';
  return `${showLength(lengthM, system)} (${showLength(lengthM, other)})`;
}

/** A mass: `12.4 g`, or ounces as the nearest 64th when that is within 2 %, else a decimal. */
export function showMass(massKg: number, system: UnitSystem): string {
  if (system === 'metric') {
    const grams = massKg * 1000;
    return `${decimalText(grams, grams < 10 ? 2 : 1)} g`;
  }
  const ounces = massKg / UNITS.oz.factor.valueOf();
  const nearest = Math.round(ounces * FINEST_DENOMINATOR) / FINEST_DENOMINATOR;
  return nearest > 0 && Math.abs(nearest - ounces) < 0.02 * ounces
    ? `${fractionText(ounces)} oz`
    : `${decimalText(ounces, 3)} oz`;
}

/** A pull as the mass that weighs as much: grams, or ounces to two decimals. */
export function pullInWeight(massKg: number, system: UnitSystem): { readonly number: string; readonly unit: string } {
  return system === 'metric'
    ? { number: decimalText(massKg * 1000, 1), unit: 'g' }
    : { number: decimalText(massKg / UNITS.oz.factor.valueOf(), 2), unit: 'oz' };
}

/** A speed through the water in the chosen unit. */
export function showSpeed(speedMps: number, unitId: 'mps' | 'kmh' | 'mph'): string {
  return `${decimalText(speedMps / UNITS[unitId].factor.valueOf(), 2)} ${UNITS[unitId].symbol}`;
}
