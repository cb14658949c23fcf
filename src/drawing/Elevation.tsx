'use client';

import { useMemo, useRef } from 'react';
import type { Finding } from '../core/lure/finding';
import type { Layout } from '../core/lure/layout';
import type { Build } from '../core/lure/lure';
import { showLength, type UnitSystem } from '../core/units/write';
import { drawElevation, type Pick } from './drawn-things';
import { Rule } from './Rule';
import { PaintDefs, Shapes } from './Shapes';
import type { StageView } from './stage-view';
import type { Motion } from './motion';
import { useTurning } from './use-turning';

export interface ElevationProps {
  readonly build: Build;
  readonly layout: Layout;
  readonly view: StageView;
  readonly motions: readonly Motion[];
  readonly findings: readonly Finding[];
  readonly system: UnitSystem;
  readonly slowedBy: number;
  readonly still: boolean;
  readonly picked: Pick | null;
  readonly onPick: (pick: Pick) => void;
  readonly label: string;
}

export function Elevation(props: ElevationProps) {
  const { build, layout, view, motions, findings, system, picked, onPick, label } = props;
  const things = useMemo(() => drawElevation(build, layout), [build, layout]);
  const defs = useMemo(() => <PaintDefs shapes={things.flatMap(({ shapes }) => shapes)} />, [things]);
  const behind = useRef<HTMLCanvasElement>(null);
  const before = useRef<HTMLCanvasElement>(null);
  useTurning(behind, before, motions, view, props.slowedBy, props.still);

  const pickAt = (target: EventTarget) => {
    const found = target instanceof Element ? target.closest('[data-pick]')?.getAttribute('data-pick') : null;
    if (found) onPick(found as Pick);
  };
  const hung = motions.filter(({ clevis }) => clevis !== null);
  const mm = `translate(${view.originX} ${view.originY}) scale(${view.pxPerMm})`;
  return (
    <div role="presentation" onClick={(event) => pickAt(event.target)} className="relative cursor-pointer select-none">
      <canvas ref={behind} aria-hidden className="absolute inset-0 size-full" />
      <svg
        role="img"
        aria-label={label}
        width={view.widthPx}
        height={view.heightPx}
        viewBox={`0 0 ${view.widthPx} ${view.heightPx}`}
        className="relative block"
        data-testid="elevation"
        data-px-per-mm={view.pxPerMm}
      >
        {defs}
        {motions.map((motion) => (
          <Sweep key={motion.station} motion={motion} view={view} />
        ))}
        <g transform={mm}>
          {things.map(({ pick, atMm, mirrored, shapes }) => (
            <g key={pick} data-pick={pick} transform={`translate(${atMm} 0)${mirrored ? ' scale(-1 1)' : ''}`}>
              <Shapes shapes={shapes} />
            </g>
          ))}
        </g>
        {motions.map((motion) => (
          <SweepHit key={motion.station} motion={motion} view={view} />
        ))}
        {things.map(({ pick, hit }) => {
          const isPicked = pick === picked;
          const [x, width] = [view.originX + hit.x0 * view.pxPerMm, (hit.x1 - hit.x0) * view.pxPerMm];
          const half = hit.halfHeight * view.pxPerMm;
          return (
            <rect
              key={pick}
              data-pick={pick}
              x={x - 3}
              width={Math.max(width + 6, 1)}
              y={view.originY - half - 3}
              height={2 * half + 6}
              rx={4}
              fill="transparent"
              stroke={isPicked ? 'var(--accent)' : 'none'}
              strokeWidth={2}
              strokeDasharray="5 3"
              pointerEvents={pick === 'wire' ? 'none' : undefined}
            />
          );
        })}
        <FreeRoom layout={layout} view={view} system={system} />
        {hung.map((motion, i) => (
          <RestReach
            key={motion.station}
            motion={motion}
            lane={hung.length - 1 - i}
            findings={findings}
            view={view}
            system={system}
          />
        ))}
        <Rule view={view} system={system} />
      </svg>
      <canvas
        ref={before}
        aria-hidden
        data-testid="near-side"
        className="pointer-events-none absolute inset-0 size-full"
      />
    </div>
  );
}

/** The ring the tip runs on, seen almost edge on. */
function Sweep({ motion, view }: { readonly motion: Motion; readonly view: StageView }) {
  const { holeM, dropM, reachM, spreadRad, rateHz } = motion;
  if (rateHz === 0) return null;
  const x = view.toX(holeM + reachM * Math.cos(spreadRad));
  const radius = (dropM + reachM * Math.sin(spreadRad)) * 1000 * view.pxPerMm;
  return (
    <ellipse
      cx={x}
      cy={view.originY}
      rx={radius * 0.09}
      ry={radius}
      fill="none"
      stroke="var(--ink-soft)"
      strokeDasharray="2 5"
      strokeWidth={1.2}
    />
  );
}

/** Where a press means the blade: anywhere it sweeps that no other part lies; and its clevis on the wire. */
function SweepHit({ motion, view }: { readonly motion: Motion; readonly view: StageView }) {
  const { station, clevis, holeM, dropM, reachM, spreadRad } = motion;
  const [hole, tip] = [view.toX(holeM), view.toX(holeM + reachM * Math.cos(spreadRad))];
  const px = (lengthM: number) => lengthM * 1000 * view.pxPerMm;
  const radius = px(dropM + reachM * Math.sin(spreadRad)) + 4;
  const y = view.originY;
  return (
    <>
      <path data-pick={station} d={`M${hole - 4} ${y}L${tip + 4} ${y - radius}V${y + radius}Z`} fill="transparent" />
      {clevis && (
        <rect
          data-pick={clevis.item}
          x={view.toX(clevis.foreM) - 2}
          width={px(clevis.aftM - clevis.foreM) + 4}
          y={y - px(dropM)}
          height={2 * px(dropM)}
          fill="transparent"
        />
      )}
    </>
  );
}

/** Where the tip comes to when the blade lies back, and the gap from there to the hook. */
function RestReach({
  motion,
  lane,
  findings,
  view,
  system,
}: {
  readonly motion: Motion;
  /** Blades on one wire are measured one above the other. */
  readonly lane: number;
  readonly findings: readonly Finding[];
  readonly view: StageView;
  readonly system: UnitSystem;
}) {
  const { station, holeM, dropM, reachM } = motion;
  const rest = findings
    .filter((finding) => finding.code === 'bladeAgainstHook')
    .filter((finding) => finding.posture === 'rest' && finding.items[0] === station)
    .sort((a, b) => a.clearanceM - b.clearanceM)[0];
  const y = view.heightPx - 52 - lane * 30;
  const tipM = holeM + reachM;
  const [hole, tip] = [view.toX(holeM), view.toX(tipM)];
  return (
    <g className="text-ink-soft" aria-hidden>
      <g stroke="currentColor" strokeWidth={1.2}>
        <line x1={hole} x2={tip} y1={y} y2={y} strokeDasharray="6 4" />
        <line x1={hole} x2={hole} y1={view.originY + dropM * 1000 * view.pxPerMm} y2={y + 4} opacity={0.5} />
        <line x1={tip} x2={tip} y1={y - 6} y2={y + 6} />
      </g>
      <text x={(hole + tip) / 2} y={y + 15} textAnchor="middle" fontSize={12} fill="currentColor">
        blade lying back
      </text>
      {rest && <Gap fromX={tip} toX={view.toX(tipM + rest.clearanceM)} y={y} finding={rest} system={system} />}
    </g>
  );
}

function Gap({
  fromX,
  toX,
  y,
  finding,
  system,
}: {
  readonly fromX: number;
  readonly toX: number;
  readonly y: number;
  readonly finding: Extract<Finding, { code: 'bladeAgainstHook' }>;
  readonly system: UnitSystem;
}) {
  const colour = { fault: 'var(--fault)', caution: 'var(--caution)', good: 'var(--good)' }[finding.severity];
  const words = finding.severity === 'fault' ? 'reaches in' : 'clear';
  return (
    <g>
      <g stroke={colour} strokeWidth={2}>
        <line x1={fromX} x2={toX} y1={y} y2={y} />
        <line x1={toX} x2={toX} y1={y - 7} y2={y + 7} />
      </g>
      <text x={Math.max(fromX, toX) + 6} y={y + 4} fontSize={13} fontWeight={600} fill={colour}>
        {`${showLength(Math.abs(finding.clearanceM), system)} ${words}`}
      </text>
    </g>
  );
}

function FreeRoom({
  layout,
  view,
  system,
}: {
  readonly layout: Layout;
  readonly view: StageView;
  readonly system: UnitSystem;
}) {
  const { x0M, x1M } = layout.freeRoom;
  const [x0, x1] = [view.toX(x0M), view.toX(x1M)];
  const y = view.originY - 4.2 * view.pxPerMm;
  return (
    <g className="text-ink-soft" aria-hidden>
      <path d={`M${x0} ${y + 8}V${y}H${x1}V${y + 8}`} fill="none" stroke="currentColor" strokeWidth={1.2} />
      <text x={x1 > 90 ? x1 : x0} y={y - 6} fontSize={12} textAnchor={x1 > 90 ? 'end' : 'start'} fill="currentColor">
        {`${showLength(x1M - x0M, system)} free`}
      </text>
    </g>
  );
}
