/**
 * Trade sizes: a maker's label, not a measure. Each scale runs its own way:
 * blades, rings and clevises rise 00 < 0 < 1 < 1½ < 2 …; swivels fall, 12 < 10 < … < 1 < 1/0;
 * hooks fall to 1 and then rise, 22 < … < 2 < 1 < 1/0 < 2/0 …
 */
import Fraction from 'fraction.js';
import { readNumberText } from './number-text';

export const TRADE_SCALES = ['blade', 'clevis', 'ring', 'swivel', 'hook'] as const;
export type TradeScale = (typeof TRADE_SCALES)[number];

/** A size on a scale: a plain number (`3½`, or −1 for `00`), or an aught size (`2/0`). */
export type TradeSize =
  { readonly form: 'number'; readonly value: number } | { readonly form: 'aught'; readonly aughts: number };

export type TradeSizeProblem =
  | { readonly code: 'emptySize'; readonly scale: TradeScale }
  | { readonly code: 'notASize'; readonly scale: TradeScale; readonly text: string }
  | { readonly code: 'sizeOutOfRange'; readonly scale: TradeScale; readonly text: string };

export type TradeSizeReading =
  { readonly ok: true; readonly size: TradeSize } | { readonly ok: false; readonly problem: TradeSizeProblem };

const RISING: ReadonlySet<TradeScale> = new Set(['blade', 'clevis', 'ring']);
const MAX_NUMBER: Readonly<Record<TradeScale, number>> = { blade: 16, clevis: 8, ring: 12, swivel: 24, hook: 32 };
const MAX_AUGHTS = 20;

/** Reads `#3½`, `3 1/2`, `No. 3`, `00`, `2/0`. Halves exist on blades, rings and clevises only. Never throws on text. */
export function readTradeSize(scale: TradeScale, text: string): TradeSizeReading {
  const bare = text
    .trim()
    .replace(/^(#|no\.?|size)\s*/i, '')
    .trim();
  if (bare === '') return { ok: false, problem: { code: 'emptySize', scale } };
  const rising = RISING.has(scale);
  const refuse = (code: 'notASize' | 'sizeOutOfRange'): TradeSizeReading => ({
    ok: false,
    problem: { code, scale, text: text.trim() },
  });

  const aught = /^(\d{1,2})\s*[/⁄]\s*0$/.exec(bare);
  if (aught) {
    const aughts = Number(aught[1]);
    if (rising) return refuse('notASize');
    return aughts >= 1 && aughts <= MAX_AUGHTS
      ? { ok: true, size: { form: 'aught', aughts } }
      : refuse('sizeOutOfRange');
  }
  if (bare === '00') return rising ? { ok: true, size: { form: 'number', value: -1 } } : refuse('notASize');

  const number = readNumberText(bare);
  if (!number || number.rest !== '') return refuse('notASize');
  const value = number.value.valueOf();
  const isWhole = Number.isInteger(value);
  if (!isWhole && !(rising && Number.isInteger(value * 2))) return refuse('notASize');
  if (value < (rising ? 0 : 1) || value > MAX_NUMBER[scale]) return refuse('sizeOutOfRange');
  return { ok: true, size: { form: 'number', value } };
}

/** `#3½`, `#00`, `2/0`: reading it gives the same size back. */
export function writeTradeSize(size: TradeSize): string {
  if (size.form === 'aught') return `${size.aughts}/0`;
  if (size.value === -1) return '#00';
  const whole = Math.floor(size.value);
  if (whole === size.value) return `#${whole}`;
  const half = new Fraction(size.value).sub(whole).equals(new Fraction(1, 2)) ? '½' : '';
  return `#${whole === 0 ? '' : whole}${half}`;
}

/** Rises with the physical size on every scale, whichever way its numbers run. */
export function tradeSizeRank(scale: TradeScale, size: TradeSize): number {
  if (size.form === 'aught') return size.aughts;
  return RISING.has(scale) ? size.value : -size.value;
}
