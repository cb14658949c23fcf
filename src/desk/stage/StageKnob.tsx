'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Point } from '@/drawing/path';

export interface StageKnobProps {
  /** What it is for, on the stage, px, and where the knob stands. */
  readonly at: Point;
  readonly grip: Point;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly now: number;
  /** The value in words, and how it is changed. */
  readonly words: string;
  readonly hint: string;
  /** The pointer took hold here, px of the stage. */
  readonly onHold: (at: Point) => void;
  readonly onDraw: (at: Point) => void;
  /** One step more or less by the arrow keys, with Shift five. */
  readonly onStep: (steps: number) => void;
  /** It was let go: a key held down is one change, as a hand that draws is. */
  readonly onSettle: () => void;
}

const BIG_STEPS = 5;
const WAYS: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowLeft: 1, ArrowDown: -1, ArrowRight: -1 };

/** A knob on the drawing that something is drawn by: by pointer, or with the arrow keys. */
export function StageKnob(props: StageKnobProps) {
  const { at, grip, label, min, max, now, words, hint, onHold, onDraw, onStep, onSettle } = props;
  const isHeld = useRef(false);
  const knob = useRef<SVGGElement>(null);
  const pointed = (event: PointerEvent): Point => {
    const box = knob.current?.ownerSVGElement?.getBoundingClientRect();
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
  };
  const onPointerDown = (event: PointerEvent<SVGGElement>) => {
    event.preventDefault();
    event.currentTarget.focus();
    event.currentTarget.setPointerCapture(event.pointerId);
    isHeld.current = true;
    onHold(pointed(event));
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    if (isHeld.current) onDraw(pointed(event));
  };
  const letGo = () => {
    if (!isHeld.current) return;
    isHeld.current = false;
    onSettle();
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>) => {
    const way = WAYS[event.key];
    if (way === undefined) return;
    event.preventDefault();
    onStep(way * (event.shiftKey ? BIG_STEPS : 1));
  };
  return (
    <g
      ref={knob}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuenow={now}
      aria-valuetext={words}
      className="group pointer-events-auto cursor-grab touch-none outline-none active:cursor-grabbing"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      onKeyDown={onKeyDown}
      onKeyUp={onSettle}
      onBlur={onSettle}
    >
      <title>{hint}</title>
      <line
        x1={at.x}
        y1={at.y}
        x2={grip.x}
        y2={grip.y}
        stroke="var(--accent)"
        strokeDasharray="2 3"
        className="opacity-40 group-hover:opacity-100 group-focus:opacity-100"
      />
      <circle cx={grip.x} cy={grip.y} r={22} fill="transparent" />
      <circle
        cx={grip.x}
        cy={grip.y}
        r={6}
        fill="var(--panel)"
        stroke="var(--accent)"
        strokeWidth={2}
        className="group-focus:[stroke-width:4px]"
      />
    </g>
  );
}

/** What knobs stand on: laid over the drawing, and only they are pressed. */
export function KnobSheet({
  view: { widthPx, heightPx },
  children,
}: {
  readonly view: { readonly widthPx: number; readonly heightPx: number };
  readonly children: React.ReactNode;
}) {
  return (
    <svg
      className="pointer-events-none absolute inset-0"
      width={widthPx}
      height={heightPx}
      viewBox={`0 0 ${widthPx} ${heightPx}`}
    >
      {children}
    </svg>
  );
}
