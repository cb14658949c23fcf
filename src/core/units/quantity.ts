/**
 * The quantities people type and the units they type them in.
 * Inside, everything is SI: metre, kilogram, kelvin, metre per second. Factors are exact fractions
 * (international yard and pound: 1 in = 25.4 mm, 1 oz = 28.349523125 g).
 */
import Fraction from 'fraction.js';

export type QuantityKind = 'length' | 'mass' | 'temperature' | 'speed';

export interface Unit {
  readonly kind: QuantityKind;
  /** How the unit is written after a number. */
  readonly symbol: string;
  /** Other spellings that are read, in lower case. */
  readonly spellings: readonly string[];
  /** SI value = (typed + offset) × factor. */
  readonly factor: Fraction;
  readonly offset: Fraction;
}

function unit(kind: QuantityKind, symbol: string, factor: string, spellings: string[] = [], offset = '0'): Unit {
  return { kind, symbol, spellings, factor: new Fraction(factor), offset: new Fraction(offset) };
}

export const UNITS = {
  mm: unit('length', 'mm', '1/1000', ['millimetre', 'millimetres', 'millimeter', 'millimeters']),
  cm: unit('length', 'cm', '1/100', ['centimetre', 'centimetres', 'centimeter', 'centimeters']),
  m: unit('length', 'm', '1', ['metre', 'metres', 'meter', 'meters']),
  in: unit('length', 'in', '127/5000', ['"', '″', '”', 'inch', 'inches', 'ins']),
  ft: unit('length', 'ft', '381/1250', ["'", '′', '’', 'foot', 'feet']),
  g: unit('mass', 'g', '1/1000', ['gram', 'grams', 'gramme', 'grammes']),
  kg: unit('mass', 'kg', '1', ['kilo', 'kilos', 'kilogram', 'kilograms']),
  oz: unit('mass', 'oz', '45359237/1600000000', ['ounce', 'ounces']),
  gr: unit('mass', 'gr', '6479891/100000000000', ['grain', 'grains']),
  lb: unit('mass', 'lb', '45359237/100000000', ['lbs', 'pound', 'pounds']),
  C: unit('temperature', '°C', '1', ['c', '°c', 'celsius'], '5463/20'),
  F: unit('temperature', '°F', '5/9', ['f', '°f', 'fahrenheit'], '45967/100'),
  mps: unit('speed', 'm/s', '1', ['mps', 'metres per second', 'meters per second']),
  kmh: unit('speed', 'km/h', '5/18', ['kmh', 'kph', 'kmph']),
  mph: unit('speed', 'mph', '1397/3125', ['mi/h', 'miles per hour']),
  kn: unit('speed', 'kn', '463/900', ['kt', 'kts', 'knot', 'knots']),
} as const satisfies Record<string, Unit>;

export type UnitId = keyof typeof UNITS;

/** The unit ids of one kind, in the order in which they are offered. */
export function unitsOf(kind: QuantityKind): UnitId[] {
  return (Object.keys(UNITS) as UnitId[]).filter((id) => UNITS[id].kind === kind);
}
