/**
 * Writes quantities: exactly, so that reading gives the same value back (for fields and files), or rounded, for eyes.
 */
import Fraction from 'fraction.js';
import { decimalOf } from './exact';
import { readQuantity } from './read';
import { UNITS, type UnitId } from './quantity';

/** What people see: millimetres and grams, or inches and ounces. */
export type UnitSystem = 'metric' | 'trade';

/** Finest fraction of an inch or ounce that is written as a fraction. */
const FINEST_DENOMINATOR = 64;
/** A double near the zero of a scale with an offset needs the digits of the offset on top of its own. */
const MOST_DIGITS = 40;

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
  // The double's shortest decimal stands for it exactly enough: reading it gives the same double.
  const exact = new Fraction(plainDecimal(si)).div(unit.factor).sub(unit.offset);
  if (unitId === 'in' || unitId === 'oz') {
    const text = `${fractionText(exact.valueOf())} ${unit.symbol}`;
    if (reads(text)) return text;
  }
  for (let digits = 1; digits <= MOST_DIGITS; digits++) {
    const text = `${decimalOf(exact, digits)} ${unit.symbol}`;
    if (reads(text)) return text;
  }
  throw new RangeError(`writeExact: ${si} needs more than ${MOST_DIGITS} digits in ${unitId}`);
}

/** The double's shortest decimal without an exponent: `0.0000001` for 1e-7. */
function plainDecimal(value: number): string {
  const [digits = '0', exponent] = String(value).split('e');
  if (exponent === undefined) return digits;
  const [, sign = '', whole = '', rest = ''] = /^(-?)(\d+)\.?(\d*)$/.exec(digits) ?? [];
  const shift = Number(exponent);
  return shift < 0
    ? `${sign}0.${'0'.repeat(-shift - whole.length)}${whole}${rest}`
    : `${sign}${whole}${rest.padEnd(shift, '0')}`;
}

/** `1 3/4` for 1.75: the nearest of so many parts, 64 where nothing else is asked for, reduced. */
export function fractionText(value: number, denominator = FINEST_DENOMINATOR): string {
  const count = Math.round(Math.abs(value) * denominator);
  const whole = Math.floor(count / denominator);
  const rest = new Fraction(count % denominator, denominator);
  const sign = value < 0 && count > 0 ? '-' : '';
  if (rest.n === 0n) return `${sign}${whole}`;
  return `${sign}${whole === 0 ? '' : `${whole} `}${rest.n}/${rest.d}`;
}

/** Rounded for reading, without exponent and without trailing zeros beyond `digits` decimals. */
export function decimalText(value: number, digits: number): string {
  const text = value.toFixed(digits);
  return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
}

/** Inches: up to here a caliper measures, in thousandths; beyond it the hand with a rule, in sixteenths. */
const CALIPER_TO_IN = 0.5;
const THIN_TO_IN = 0.1;
const RULE_DENOMINATOR = 16;
/** What trade weights are marked in. */
const WEIGHT_DENOMINATOR = 16;

/** A length as it is measured: `12.4 mm`; `.035 in` by caliper, `1 3/16 in` by rule. */
export function showLength(lengthM: number, system: UnitSystem): string {
  if (system === 'metric') {
    const mm = lengthM * 1000;
    return `${decimalText(mm, Math.abs(mm) < 2 ? 2 : Math.abs(mm) < 100 ? 1 : 0)} mm`;
  }
  const inches = lengthM / 0.0254;
  if (Math.abs(inches) >= CALIPER_TO_IN) return `${fractionText(inches, RULE_DENOMINATOR)} in`;
  const text = decimalText(inches, 3);
  // Wire and sheet are said without the nought.
  return `${Math.abs(inches) < THIN_TO_IN ? text.replace(/^(-?)0\./, '$1.') : text} in`;
}

/** A depth, or line out: metres to the centimetre, or feet to a tenth. */
export function showDepth(depthM: number, system: UnitSystem): string {
  return system === 'metric' ? `${decimalText(depthM, 2)} m` : `${decimalText(inUnit(depthM, 'ft'), 1)} ft`;
}

/** The same length in both systems, the user's own first: `4.2 mm (0.17 in)`. */
export function showLengthBoth(lengthM: number, system: UnitSystem): string {
  const other = system === 'metric' ? 'trade' : 'metric';
  return `${showLength(lengthM, system)} (${showLength(lengthM, other)})`;
}

/** A mass: `12.4 g`; ounces as the sixteenths that weights are sold in when within 2 % of one, else a decimal. */
export function showMass(massKg: number, system: UnitSystem): string {
  if (system === 'metric') {
    const grams = massKg * 1000;
    return `${decimalText(grams, grams < 10 ? 2 : 1)} g`;
  }
  const ounces = massKg / UNITS.oz.factor.valueOf();
  const nearest = Math.round(ounces * WEIGHT_DENOMINATOR) / WEIGHT_DENOMINATOR;
  return nearest > 0 && Math.abs(nearest - ounces) < 0.02 * ounces
    ? `${fractionText(ounces, WEIGHT_DENOMINATOR)} oz`
    : `${decimalText(ounces, ounces < 0.1 ? 3 : 2)} oz`;
}

/** A pull as the mass that weighs as much: grams, or ounces to two decimals. */
export function pullInWeight(massKg: number, system: UnitSystem): { readonly number: string; readonly unit: string } {
  return system === 'metric'
    ? { number: decimalText(massKg * 1000, 1), unit: 'g' }
    : { number: decimalText(massKg / UNITS.oz.factor.valueOf(), 2), unit: 'oz' };
}

/** By what a force is told as the mass that weighs as much, m/s². */
const STANDARD_GRAVITY_MPS2 = 9.80665;

/** The strength of a line as the trade tells it: kilograms to one decimal, or whole pounds. */
export function showStrength(strengthN: number, system: UnitSystem): string {
  const massKg = strengthN / STANDARD_GRAVITY_MPS2;
  return system === 'metric'
    ? `${decimalText(massKg, 1)} kg`
    : `${decimalText(massKg / UNITS.lb.factor.valueOf(), 0)} lb`;
}

/** An SI value as a number in a unit, as a double: for showing, not for keeping. */
export function inUnit(si: number, unitId: UnitId): number {
  const { factor, offset } = UNITS[unitId];
  return si / factor.valueOf() - offset.valueOf();
}

/** A speed through the water in the chosen unit. */
export function showSpeed(speedMps: number, unitId: 'mps' | 'kmh' | 'mph'): string {
  return `${decimalText(inUnit(speedMps, unitId), 2)} ${UNITS[unitId].symbol}`;
}
