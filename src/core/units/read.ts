/** Reads a quantity as people type it into SI, exactly, or says as data what would be right. */
import type Fraction from 'fraction.js';
import { doubleOf } from './exact';
import { readNumberText } from './number-text';
import { UNITS, unitsOf, type QuantityKind, type UnitId } from './quantity';

export type QuantityProblem =
  | { readonly code: 'empty'; readonly kind: QuantityKind }
  | { readonly code: 'noNumber'; readonly kind: QuantityKind; readonly text: string }
  | { readonly code: 'unknownUnit'; readonly kind: QuantityKind; readonly unitText: string }
  | { readonly code: 'wrongKind'; readonly kind: QuantityKind; readonly unit: UnitId }
  | {
      readonly code: 'outOfRange';
      readonly kind: QuantityKind;
      readonly si: number;
      readonly minSi: number;
      readonly maxSi: number;
      readonly unit: UnitId;
    };

export type QuantityRead =
  | { readonly ok: true; readonly si: number; readonly unit: UnitId }
  | { readonly ok: false; readonly problem: QuantityProblem };

export interface ReadOptions {
  /** The unit of a bare number. `.038` and `3/32` are inches whatever this says: so the trade writes them. */
  readonly bare: UnitId;
  /** Accepted range in SI, both ends included. */
  readonly minSi?: number;
  readonly maxSi?: number;
}

/**
 * Reads `text` as a quantity of one kind.
 * @returns the SI value (m, kg, K, m/s) and the unit it was written in, or the problem as data. Never throws on text.
 */
export function readQuantity(kind: QuantityKind, text: string, options: ReadOptions): QuantityRead {
  if (text.trim() === '') return { ok: false, problem: { code: 'empty', kind } };
  const number = readNumberText(text);
  if (!number) return { ok: false, problem: { code: 'noNumber', kind, text: text.trim() } };

  const unitId =
    number.rest === ''
      ? kind === 'length' && number.inchStyle
        ? 'in'
        : options.bare
      : findUnit(number.rest.toLowerCase());
  if (unitId === null) return { ok: false, problem: { code: 'unknownUnit', kind, unitText: number.rest } };
  if (UNITS[unitId].kind !== kind) return { ok: false, problem: { code: 'wrongKind', kind, unit: unitId } };

  const si = siValue(number.value, unitId);
  const minSi = options.minSi ?? (kind === 'temperature' ? 0 : -Infinity);
  const maxSi = options.maxSi ?? Number.MAX_VALUE;
  if (!(si >= minSi && si <= maxSi)) {
    return { ok: false, problem: { code: 'outOfRange', kind, si, minSi, maxSi, unit: unitId } };
  }
  return { ok: true, si, unit: unitId };
}

/** SI value of a number in a unit, rounded once, at the end. */
export function siValue(value: Fraction, unitId: UnitId): number {
  const unit = UNITS[unitId];
  return doubleOf(value.add(unit.offset).mul(unit.factor));
}

function findUnit(text: string): UnitId | null {
  const kinds: QuantityKind[] = ['length', 'mass', 'temperature', 'speed'];
  for (const id of kinds.flatMap(unitsOf)) {
    const unit = UNITS[id];
    const spellings: readonly string[] = unit.spellings;
    if (unit.symbol.toLowerCase() === text || spellings.includes(text)) return id;
  }
  return null;
}
