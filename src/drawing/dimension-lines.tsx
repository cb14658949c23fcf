/** Lines for what is measured on a drawing, with a word each; the one being taken stands out. */

interface LineProps {
  readonly on: boolean;
  readonly word: string;
}

export function Across({
  on,
  from,
  to,
  y,
  word,
  wordAt,
  wordAfter,
}: LineProps & {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  /** The word ends here, beside the line; without, it stands in the middle under it. */
  readonly wordAt?: number;
  /** The word stands behind the line. */
  readonly wordAfter?: boolean;
}) {
  return (
    <Measured
      on={on}
      word={word}
      d={`M${from} ${y}H${to}M${from} ${y - 4}v8M${to} ${y - 4}v8`}
      x={wordAfter ? to + 6 : (wordAt ?? (from + to) / 2)}
      y={wordAt === undefined && !wordAfter ? y + 15 : y + 4}
      anchor={wordAfter ? 'start' : wordAt === undefined ? 'middle' : 'end'}
    />
  );
}

export function Down({
  on,
  x,
  from,
  to,
  word,
  wordAbove,
}: LineProps & { readonly x: number; readonly from: number; readonly to: number; readonly wordAbove?: boolean }) {
  return (
    <Measured
      on={on}
      word={word}
      d={`M${x} ${from}V${to}M${x - 4} ${from}h8M${x - 4} ${to}h8`}
      x={wordAbove ? x : x + 8}
      y={wordAbove ? from - 6 : (from + to) / 2 + 4}
      anchor={wordAbove ? 'middle' : 'start'}
    />
  );
}

/** Between two places at any slope. */
export function Aslant({
  on,
  from,
  to,
  word,
}: LineProps & {
  readonly from: { readonly x: number; readonly y: number };
  readonly to: { readonly x: number; readonly y: number };
}) {
  return (
    <Measured on={on} word={word} d={`M${from.x} ${from.y}L${to.x} ${to.y}`} x={to.x - 6} y={to.y + 12} anchor="end" />
  );
}

function Measured({
  on,
  word,
  d,
  x,
  y,
  anchor,
}: LineProps & {
  readonly d: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle' | 'end';
}) {
  const colour = on ? 'var(--accent)' : 'var(--ink-soft)';
  return (
    <>
      <path d={d} fill="none" stroke={colour} strokeWidth={on ? 3 : 1.2} />
      <text x={x} y={y} textAnchor={anchor} fontSize={13} fontWeight={on ? 700 : 400} fill={colour}>
        {word}
      </text>
    </>
  );
}
