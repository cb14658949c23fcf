/**
 * How likely a lure does what is wanted of it. Each line moves with the factors by its slopes, m, so two lines with slopes m_i
 * and m_j go together by ρ = m_iᵀΣm_j / √(m_iᵀΣm_i · m_jᵀΣm_j). Lines are drawn together as normal numbers with these ρ,
 * each laid on its own band, nine cases in ten of it, to either side. A wish said twice is one event; two that hang on one
 * factor are not multiplied. Of what is only said of turning blades it is asked as well that they turn.
 *
 * The same draws every time, so that two lures are compared by the same luck; their error is √(p(1 − p)/DRAWS), at most 0.8 %.
 */
import { goTogether, HALF_WIDTHS_A_SIGMA, TO_NOTHING, type Said } from '../predict/band';
import { normals, seeded } from '../random';
import { LINE_SCALES, OF_TURNING, type Card } from './card';
import type { CardLine, Want } from './target';

const DRAWS = 4000;
const SEED = 17;

export interface Met {
  readonly want: Want;
  /** That it is met, 0…1; null where the line cannot be said of this lure at this speed. */
  readonly chance: number | null;
}

export interface Chances {
  /** In the order of the wants. */
  readonly each: readonly Met[];
  /** That all musts are met together, 0…1: 0 where one of them cannot be said; 1 where nothing must be. */
  readonly allMusts: number;
  /** Pairs of wants that work against each other: both together less likely than if they were strangers. */
  readonly against: readonly (readonly [Want, Want])[];
}

/** So much less likely than strangers, and each by itself likely enough, two wishes work against each other. */
const AGAINST = 0.5;
const LIKELY_ENOUGH = 0.2;

export function chancesOf(card: Card, wants: readonly Want[]): Chances {
  const lines = [...new Set<CardLine>([...wants.map(({ line }) => line), 'keepsMps'])].filter(
    (line) => card.lines[line] !== null,
  );
  const drawn = drawTogether(card, lines);
  const turns = drawn.get('keepsMps')?.map((keeps) => keeps <= card.speedMps) ?? null;
  const events = wants.map(({ line, low, high }): boolean[] | null => {
    const values = drawn.get(line);
    if (!values) return null;
    const asks = OF_TURNING.has(line) ? turns : null;
    return values.map(
      (value, i) => (low === null || value >= low) && (high === null || value <= high) && (asks?.[i] ?? true),
    );
  });
  const share = (of: readonly (readonly boolean[] | null)[]) => {
    let count = 0;
    for (let i = 0; i < DRAWS; i++) if (of.every((event) => event?.[i])) count++;
    return count / DRAWS;
  };
  const each = wants.map((want, i): Met => ({ want, chance: events[i] ? share([events[i]]) : null }));
  const musts = events.filter((_, i) => wants[i]?.weight === 'must');
  const against = wants.flatMap((want, i) =>
    wants.slice(i + 1).flatMap((other, k): [Want, Want][] => {
      const [a, b] = [each[i]?.chance ?? 0, each[i + 1 + k]?.chance ?? 0];
      const both = share([events[i] ?? null, events[i + 1 + k] ?? null]);
      return Math.min(a, b) >= LIKELY_ENOUGH && both < AGAINST * a * b ? [[want, other]] : [];
    }),
  );
  return { each, allMusts: share(musts), against };
}

/** Values of the lines, drawn together. */
function drawTogether({ lines: said, covariance }: Card, lines: readonly CardLine[]): Map<CardLine, number[]> {
  const all = lines.flatMap((line) => {
    const each = said[line];
    return each ? [{ line, said: each }] : [];
  });
  const own = all.map(({ said: { slopes } }) => Math.sqrt(goTogether(slopes, slopes, covariance)));
  const together = all.map((a, i) =>
    all.map((b, j) => {
      const by = (own[i] ?? 0) * (own[j] ?? 0);
      return i === j ? 1 : by > 0 ? goTogether(a.said.slopes, b.said.slopes, covariance) / by : 0;
    }),
  );
  const root = choleskyRoot(together);
  const random = seeded(SEED);
  // From above 0 to 1, as a logarithm wants it.
  const normal = normals(() => 1 - random());
  const drawn = new Map(all.map(({ line }): [CardLine, number[]] => [line, []]));
  for (let n = 0; n < DRAWS; n++) {
    const free = all.map(normal);
    all.forEach(({ line, said: each }, i) => {
      let z = 0;
      for (let k = 0; k <= i; k++) z += (root[i]?.[k] ?? 0) * (free[k] ?? 0);
      drawn.get(line)?.push(valueAt(line, each, z / HALF_WIDTHS_A_SIGMA));
    });
  }
  return drawn;
}

/** The line's value so many half widths off. */
function valueAt(line: CardLine, { value, low, high }: Said<unknown>, halfWidths: number): number {
  if (LINE_SCALES[line] === 'step') return value + halfWidths * (halfWidths > 0 ? high - value : value - low);
  const width = halfWidths > 0 ? Math.log(high / value) : low > 0 ? Math.log(value / low) : TO_NOTHING;
  return value === 0 ? 0 : value * Math.exp(halfWidths * width);
}

/** L with L Lᵀ the matrix; a row that hangs wholly on those before it adds nothing of its own. */
function choleskyRoot(matrix: readonly (readonly number[])[]): number[][] {
  const root = matrix.map((row) => row.map(() => 0));
  matrix.forEach((row, i) => {
    for (let j = 0; j <= i; j++) {
      const [own, other] = [root[i] as number[], root[j] as number[]];
      let left = row[j] ?? 0;
      for (let k = 0; k < j; k++) left -= (own[k] as number) * (other[k] as number);
      if (i === j) own[j] = Math.sqrt(Math.max(0, left));
      else own[j] = (other[j] as number) > ROUNDING ? left / (other[j] as number) : 0;
    }
  });
  return root;
}

const ROUNDING = 1e-9;
