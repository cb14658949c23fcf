'use client';

import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Banded } from '@/core/predict/band';
import type { CardLine, Want } from '@/core/tune/target';
import { LINE_WORDS, lineValue, type CardMeasures } from '@/words/card-words';

export interface WindowTrackProps {
  readonly line: CardLine;
  readonly said: Banded | null;
  readonly after: Banded | null;
  readonly want: Want | null;
  readonly measures: CardMeasures;
  readonly onWant: (want: Want | null) => void;
}

type Edge = 'low' | 'high';

/** Least width of a window, of the track: one that is drawn narrower was only a press. */
const LEAST_SHARE = 0.03;
const KEY_SHARE = 0.01;
const BIG_STEPS = 5;

/**
 * A line as a track: its spread, its value, and the window that is wanted. Drawn over the track a window is made; its edges
 * are drawn, or moved with the arrow keys.
 */
export function WindowTrack({ line, said, after, want, measures, onWant }: WindowTrackProps) {
  const track = useRef<HTMLDivElement>(null);
  const [drawn, setDrawn] = useState<{ readonly fromSi: number; readonly toSi: number } | null>(null);
  const [from, to] = rangeOf(said, want);
  const share = (si: number) => Math.min(1, Math.max(0, (si - from) / (to - from)));
  const percent = (si: number) => `${100 * share(si)}%`;
  const siAt = (event: PointerEvent) => {
    const box = track.current?.getBoundingClientRect();
    const at = box ? (event.clientX - box.left) / box.width : 0;
    return from + Math.min(1, Math.max(0, at)) * (to - from);
  };
  const window = drawn
    ? { low: Math.min(drawn.fromSi, drawn.toSi), high: Math.max(drawn.fromSi, drawn.toSi) }
    : want && { low: want.low, high: want.high };
  const weight = want?.weight ?? 'must';
  const commit = (low: number | null, high: number | null) => {
    // An edge drawn to the end of the track leaves the window open there.
    const openLow = low !== null && share(low) > 0.005 ? low : null;
    const openHigh = high !== null && share(high) < 0.995 ? high : null;
    if (openLow === null && openHigh === null) onWant(null);
    else if (openLow === null || openHigh === null || openLow < openHigh)
      onWant({ line, low: openLow, high: openHigh, weight });
  };
  const onPointerDown = (event: PointerEvent<HTMLDivElement>) => {
    if (event.button !== 0) return;
    event.preventDefault();
    event.currentTarget.setPointerCapture(event.pointerId);
    const si = siAt(event);
    // Near an edge that edge is taken, elsewhere a new window is drawn.
    const near = want && nearestEdge(want, si, (to - from) * 0.05);
    const other = near === 'low' ? (want?.high ?? to) : (want?.low ?? from);
    setDrawn({ fromSi: near ? other : si, toSi: si });
  };
  const onPointerMove = (event: PointerEvent<HTMLDivElement>) => {
    if (drawn) setDrawn({ ...drawn, toSi: siAt(event) });
  };
  const letGo = () => {
    if (!drawn) return;
    setDrawn(null);
    const [low, high] = [Math.min(drawn.fromSi, drawn.toSi), Math.max(drawn.fromSi, drawn.toSi)];
    if ((high - low) / (to - from) >= LEAST_SHARE) commit(low, high);
  };
  const moveEdge = (edge: Edge) => (event: KeyboardEvent) => {
    const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (way === undefined || !want) return;
    event.preventDefault();
    const by = way * KEY_SHARE * (to - from) * (event.shiftKey ? BIG_STEPS : 1);
    const moved = (want[edge] ?? (edge === 'low' ? from : to)) + by;
    if (edge === 'low') commit(moved, want.high);
    else commit(want.low, moved);
  };
  return (
    <div
      ref={track}
      className="relative h-8 cursor-crosshair touch-pan-y contain-layout contain-size"
      title="Draw over it what is wanted"
      data-testid={`track ${line}`}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={letGo}
      onPointerCancel={() => setDrawn(null)}
    >
      <span className="absolute inset-x-0 top-1/2 h-px bg-line" />
      {window && (
        <span
          className={`absolute inset-y-1 rounded-sm border border-dashed ${weight === 'whatever' ? 'border-ink-soft' : 'border-good bg-good/15'}`}
          style={{ left: percent(window.low ?? from), right: `${100 - 100 * share(window.high ?? to)}%` }}
        />
      )}
      {said && (
        <>
          <span
            className="absolute top-3 h-2 rounded-full bg-ink-soft/40"
            style={{ left: percent(said.low), width: `max(2px, ${100 * (share(said.high) - share(said.low))}%)` }}
          />
          <span
            className="absolute top-2.75 -ml-1.25 size-2.5 rounded-full border border-panel bg-ink"
            style={{ left: percent(said.value) }}
          />
        </>
      )}
      {after && (
        <span
          className="absolute top-2.5 -ml-1.5 size-3 rotate-45 border-2 border-accent bg-panel"
          style={{ left: percent(after.value) }}
          data-testid={`after ${line}`}
        />
      )}
      {want &&
        !drawn &&
        (['low', 'high'] as const).map((edge) => (
          <EdgeHandle
            key={edge}
            edge={edge}
            line={line}
            want={want}
            range={[from, to]}
            at={percent}
            measures={measures}
            onKey={moveEdge(edge)}
          />
        ))}
    </div>
  );
}

interface EdgeHandleProps {
  readonly edge: Edge;
  readonly line: CardLine;
  readonly want: Want;
  readonly range: readonly [number, number];
  readonly at: (si: number) => string;
  readonly measures: CardMeasures;
  readonly onKey: (event: KeyboardEvent) => void;
}

function EdgeHandle({ edge, line, want, range: [from, to], at, measures, onKey }: EdgeHandleProps) {
  const set = want[edge];
  const si = set ?? (edge === 'low' ? from : to);
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={`${LINE_WORDS[line].name}, ${edge === 'low' ? 'least' : 'most'} that is wanted`}
      aria-valuemin={from}
      aria-valuemax={to}
      aria-valuenow={si}
      aria-valuetext={set === null ? 'open' : lineValue(line, set, measures)}
      className={`absolute inset-y-0.5 -ml-0.5 w-1 cursor-ew-resize rounded focus-visible:outline-2 focus-visible:outline-offset-1 focus-visible:outline-accent ${set === null ? 'bg-transparent' : 'bg-good'}`}
      style={{ left: at(si) }}
      onKeyDown={onKey}
    />
  );
}

function nearestEdge({ low, high }: Want, si: number, withinSi: number): Edge | null {
  const off = (edge: number | null) => (edge === null ? Infinity : Math.abs(edge - si));
  const [toLow, toHigh] = [off(low), off(high)];
  if (Math.min(toLow, toHigh) > withinSi) return null;
  return toLow < toHigh ? 'low' : 'high';
}

/** From nothing, or the least that shows all of it, to well beyond what it is and what is wanted. */
function rangeOf(said: Banded | null, want: Want | null): readonly [number, number] {
  const all = [said?.low, said?.high, want?.low, want?.high].flatMap((each) => each ?? []);
  const most = Math.max(0, ...all);
  const least = Math.min(0, ...all);
  if (most === least) return [0, 1];
  const room = 0.25 * (most - least);
  return [least < 0 ? least - room : 0, most + room];
}
