'use client';

import { useEffect, useMemo, useRef } from 'react';
import type { Finding } from '../core/lure/finding';
import type { Layout } from '../core/lure/layout';
import type { Build } from '../core/lure/lure';
import type { SpinSeat } from '../core/lure/spin-seats';
import { bladeReach } from '../core/parts/outline';
import { showLength, type UnitSystem } from '../core/units/write';
import { BladeAnimator, HANGING_RAD, type TurningThing } from './blade-animator';
import { drawElevation, type Pick } from './elevation';
import { Rule } from './Rule';
import { PaintDefs, Shapes } from './Shapes';
import type { StageView } from './stage-view';

/** How a blade stands at the chosen speed. */
export interface SeatMotion {
  readonly seat: SpinSeat;
  /** Turns a second; 0 when it hangs. */
  readonly rateHz: number;
  readonly spreadRad: number;
  readonly setAngleRad: number;
}

export interface ElevationProps {
  readonly build: Build;
  readonly layout: Layout;
  readonly view: StageView;
  readonly motions: readonly SeatMotion[];
  readonly findings: readonly Finding[];
  readonly system: UnitSystem;
  readonly slowedBy: number;
  readonly still: boolean;
  readonly picked: Pick | null;
  readonly onPick: (pick: Pick) => void;
  readonly label: string;
}

/** A hidden tab or a slow machine does not make the blade jump further than this. */
const LONGEST_STEP_S = 0.5;
/** Half open, so that both faces and the cup can be read. */
const STILL_AZIMUTH_RAD = (58 * Math.PI) / 180;

export function Elevation(props: ElevationProps) {
  const { build, layout, view, motions, findings, system, picked, onPick, label } = props;
  const things = useMemo(() => drawElevation(build, layout), [build, layout]);
  const behind = useRef<SVGGElement>(null);
  const before = useRef<SVGGElement>(null);
  useTurning(behind, before, motions, props.slowedBy, props.still);

  const pickAt = (target: EventTarget) => {
    const found = target instanceof Element ? target.closest('[data-pick]')?.getAttribute('data-pick') : null;
    if (found) onPick(found as Pick);
  };
  const mm = `translate(${view.originX} ${view.originY}) scale(${view.pxPerMm})`;
  return (
    <div role="presentation" onClick={(event) => pickAt(event.target)} className="cursor-pointer select-none">
      <svg
        role="img"
        aria-label={label}
        width={view.widthPx}
        height={view.heightPx}
        viewBox={`0 0 ${view.widthPx} ${view.heightPx}`}
        className="block"
        data-testid="elevation"
        data-px-per-mm={view.pxPerMm}
      >
        <PaintDefs shapes={things.flatMap(({ shapes }) => shapes)} />
        {motions.map((motion) => (
          <Sweep key={motion.seat.item.id} motion={motion} view={view} />
        ))}
        <g transform={mm} ref={behind} />
        <g transform={mm}>
          {things.map(({ pick, atMm, mirrored, shapes }, i) => (
            <g
              key={`${pick} ${i}`}
              data-pick={pick}
              transform={`translate(${atMm} 0)${mirrored ? ' scale(-1 1)' : ''}`}
            >
              <Shapes shapes={shapes} />
            </g>
          ))}
        </g>
        <g transform={mm} ref={before} />
        {things.map(({ pick, hit }, i) => {
          const isPicked = pick === picked;
          const [x, width] = [view.originX + hit.x0 * view.pxPerMm, (hit.x1 - hit.x0) * view.pxPerMm];
          const half = hit.halfHeight * view.pxPerMm;
          return (
            <rect
              key={`${pick} hit ${i}`}
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
        {motions.map((motion) => (
          <RestReach key={motion.seat.item.id} motion={motion} findings={findings} view={view} system={system} />
        ))}
        <Rule view={view} system={system} />
      </svg>
    </div>
  );
}

/** The ring the tip runs on, seen almost edge on. */
function Sweep({ motion, view }: { readonly motion: SeatMotion; readonly view: StageView }) {
  const { seat, spreadRad, rateHz } = motion;
  if (rateHz === 0) return null;
  const reachM = bladeReach(seat.blade);
  const x = view.toX(seat.holeM + reachM * Math.cos(spreadRad));
  const radius = (seat.dropM + reachM * Math.sin(spreadRad)) * 1000 * view.pxPerMm;
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

/** Where the tip comes to when the blade lies back, and the gap from there to the hook. */
function RestReach({
  motion,
  findings,
  view,
  system,
}: {
  readonly motion: SeatMotion;
  readonly findings: readonly Finding[];
  readonly view: StageView;
  readonly system: UnitSystem;
}) {
  const { seat } = motion;
  const rest = findings
    .filter((finding) => finding.code === 'bladeAgainstHook')
    .filter((finding) => finding.posture === 'rest' && finding.items[0] === seat.item.id)
    .sort((a, b) => a.clearanceM - b.clearanceM)[0];
  const y = view.heightPx - 52;
  const tipM = seat.holeM + bladeReach(seat.blade);
  const [hole, tip] = [view.toX(seat.holeM), view.toX(tipM)];
  return (
    <g className="text-ink-soft" aria-hidden>
      <g stroke="currentColor" strokeWidth={1.2}>
        <line x1={hole} x2={tip} y1={y} y2={y} strokeDasharray="6 4" />
        <line x1={hole} x2={hole} y1={view.originY + seat.dropM * 1000 * view.pxPerMm} y2={y + 4} opacity={0.5} />
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

/** Runs the animators: made anew when blades or clevises change, updated when only the motion does. */
function useTurning(
  behind: React.RefObject<SVGGElement | null>,
  before: React.RefObject<SVGGElement | null>,
  motions: readonly SeatMotion[],
  slowedBy: number,
  still: boolean,
) {
  const animators = useRef<BladeAnimator[]>([]);
  const azimuths = useRef(new Map<string, number>());
  const things = useMemo(() => motions.map((motion) => turningThing(motion, slowedBy)), [motions, slowedBy]);
  const parts = JSON.stringify(
    things.map(({ bladePick, clevisPick, blade, clevis }) => [bladePick, clevisPick, blade, clevis]),
  );
  const latest = useRef(things);

  useEffect(() => {
    latest.current = things;
    animators.current.forEach((animator, i) => {
      const thing = things[i];
      if (thing && animators.current.length === things.length) animator.update(thing);
    });
  }, [things]);

  useEffect(() => {
    const [back, front] = [behind.current, before.current];
    if (!back || !front) return;
    const kept = azimuths.current;
    const made = latest.current.map((thing) => {
      const start = thing.rateHz === 0 ? HANGING_RAD : (kept.get(thing.bladePick) ?? STILL_AZIMUTH_RAD);
      return new BladeAnimator(back, front, thing, start);
    });
    animators.current = made;
    let frame = 0;
    let last = 0;
    const step = (now: number) => {
      const seconds = last === 0 ? 0 : Math.min((now - last) / 1000, LONGEST_STEP_S);
      last = now;
      for (const animator of made) animator.advance(seconds);
      frame = requestAnimationFrame(step);
    };
    if (!still) frame = requestAnimationFrame(step);
    return () => {
      cancelAnimationFrame(frame);
      made.forEach((animator, i) => {
        const pick = latest.current[i]?.bladePick;
        if (pick) kept.set(pick, animator.azimuthRad);
        animator.remove();
      });
      animators.current = [];
    };
  }, [behind, before, parts, still]);
}

function turningThing({ seat, rateHz, spreadRad, setAngleRad }: SeatMotion, slowedBy: number): TurningThing {
  const { clevis } = seat;
  return {
    bladePick: seat.item.id,
    clevisPick: clevis.item.id,
    blade: seat.blade,
    clevis: clevis.clevis,
    clevisFrontMm: clevis.foreM * 1000,
    clevisSpanMm: (clevis.aftM - clevis.foreM) * 1000,
    pose: {
      holeMm: seat.holeM * 1000,
      dropMm: seat.dropM * 1000,
      spreadRad,
      setAngleRad,
      flipped: seat.item.flipped,
    },
    rateHz: rateHz / slowedBy,
  };
}
