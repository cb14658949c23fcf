'use client';

import { memo, useEffect, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { isSame } from '@/core/same';
import type { Layout } from '@/core/geometry/layout';
import type { DrawnThing } from '@/drawing/drawn-things';
import { NEVER_COVERED, type Box, type Polygon } from '@/drawing/labels/ground';
import { lureGround } from '@/drawing/labels/lure-ground';
import { overlap, placeLabels, type PlacedLabel } from '@/drawing/labels/place-labels';
import type { Motion } from '@/drawing/motion';
import type { Point } from '@/drawing/path';
import type { StageView } from '@/drawing/stage-view';

export interface StageLabel {
  readonly key: string;
  /** Where its leader can meet what it is of; where there is none it has no leader to place. */
  readonly anchors: readonly Point[];
  readonly content: ReactNode;
}

export interface StageLabelsProps {
  readonly labels: readonly StageLabel[];
  readonly things: readonly DrawnThing[];
  readonly motions: readonly Motion[];
  readonly layout: Layout;
  readonly view: StageView;
  /** What else of the stage is taken: the line of figures, the tools. */
  readonly taken: readonly Polygon[];
}

/** On a stage so wide there is room beside a straight lure for figures in a row. */
const WIDE_PX = 860;

type Sizes = Readonly<Record<string, { readonly width: number; readonly height: number }>>;

/** What is written about the parts of a drawing, each beside its part on free ground, with a leader to it. */
export const StageLabels = memo(function StageLabels(props: StageLabelsProps) {
  const { labels, things, motions, layout, view, taken } = props;
  const list = useRef<HTMLDivElement>(null);
  const [sizes, setSizes] = useState<Sizes>({});
  const keys = labels.map(({ key }) => key).join('|');
  useEffect(() => {
    const elements = [...(list.current?.querySelectorAll<HTMLElement>('[data-label]') ?? [])];
    const observer = new ResizeObserver(() => {
      const measured = Object.fromEntries(
        elements.map(({ dataset, offsetWidth, offsetHeight }) => [
          dataset.label ?? '',
          { width: offsetWidth, height: offsetHeight },
        ]),
      );
      setSizes((known) => (isSame(known, measured) ? known : measured));
    });
    for (const element of elements) observer.observe(element);
    return () => observer.disconnect();
  }, [keys]);

  const ground = useMemo(() => {
    const made = lureGround(things, motions, layout, view);
    for (const polygon of taken) made.takePolygon(polygon, NEVER_COVERED);
    return made;
  }, [things, motions, layout, view, taken]);
  const [stood] = useState(() => new Map<string, Box>());
  const placed = useMemo(() => {
    const wanted = labels.flatMap(({ key, anchors }) => {
      const size = sizes[key];
      return size && anchors.length > 0 ? [{ key, anchors, widthPx: size.width, heightPx: size.height }] : [];
    });
    // Where all is full, the place that asks is left to its button below: it covers no tool.
    return placeLabels(wanted, ground, stood).filter(
      (label) => !label.key.startsWith('slot ') || !taken.some((polygon) => overlap(label, boxOf(polygon))),
    );
  }, [labels, sizes, ground, stood, taken]);
  useLayoutEffect(() => {
    stood.clear();
    for (const label of placed) stood.set(label.key, label);
  }, [placed, stood]);

  const byKey = new Map(placed.map((label) => [label.key, label]));
  return (
    <>
      <Leaders placed={placed} view={view} />
      <div ref={list} className="pointer-events-none absolute inset-0" data-testid="labels">
        {labels.map(({ key, content }) => {
          const box = byKey.get(key);
          return (
            <div
              key={key}
              data-label={key}
              data-placed={box !== undefined}
              className={`pointer-events-auto absolute w-max ${layout.path || view.widthPx < WIDE_PX ? 'max-w-60' : 'max-w-md'}`}
              style={box ? { left: box.left, top: box.top } : { left: 8, top: 64, visibility: 'hidden' }}
            >
              {content}
            </div>
          );
        })}
      </div>
    </>
  );
});

function boxOf(polygon: Polygon): Box {
  const [xs, ys] = [polygon.map(({ x }) => x), polygon.map(({ y }) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { left, top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
}

function Leaders({ placed, view }: { readonly placed: readonly PlacedLabel[]; readonly view: StageView }) {
  return (
    <svg className="pointer-events-none absolute inset-0" width={view.widthPx} height={view.heightPx} aria-hidden>
      {placed.map(({ key, leader: { from, to } }) => (
        <g key={key} data-leader={key} className="text-ink-soft">
          <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="currentColor" strokeWidth={1.2} />
          <circle cx={from.x} cy={from.y} r={2.6} fill="currentColor" />
        </g>
      ))}
    </svg>
  );
}
