'use client';

import { memo, useMemo } from 'react';
import { hasBody } from '@/core/lure/take-body';
import { wholeLengthM } from '@/core/geometry/drawn-short';
import type { Finding } from '@/core/judgement/finding';
import type { Slot } from '@/core/judgement/slot';
import type { Build, ItemId } from '@/core/lure/lure';
import type { SpinPrediction } from '@/core/predict/spin';
import { showLength, showMass, type UnitSystem } from '@/core/units/write';
import { anchorsOf, sweepOf } from '@/drawing/labels/lure-ground';
import { measuredGround, restLanes } from '@/drawing/Measures';
import type { Motion } from '@/drawing/motion';
import type { StageView } from '@/drawing/stage-view';
import { useMedia } from '@/ui/use-media';
import type { SpeedUnit } from '@/words/spin-words';
import { drawnOf, massOf, thingsOf } from '../derived';
import { useDesk } from '../desk-state';
import { BladeFigures } from '../figures/BladeFigures';
import { furniture } from './furniture';
import { FIGURE_LINE_PX } from './stage-room';
import { LureLine } from '../figures/LureLine';
import { shownOf, useRide, useStall } from '../figures/use-core';
import { FindingMark } from './FindingMark';
import { SlotMark, slotAnchors } from './SlotMark';
import { StageLabels, type StageLabel } from './StageLabels';

export interface StageFiguresProps {
  readonly build: Build;
  readonly prediction: SpinPrediction;
  /** Rate of each blade before the last change, to show what the change did. */
  readonly ratesBefore: ReadonlyMap<ItemId, number>;
  readonly motions: readonly Motion[];
  readonly findings: readonly Finding[];
  readonly view: StageView;
  readonly system: UnitSystem;
  readonly speedMps: number;
  readonly speedUnit: SpeedUnit;
  /** The place that asks for its part next; null where none does. */
  readonly slot: Slot | null;
  /** There is room on the drawing; else what matters most stands under it. */
  readonly isOnDrawing: boolean;
}

/** Marks on the drawing at once; the rest stand beside it. */
const MOST_MARKS = 2;

/** What the lure does at the chosen retrieve: its blades' figures each at its blade, the whole lure's on one line. */
export const StageFigures = memo(function StageFigures(props: StageFiguresProps) {
  const { build, prediction, ratesBefore, motions, findings, view, system, speedMps, speedUnit, isOnDrawing } = props;
  const { slot } = props;
  const { water, outfit } = useDesk((state) => state.settings);
  const bladeState = useDesk((state) => state.bladeState);
  const showsTicks = useMedia('(prefers-reduced-motion: reduce)');
  const ride = useRide(build, water, outfit, bladeState, speedMps);
  const stalls = shownOf(useStall(build, water, bladeState));
  const answer = shownOf(ride);
  const shown = useMemo(() => answer && { ...answer, system, speedUnit }, [answer, system, speedUnit]);
  const { layout } = drawnOf(build);
  const things = thingsOf(build);
  const { blades, beats } = prediction;

  const bladeLabels = useMemo(
    () =>
      blades.flatMap(({ station, at: [at] }): StageLabel[] => {
        const motion = motions.find((each) => each.station === station);
        if (!at || !build.items[station]) return [];
        return [
          {
            key: station,
            anchors: motion ? sweepOf(motion, layout, view).tips : [],
            content: (
              <BladeFigures
                station={station}
                at={at}
                build={build}
                isNamed={blades.length > 1}
                rateBefore={ratesBefore.get(station) ?? null}
                stall={stalls?.find((each) => each.station === station)?.stall ?? null}
                shown={shown}
                system={system}
                speedMps={speedMps}
                speedUnit={speedUnit}
                showsTicks={showsTicks}
                isBrief={!isOnDrawing}
              />
            ),
          },
        ];
      }),
    [
      blades,
      motions,
      build,
      layout,
      view,
      ratesBefore,
      stalls,
      shown,
      system,
      speedMps,
      speedUnit,
      showsTicks,
      isOnDrawing,
    ],
  );
  const marks = useMemo(
    () =>
      findings
        .filter(({ severity }) => severity !== 'good')
        .map((finding): StageLabel => ({
          key: `finding ${finding.key}`,
          anchors: anchorsOf(things, finding.items[0] ?? null, view),
          content: <FindingMark finding={finding} build={build} system={system} />,
        }))
        .filter(({ anchors }) => anchors.length > 0)
        .slice(0, MOST_MARKS),
    [findings, things, view, build, system],
  );
  const picked = useDesk((state) => state.picked);
  const taken = useMemo(
    () => [...furniture(view), ...measuredGround(restLanes(motions, layout, findings, picked, view), layout, view)],
    [motions, layout, findings, picked, view],
  );
  const asking = useMemo(
    (): StageLabel[] =>
      slot
        ? [
            {
              key: `slot ${slot.code}`,
              anchors: slotAnchors(slot, things, layout, view),
              content: <SlotMark slot={slot} />,
            },
          ]
        : [],
    [slot, things, layout, view],
  );
  const labels = useMemo(() => [...bladeLabels, ...marks, ...asking], [bladeLabels, marks, asking]);
  const size = `${showLength(wholeLengthM(build), system)} · ${showMass(massOf(build), system)}`;
  const line = (
    <LureLine
      asked={ride}
      shown={shown}
      beats={beats}
      size={size}
      hasBlade={blades.length > 0 || hasBody(build)}
      isBrief={!isOnDrawing}
    />
  );
  if (!isOnDrawing) {
    return (
      <div className="flex flex-col px-2">
        <div aria-live="polite" className="contents">
          {bladeLabels.map(({ key, content }) => (
            <div key={key}>{content}</div>
          ))}
        </div>
        {line}
      </div>
    );
  }
  return (
    <>
      <div aria-live="polite">
        <StageLabels labels={labels} things={things} motions={motions} layout={layout} view={view} taken={taken} />
      </div>
      <div className="absolute inset-x-0 top-0 bg-stage/85 px-2 pt-1" style={{ height: FIGURE_LINE_PX }}>
        {line}
      </div>
    </>
  );
});
