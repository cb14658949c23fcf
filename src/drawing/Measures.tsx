/** What is measured on the drawing itself: the room a blade has to the hook, the room its clevis has on the wire. */
import type { Layout } from '../core/geometry/layout';
import { poseOf } from '../core/geometry/placed';
import type { Finding } from '../core/judgement/finding';
import { showLength, type UnitSystem } from '../core/units/write';
import { linePose, type Pick } from './drawn-things';
import { polygonOf, type Polygon } from './labels/ground';
import type { Motion } from './motion';
import { fromLine, onLine } from './on-line';
import { usualSine } from './stage-reach';
import { RULE_PX, type StageView } from './stage-view';

type AgainstHook = Extract<Finding, { code: 'bladeAgainstHook' }>;

/** A blade lying back along its wire, and the gap from its tip to the hook: px on the stage. */
export interface RestLane {
  readonly station: Motion['station'];
  readonly holeX: number;
  readonly holeY: number;
  readonly tipX: number;
  readonly y: number;
  /** What it comes to, and how near. */
  readonly gap: { readonly toX: number; readonly finding: AgainstHook } | null;
}

const LANE_PX = 40;
/** Width of the words behind a gap, px. */
const WORDS_PX = 150;

/** The gaps worth measuring: of the picked blade, and of one that reaches the hook. */
export function restLanes(
  motions: readonly Motion[],
  layout: Layout,
  findings: readonly Finding[],
  picked: Pick | null,
  view: StageView,
): RestLane[] {
  if (layout.path) return [];
  const shown = motions.flatMap((motion) => {
    if (motion.clevis === null) return [];
    const rest = findings
      .filter((finding) => finding.code === 'bladeAgainstHook')
      .filter((finding) => finding.posture === 'rest' && finding.items[0] === motion.station)
      .sort((a, b) => a.clearanceM - b.clearanceM)[0];
    const isShown = picked === motion.station || (rest !== undefined && rest.severity !== 'good');
    return isShown ? [{ motion, rest }] : [];
  });
  const lowest = Math.max(
    0,
    ...motions.map(({ dropM, reachM, usualSpreadRad }) => dropM + reachM * usualSine(usualSpreadRad)),
  );
  const below = view.originY + lowest * 1000 * view.pxPerMm + 20;
  return shown.map(({ motion: { station, line, holeM, dropM, reachM }, rest }, lane) => {
    const holeAtM = poseOf(layout, line).xM + holeM;
    const tipM = holeAtM + reachM;
    return {
      station,
      holeX: view.toX(holeAtM),
      holeY: view.originY + dropM * 1000 * view.pxPerMm,
      tipX: view.toX(tipM),
      y: Math.min(below, view.heightPx - RULE_PX - 26 - (shown.length - 1) * LANE_PX) + lane * LANE_PX,
      gap: rest ? { toX: view.toX(tipM + rest.clearanceM), finding: rest } : null,
    };
  });
}

/** The ground that these measures take. */
export function measuredGround(lanes: readonly RestLane[], layout: Layout, view: StageView): Polygon[] {
  const rest = lanes.map(({ holeX, tipX, y, gap }) =>
    polygonOf({
      left: holeX - 4,
      top: y - 10,
      width: Math.max(tipX, gap?.toX ?? tipX) + (gap ? WORDS_PX : 8) - holeX,
      height: 32,
    }),
  );
  const free = freeRoomOf(layout, view);
  if (!free) return rest;
  const { x0, x1, y, words, line } = free;
  const [left, right] =
    words.anchor === 'end'
      ? [Math.min(x0, words.x - FREE_WORDS_PX), x1]
      : [Math.min(x0, words.x), Math.max(x1, words.x + FREE_WORDS_PX)];
  const around = polygonOf({ left, top: y - 24, width: right - left, height: 32 });
  return [...rest, line ? around.map(({ x, y: down }) => fromLine(view, line, x, down)) : around];
}

const STAGE_EDGE_PX = 6;
/** Width of the words of the free room, px. */
const FREE_WORDS_PX = 96;
/** Free room is drawn so far above the wire, mm. */
const ABOVE_WIRE_MM = 4.2;

/** Where the free room is drawn: px along its line where that is bent, else on the stage. */
function freeRoomOf(layout: Layout, view: StageView) {
  const { x0M, x1M } = layout.freeRoom;
  if (x1M <= x0M) return null;
  const px = 1000 * view.pxPerMm;
  const line = layout.path ? linePose(layout, 'run') : null;
  const [x0, x1] = line ? [x0M * px, x1M * px] : [view.toX(x0M), view.toX(x1M)];
  const y = (line ? 0 : view.originY) - ABOVE_WIRE_MM * view.pxPerMm;
  // Ahead of what turns where there is room; on a narrow stage from its very edge.
  const start = line ? x0 : STAGE_EDGE_PX;
  const words = x1 > FREE_WORDS_PX ? ({ x: x1, anchor: 'end' } as const) : ({ x: start, anchor: 'start' } as const);
  const leftOut = layout.leftOut.filter(({ atM }) => atM > x0M && atM < x1M);
  const roomM = leftOut.reduce((sum, { lengthM }) => sum + lengthM, x1M - x0M);
  return { x0, x1, y, words, line, roomM };
}

export function RestReach({ lane, system }: { readonly lane: RestLane; readonly system: UnitSystem }) {
  const { holeX, holeY, tipX, y, gap } = lane;
  return (
    <g className="text-ink-soft" aria-hidden>
      <g stroke="currentColor" strokeWidth={1.2}>
        <line x1={holeX} x2={tipX} y1={y} y2={y} strokeDasharray="6 4" />
        <line x1={holeX} x2={holeX} y1={holeY} y2={y + 4} opacity={0.5} />
        <line x1={tipX} x2={tipX} y1={y - 6} y2={y + 6} />
      </g>
      <text x={(holeX + tipX) / 2} y={y + 17} textAnchor="middle" fontSize={14} fill="currentColor">
        blade lying back
      </text>
      {gap && <Gap fromX={tipX} toX={gap.toX} y={y} finding={gap.finding} system={system} />}
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
  readonly finding: AgainstHook;
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
      <text x={Math.max(fromX, toX) + 6} y={y + 4} fontSize={14} fontWeight={600} fill={colour}>
        {`${showLength(Math.abs(finding.clearanceM), system)} ${words}`}
      </text>
    </g>
  );
}

export function FreeRoom({
  layout,
  view,
  system,
}: {
  readonly layout: Layout;
  readonly view: StageView;
  readonly system: UnitSystem;
}) {
  const free = freeRoomOf(layout, view);
  if (!free) return null;
  const { x0, x1, y, words, line, roomM } = free;
  return (
    <g className="text-ink-soft" aria-hidden transform={line ? onLine(view, line) : undefined}>
      <path d={`M${x0} ${y + 8}V${y}H${x1}V${y + 8}`} fill="none" stroke="currentColor" strokeWidth={1.2} />
      <text x={words.x} y={y - 6} fontSize={14} textAnchor={words.anchor} fill="currentColor">
        {`${showLength(roomM, system)} free`}
      </text>
    </g>
  );
}
