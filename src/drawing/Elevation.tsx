'use client';

import { memo, useMemo, useState } from 'react';
import type { Layout } from '../core/geometry/layout';
import type { UnitSystem } from '../core/units/write';
import { linePose, type DrawnThing, type Pick } from './drawn-things';
import { FreeRoom, RestReach, type RestLane } from './Measures';
import { fromLine, onLine } from './on-line';
import { Rule } from './Rule';
import { sweptCorners } from './stage-reach';
import { steadyBox, sweptBox, type StageView } from './stage-view';
import type { Motion } from './motion';
import { StageCanvases } from './stage/StageCanvases';
import { turningThings } from './turning-things';

export interface ElevationProps {
  readonly things: readonly DrawnThing[];
  readonly layout: Layout;
  readonly view: StageView;
  readonly motions: readonly Motion[];
  /** The gaps that are measured on the drawing. */
  readonly lanes: readonly RestLane[];
  readonly system: UnitSystem;
  readonly slowedBy: number;
  readonly still: boolean;
  readonly picked: Pick | null;
  readonly onPick: (pick: Pick) => void;
  readonly label: string;
  /** Only the lure: nothing measured on it, no rule under it. */
  readonly isBare?: boolean;
  /** Called once, when it is first painted. */
  readonly onPainted: () => void;
}

export function Elevation(props: ElevationProps) {
  const { things, layout, view, motions, lanes, system, slowedBy, picked, onPick, label, isBare = false } = props;
  const needed = useMemo(() => sweptBox(sweptCorners(layout, motions), view), [layout, motions, view]);
  const [before, setBefore] = useState(needed);
  const swept = useMemo(() => steadyBox(needed, before), [needed, before]);
  if (swept.width !== before.width || swept.height !== before.height) setBefore(swept);
  const turning = useMemo(() => turningThings(motions, layout, slowedBy), [motions, layout, slowedBy]);

  const pickAt = (target: EventTarget) => {
    const found = target instanceof Element ? target.closest('[data-pick]')?.getAttribute('data-pick') : null;
    if (found) onPick(found as Pick);
  };
  return (
    <div role="presentation" onClick={(event) => pickAt(event.target)} className="relative cursor-pointer select-none">
      <StageCanvases
        things={things}
        turning={turning}
        view={view}
        swept={swept}
        isStill={props.still}
        onPainted={props.onPainted}
      />
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
        {!isBare && <FreeRoom layout={layout} view={view} system={system} />}
        {lanes.map((lane) => (
          <RestReach key={lane.station} lane={lane} system={system} />
        ))}
        {!isBare && <Rule view={view} system={system} leftOut={layout.leftOut} />}
      </svg>
    </div>
  );
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
  // What lies level is placed without being turned: each turn is a layer of its own to the browser.
  const isLevel = line.turnRad === 0;
  const origin = isLevel ? fromLine(view, line, 0, 0) : { x: 0, y: 0 };
  return (
    <rect
      data-pick={pick}
      transform={isLevel ? undefined : onLine(view, line)}
      x={origin.x + hit.x0 * px - 3}
      width={Math.max((hit.x1 - hit.x0) * px + 6, 1)}
      y={origin.y - half - liftMm * px - 3}
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
