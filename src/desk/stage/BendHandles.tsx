'use client';

import { capital } from '@/words/capital';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { bendTo } from '@/core/lure/bending';
import type { Layout } from '@/core/geometry/layout';
import type { Build } from '@/core/lure/lure';
import type { PlacedSection } from '@/core/carriers/wire-path';
import type { StageView } from '@/drawing/stage-view';
import { bendAngle, bendName } from '@/words/bend-words';
import { pick, showDraft, useDesk } from '../desk-state';
import { doDraft } from '../open-lure';

export interface BendHandlesProps {
  readonly build: Build;
  readonly layout: Layout;
  readonly view: StageView;
}

/** How far from its bend a handle stands, px: far enough to be turned with care. */
const LEVER_PX = 34;
const KEY_STEP_RAD = Math.PI / 180;
const BIG_STEPS = 5;

/** A handle at each bend of the wire: drawn round its bend it bends what lies beyond; arrow keys bend by a degree. */
export function BendHandles({ build, layout, view }: BendHandlesProps) {
  const { carrier } = build;
  if (carrier.kind !== 'bentWire' || !layout.path) return null;
  return (
    <svg
      className="pointer-events-none absolute inset-0"
      width={view.widthPx}
      height={view.heightPx}
      viewBox={`0 0 ${view.widthPx} ${view.heightPx}`}
    >
      {layout.path.sections
        .filter(({ section }) => section.section === 'bend')
        .map((placed) => (
          <Handle key={placed.index} placed={placed} name={bendName(carrier, placed.index)} view={view} />
        ))}
    </svg>
  );
}

function Handle({
  placed,
  name,
  view,
}: {
  readonly placed: PlacedSection;
  readonly name: string;
  readonly view: StageView;
}) {
  const held = useRef<{ readonly fromRad: number; readonly angleRad: number } | null>(null);
  const knob = useRef<SVGGElement>(null);
  const { section, start, end, index } = placed;
  if (section.section !== 'bend') return null;
  const px = 1000 * view.pxPerMm;
  const at = { x: view.originX + ((start.xM + end.xM) / 2) * px, y: view.originY - ((start.yM + end.yM) / 2) * px };
  const grip = { x: at.x + LEVER_PX * Math.cos(end.angleRad), y: at.y - LEVER_PX * Math.sin(end.angleRad) };
  const words = bendAngle(section.angleRad);

  const bend = (angleRad: number) => {
    // The wire as it is done, not as it is drawn under the hand: else every step would build on the last.
    const carrier = useDesk.getState().history?.lure.build.carrier;
    if (carrier?.kind === 'bentWire') showDraft(bendTo(carrier, index, angleRad));
  };
  const pointed = (event: PointerEvent) => {
    const box = knob.current?.ownerSVGElement?.getBoundingClientRect();
    return Math.atan2(-(event.clientY - (box?.top ?? 0) - at.y), event.clientX - (box?.left ?? 0) - at.x);
  };
  const onPointerDown = (event: PointerEvent<SVGGElement>) => {
    event.preventDefault();
    event.currentTarget.focus();
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { fromRad: pointed(event), angleRad: section.angleRad };
    pick('wire');
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    if (!held.current) return;
    const { fromRad, angleRad } = held.current;
    const turned = Math.atan2(Math.sin(pointed(event) - fromRad), Math.cos(pointed(event) - fromRad));
    bend(angleRad + turned);
  };
  const letGo = () => {
    if (!held.current) return;
    held.current = null;
    doDraft('bend');
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>) => {
    const way = { ArrowUp: 1, ArrowLeft: 1, ArrowDown: -1, ArrowRight: -1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    bend(section.angleRad + way * KEY_STEP_RAD * (event.shiftKey ? BIG_STEPS : 1));
  };
  // A key held down is one change, as a hand that draws is.
  const settle = () => {
    doDraft('bend');
  };
  return (
    <g
      ref={knob}
      role="slider"
      tabIndex={0}
      aria-label={`${capital(name)}, on the drawing`}
      aria-valuemin={-215}
      aria-valuemax={215}
      aria-valuenow={Math.round((section.angleRad * 180) / Math.PI)}
      aria-valuetext={words}
      className="group pointer-events-auto cursor-grab touch-none outline-none active:cursor-grabbing"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      onKeyDown={onKeyDown}
      onKeyUp={settle}
      onBlur={settle}
    >
      <title>{`${capital(name)}: ${words}. Draw it round, or use the arrow keys.`}</title>
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
