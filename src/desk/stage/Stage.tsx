'use client';

import { memo, useMemo, useRef, type ReactNode } from 'react';
import { wholeLengthM } from '@/core/geometry/drawn-short';
import type { Build } from '@/core/lure/lure';
import type { Finding } from '@/core/judgement/finding';
import { doesTurn, type SpinPrediction } from '@/core/predict/spin';
import { showLength, type UnitSystem } from '@/core/units/write';
import { Elevation } from '@/drawing/Elevation';
import { restLanes } from '@/drawing/Measures';
import { latePart } from '@/ui/late-part';
import { useMedia, type Size } from '@/ui/use-media';
import { drawnOf, motionsWith, thingsOf } from '../derived';
import { pick, useDesk } from '../desk-state';
import { shownHistory } from '../shown-lure';
import { useStageView } from './use-stage-view';

const BendHandles = latePart(() => import('./BendHandles').then((room) => room.BendHandles));
const NailHandles = latePart(() => import('./NailHandles').then((room) => room.NailHandles));
/** Also stands by itself, under a stage that is narrow. */
export const StageFigures = latePart(() => import('./StageFigures').then((room) => room.StageFigures));
const StageTools = latePart(() => import('./StageTools').then((room) => room.StageTools));

export interface StageProps {
  readonly size: Size;
  /** There is room on the drawing for what is written about it. */
  readonly isWide: boolean;
  /** How what turns is to be shown turning: of the lure as last painted. */
  readonly prediction: SpinPrediction;
  readonly findings: readonly Finding[];
  readonly system: UnitSystem;
  /** The hand can take hold of it. */
  readonly isReady: boolean;
  /** Only the lure, to be looked at. */
  readonly isBare?: boolean;
  /** Called once, when it is first painted. */
  readonly onPainted: () => void;
  /** What is written about the lure on the drawing, as last painted. */
  readonly children: ReactNode;
}

/**
 * The lure drawn as it is at this moment, with a handle at each bend of a wire and below each nail weight. It follows the hand by itself: all
 * around it follows a moment later.
 */
export const Stage = memo(function Stage(props: StageProps) {
  const { size, isWide, prediction, findings, system, isReady, isBare = false, onPainted, children } = props;
  const lure = useDesk((state) => shownHistory(state)?.lure ?? null);
  const picked = useDesk((state) => state.picked);
  const slowedBy = useDesk((state) => state.settings.slowedBy);
  const isStill = useMedia('(prefers-reduced-motion: reduce)');
  const hand = useRef<HTMLDivElement>(null);
  const laid = lure && drawnOf(lure.build);
  const motions = useMemo(() => (laid ? motionsWith(prediction, laid) : []), [prediction, laid]);
  const view = useStageView(size, laid?.layout ?? null, motions);
  const lanes = useMemo(
    () => (laid && view ? restLanes(motions, laid.layout, findings, picked, view) : []),
    [motions, laid, findings, picked, view],
  );
  if (!lure || !laid || !view) return null;
  const { layout } = laid;
  const turns = prediction.blades.some(({ at: [at] }) => doesTurn(at)) && !isStill;
  return (
    <div className="absolute inset-x-0 top-0" style={{ height: view.heightPx }}>
      <div ref={hand} className={isWide ? 'touch-none' : 'touch-pan-y'}>
        <Elevation
          things={thingsOf(lure.build)}
          layout={layout}
          view={view}
          motions={motions}
          lanes={lanes}
          system={system}
          slowedBy={slowedBy}
          still={isStill}
          picked={picked}
          onPick={pick}
          label={`${lure.name} from the side, nose left: ${showLength(wholeLengthM(lure.build), system)} long`}
          isBare={isBare}
          onPainted={onPainted}
        />
      </div>
      {children}
      {isReady && layout.path && <BendHandles build={lure.build} layout={layout} view={view} />}
      {isReady && hasNail(lure.build) && <NailHandles build={lure.build} layout={layout} view={view} system={system} />}
      {isReady && <StageTools target={hand} view={view} turns={turns} isBrief={!isWide} />}
    </div>
  );
});

function hasNail({ items }: Build): boolean {
  return Object.values(items).some(({ part }) => part.kind === 'nailWeight');
}
