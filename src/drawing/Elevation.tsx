'use client';

import { memo, useLayoutEffect, useMemo, useRef, type ReactNode, type RefObject } from 'react';
import type { Finding } from '../core/judgement/finding';
import type { Layout } from '../core/geometry/layout';
import type { Build } from '../core/lure/lure';
import { showLength, type UnitSystem } from '../core/units/write';
import { poseOf } from '../core/geometry/placed';
import { drawElevation, linePose, type DrawnThing, type PagePose, type Pick } from './drawn-things';
import { paintThings } from './paint-canvas';
import { Rule } from './Rule';
import { sweptBox, type StageView } from './stage-view';
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
  /** What lies over the drawing and is taken hold of there. */
  readonly children?: ReactNode;
}

export function Elevation(props: ElevationProps) {
  const { build, layout, view, motions, findings, system, picked, onPick, label } = props;
  const things = useMemo(() => drawElevation(build, layout), [build, layout]);
  const behind = useRef<HTMLCanvasElement>(null);
  const still = useRef<HTMLCanvasElement>(null);
  const before = useRef<HTMLCanvasElement>(null);
  const box = useMemo(() => sweptBox(layout, motions, view), [layout, motions, view]);
  useTurning(behind, before, motions, layout, view, box, props.slowedBy, props.still);
  useStill(still, things, view);

  const pickAt = (target: EventTarget) => {
    const found = target instanceof Element ? target.closest('[data-pick]')?.getAttribute('data-pick') : null;
    if (found) onPick(found as Pick);
  };
  const hung = layout.path ? [] : motions.filter(({ clevis }) => clevis !== null);
  return (
    <div role="presentation" onClick={(event) => pickAt(event.target)} className="relative cursor-pointer select-none">
      <canvas ref={behind} aria-hidden className="absolute" style={box} />
      <canvas ref={still} aria-hidden data-testid="still" className="absolute inset-0 size-full" />
      <canvas ref={before} aria-hidden data-testid="near-side" className="pointer-events-none absolute" style={box} />
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
        {motions.map((motion) => (
          <g key={motion.station} transform={onLine(view, linePose(layout, motion.line))}>
            <Sweep motion={motion} pxPerMm={view.pxPerMm} />
            <SweepHit motion={motion} pxPerMm={view.pxPerMm} />
          </g>
        ))}
        {things.map((thing, i) => (
          <Hit key={`${thing.pick} ${i}`} thing={thing} view={view} isPicked={thing.pick === picked} />
        ))}
        <FreeRoom layout={layout} view={view} system={system} />
        {hung.map((motion, i) => (
          <RestReach
            layout={layout}
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
      {props.children}
    </div>
  );
}

/** Everything that stands still, painted anew only when it or the stage is another. */
function useStill(
  ref: RefObject<HTMLCanvasElement | null>,
  things: readonly DrawnThing[],
  { widthPx, heightPx, pxPerMm, originX, originY }: StageView,
) {
  useLayoutEffect(() => {
    const canvas = ref.current;
    const context = canvas?.getContext('2d');
    if (!canvas || !context) return;
    const ratio = window.devicePixelRatio || 1;
    const [width, height] = [Math.round(widthPx * ratio), Math.round(heightPx * ratio)];
    if (canvas.width !== width || canvas.height !== height) [canvas.width, canvas.height] = [width, height];
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.clearRect(0, 0, width, height);
    const scale = ratio * pxPerMm;
    context.setTransform(scale, 0, 0, scale, originX * ratio, originY * ratio);
    paintThings(context, things);
  }, [ref, things, widthPx, heightPx, pxPerMm, originX, originY]);
}

/** From pixels on the stage to pixels along a line of the lure: x along it from its origin, y to its right. */
function onLine(view: StageView, line: PagePose): string {
  const [x, y] = [view.originX + line.xMm * view.pxPerMm, view.originY + line.yMm * view.pxPerMm];
  return `translate(${x} ${y}) rotate(${(line.turnRad * 180) / Math.PI})`;
}

interface HitProps {
  readonly thing: DrawnThing;
  readonly view: StageView;
  readonly isPicked: boolean;
}

/** Where a press means this thing, and the dashes about it when it is picked. */
const Hit = memo(function Hit({ thing, view, isPicked }: HitProps) {
  const { pick, line, hit, liftMm, way } = thing;
  const px = view.pxPerMm;
  if (way !== null) {
    return (
      <path
        data-pick={pick}
        d={way}
        transform={`translate(${view.originX} ${view.originY}) scale(${px})`}
        fill="none"
        stroke={isPicked ? 'var(--accent)' : 'transparent'}
        strokeOpacity={isPicked ? 0.35 : 1}
        strokeWidth={14 / px}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    );
  }
  const half = hit.halfHeight * px;
  return (
    <rect
      data-pick={pick}
      transform={onLine(view, line)}
      x={hit.x0 * px - 3}
      width={Math.max((hit.x1 - hit.x0) * px + 6, 1)}
      y={-half - liftMm * px - 3}
      height={2 * half + 6}
      rx={4}
      fill="transparent"
      stroke={isPicked ? 'var(--accent)' : 'none'}
      strokeWidth={2}
      strokeDasharray="5 3"
      pointerEvents={pick === 'wire' && liftMm === 0 && hit.halfHeight < 1 && line.turnRad === 0 ? 'none' : undefined}
    />
  );
}, isSameHit);

function isSameHit(a: HitProps, b: HitProps): boolean {
  return a.isPicked === b.isPicked && a.view === b.view && a.thing.way === b.thing.way && placed(a) === placed(b);
}

function placed({ thing: { pick, line, hit, liftMm } }: HitProps): string {
  return `${pick} ${line.xMm} ${line.yMm} ${line.turnRad} ${hit.x0} ${hit.x1} ${hit.halfHeight} ${liftMm}`;
}

/** The ring the tip runs on, seen almost edge on. */
function Sweep({ motion, pxPerMm }: { readonly motion: Motion; readonly pxPerMm: number }) {
  const { holeM, dropM, reachM, spreadRad, rateHz } = motion;
  if (rateHz === 0) return null;
  const radius = (dropM + reachM * Math.sin(spreadRad)) * 1000 * pxPerMm;
  return (
    <ellipse
      cx={(holeM + reachM * Math.cos(spreadRad)) * 1000 * pxPerMm}
      cy={0}
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
function SweepHit({ motion, pxPerMm }: { readonly motion: Motion; readonly pxPerMm: number }) {
  const { station, clevis, holeM, dropM, reachM, spreadRad } = motion;
  const px = (lengthM: number) => lengthM * 1000 * pxPerMm;
  const [hole, tip] = [px(holeM), px(holeM + reachM * Math.cos(spreadRad))];
  const radius = px(dropM + reachM * Math.sin(spreadRad)) + 4;
  return (
    <>
      <path data-pick={station} d={`M${hole - 4} 0L${tip + 4} ${-radius}V${radius}Z`} fill="transparent" />
      {clevis && (
        <rect
          data-pick={clevis.item}
          x={px(clevis.foreM) - 2}
          width={px(clevis.aftM - clevis.foreM) + 4}
          y={-px(dropM)}
          height={2 * px(dropM)}
          fill="transparent"
        />
      )}
    </>
  );
}

/** Where the tip comes to when the blade lies back, and the gap from there to the hook. */
function RestReach({
  layout,
  motion,
  lane,
  findings,
  view,
  system,
}: {
  readonly layout: Layout;
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
  const holeAtM = poseOf(layout, motion.line).xM + holeM;
  const tipM = holeAtM + reachM;
  const [hole, tip] = [view.toX(holeAtM), view.toX(tipM)];
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
  if (x1M <= x0M) return null;
  const px = 1000 * view.pxPerMm;
  const [x0, x1] = layout.path ? [x0M * px, x1M * px] : [view.toX(x0M), view.toX(x1M)];
  const y = (layout.path ? 0 : view.originY) - 4.2 * view.pxPerMm;
  return (
    <g
      className="text-ink-soft"
      aria-hidden
      transform={layout.path ? onLine(view, linePose(layout, 'run')) : undefined}
    >
      <path d={`M${x0} ${y + 8}V${y}H${x1}V${y + 8}`} fill="none" stroke="currentColor" strokeWidth={1.2} />
      <text x={x1 > 90 ? x1 : x0} y={y - 6} fontSize={12} textAnchor={x1 > 90 ? 'end' : 'start'} fill="currentColor">
        {`${showLength(x1M - x0M, system)} free`}
      </text>
    </g>
  );
}
