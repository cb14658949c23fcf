'use client';

import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { lacksSomething } from '@/core/judgement/families/slots';
import type { LureHistory } from '@/core/lure/history';
import type { SpinPrediction } from '@/core/predict/spin';
import { closeSheet, pick, useDesk } from '@/desk/desk-state';
import { drawnOf, motionsWith, predictionOf, ratesBefore } from '@/desk/derived';
import type * as FindingsRoom from '@/desk/findings-and-cuts';
import type { FindingsAndCuts } from '@/desk/findings-and-cuts';
import { useSoundKey, useUndoKeys } from '@/desk/keys';
import { NotSaved } from '@/desk/NotSaved';
import { changeSettings } from '@/desk/settings';
import { usePaintedHistory } from '@/desk/shown-lure';
import { retrieveSpeed, speedUnitOf } from '@/desk/speed';
import { Stage, StageFigures } from '@/desk/stage/Stage';
import { isWideStage } from '@/desk/stage/stage-room';
import { useLearning } from '@/desk/figures/readings';
import { useLearnt } from '@/desk/figures/use-core';
import { useSound } from '@/desk/sound/sound-state';
import { useStageView } from '@/desk/stage/use-stage-view';
import { UNDO_WAYS } from '@/desk/ways-out';
import { Boundary } from '@/ui/Boundary';
import { useAfterPaint } from '@/ui/use-after-paint';
import { useSize } from '@/ui/use-media';
import { BenchFrame } from './BenchFrame';
import { BenchHeader } from './BenchHeader';
import {
  AboutLure,
  BackupSheet,
  CompareSheet,
  FrontSheet,
  LuresSheet,
  NewLureSheet,
  OwnPartsSheet,
  PartPicker,
  RetrievePanel,
  RideSheet,
  RulesSheet,
  SoundKeeper,
  SoundMarks,
  SoundSheet,
  StringSection,
  TrueSizeSheet,
} from './later';
import { partCommands, type PartCommands } from './string/part-commands';
import { closePicker, nextSlot, openPicker, usePicker } from '@/desk/picker/picker-state';
import { stringUnits, type StringUnit } from './string/string-units';

export interface OpenBenchProps {
  readonly isDark: boolean;
  /** Called once, when the drawing is first painted. */
  readonly onStands: () => void;
}

/**
 * A lure on the bench. The drawing follows every change at once, by itself; how the blades turn, and what stands around it,
 * follow as soon as that is painted.
 */
export const OpenBench = memo(function OpenBench({ isDark, onStands }: OpenBenchProps) {
  const history = usePaintedHistory();
  return history && <BenchWith history={history} isDark={isDark} onStands={onStands} />;
});

interface BenchWithProps extends OpenBenchProps {
  /** As last painted. */
  readonly history: LureHistory;
}

function BenchWith({ history, isDark, onStands }: BenchWithProps) {
  const { lure } = history;
  const { build } = lure;
  const { system, retrieve, water, outfit } = useDesk((state) => state.settings);
  const bladeState = useDesk((state) => state.bladeState);
  const stage = useRef<HTMLDivElement>(null);
  const size = useSize(stage);
  const isWide = size !== null && isWideStage(size);
  const speedMps = retrieveSpeed(retrieve);

  const laid = drawnOf(build);
  const learnt = useLearnt(build);
  const prediction = predictionOf(build, water, speedMps, bladeState, learnt);
  useLearning(lure, water, outfit);
  const motions = motionsWith(prediction, laid);
  const view = useStageView(size, laid.layout, motions);
  const [isPainted, setPainted] = useState(false);
  const onPainted = useCallback(() => {
    setPainted(true);
    onStands();
  }, [onStands]);
  const isReady = useAfterPaint(isPainted);

  const around = useAround(history, prediction, speedMps, isReady);
  useUndoKeys();
  useSoundKey();
  const isPlaying = useSound((state) => state.isPlaying);
  const isSoundWanted = useDesk((state) => state.sheet === 'sound') || isPlaying;
  const isChoosing = usePicker((state) => state.aim !== null);
  const figures = {
    build,
    prediction,
    ratesBefore: around.ratesBefore,
    motions,
    findings: around.findings,
    slot: around.slot,
    system,
    speedMps,
    speedUnit: speedUnitOf(retrieve, system),
  };
  const onLure = { resetOn: [history], waysOut: UNDO_WAYS };
  return (
    <BenchFrame
      isChoosing={isChoosing}
      header={
        <>
          <Boundary name="The row of menus" {...onLure}>
            <BenchHeader history={history} isDark={isDark} isReady={isReady} />
          </Boundary>
          <NotSaved />
        </>
      }
      stageRef={stage}
      stage={
        <Boundary name="The drawing" {...onLure}>
          {size && (
            <Stage
              size={size}
              isWide={isWide}
              prediction={prediction}
              findings={around.findings}
              system={system}
              isReady={isReady}
              onPainted={onPainted}
            >
              {isReady && isWide && view && <StageFigures {...figures} view={view} isOnDrawing />}
              {isSoundWanted && view && <SoundMarks view={view} />}
            </Stage>
          )}
        </Boundary>
      }
      underStage={
        view &&
        isReady &&
        !isWide && (
          <Boundary name="What the lure does" {...onLure}>
            <StageFigures {...figures} view={view} isOnDrawing={false} />
          </Boundary>
        )
      }
      string={
        <Boundary name="The string" {...onLure}>
          {view && isReady && (
            <StringSection
              build={build}
              layout={laid.layout}
              view={view}
              seats={laid.seats}
              units={around.units}
              unit={around.unit}
              onPickUnit={around.pickUnit}
              commands={around.commands}
              system={system}
              slot={around.slot}
            />
          )}
        </Boundary>
      }
      retrieve={
        <Boundary name="The retrieve" {...onLure}>
          {isReady && <RetrievePanel build={build} prediction={prediction} />}
        </Boundary>
      }
      about={
        <Boundary name="What is known of this lure" {...onLure}>
          {isReady && around.isThere && (
            <AboutLure
              lure={lure}
              findings={around.findings}
              unit={around.unit}
              cuts={around.cuts}
              system={system}
              speedMps={speedMps}
            />
          )}
        </Boundary>
      }
      lureId={lure.id}
    >
      <Boundary name="The sound" {...onLure}>
        {isSoundWanted && <SoundKeeper key={lure.id} />}
      </Boundary>
      <Sheets speedMps={speedMps} />
    </BenchFrame>
  );
}

/**
 * The commands as shown, done on the lure as it is at that moment: the hand can be quicker than the page. What was put on a
 * moment ago is picked and not painted yet: nothing is shown as picked then, and it is what is meant.
 */
function commandsOnLive(shown: PartCommands, unit: StringUnit | null): PartCommands {
  const live = () => {
    const { history, picked } = useDesk.getState();
    if (!history) return shown;
    const { build } = history.lure;
    const units = stringUnits(build);
    const meant = unit?.pick ?? picked;
    const now = units.find(({ key }) => key === unit?.key) ?? units.find(({ pick: each }) => each === meant) ?? null;
    return partCommands(now, units, build, openPicker);
  };
  return {
    ...shown,
    swap: () => live().swap(),
    move: (direction) => live().move(direction),
    takeOff: () => live().takeOff(),
    insertBefore: () => live().insertBefore(),
    insertAfter: () => live().insertAfter(),
    insertInside: () => live().insertInside(),
    hold: (seat) => live().hold(seat),
  };
}

type FindingsRoomType = typeof FindingsRoom;

const NOTHING_YET: FindingsAndCuts = { findings: [], cuts: [] };

/** All that stands around the drawing, from the lure as last painted; nothing until that part of the app is there. */
function useAround(history: LureHistory, prediction: SpinPrediction, speedMps: number, isReady: boolean) {
  const { lure } = history;
  const { build } = lure;
  const picked = useDesk((state) => state.picked);
  const rules = useDesk((state) => state.rules);
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const bottomM = useDesk((state) => state.settings.tank.bottomM);
  const [leg, setLeg] = useState<string | null>(null);
  const room = useFindingsRoom(isReady);
  const { findings, cuts } =
    room?.findingsAndCuts(lure, prediction, speedMps, water, rules, outfit, bottomM) ?? NOTHING_YET;
  const units = stringUnits(build);
  const unit =
    units.find(({ key }) => key === leg && key.startsWith(String(picked))) ??
    units.find(({ pick: each }) => each === picked) ??
    null;
  const commands = useMemo(
    () => commandsOnLive(partCommands(unit, units, build, openPicker), unit),
    [unit, units, build],
  );
  const pickUnit = useCallback((next: StringUnit) => {
    setLeg(next.key);
    pick(next.pick);
  }, []);
  const before = ratesBefore(history, prediction, speedMps, water);
  const slot = usePicker((state) => (lacksSomething(lure) ? nextSlot(lure, state) : null));
  return { isThere: room !== null, findings, cuts, units, unit, commands, pickUnit, ratesBefore: before, slot };
}

function useFindingsRoom(isReady: boolean): FindingsRoomType | null {
  const [room, setRoom] = useState<FindingsRoomType | null>(null);
  useEffect(() => {
    if (isReady) void import('@/desk/findings-and-cuts').then(setRoom);
  }, [isReady]);
  return room;
}

/** The sheets that can lie over the bench; each loads when it is first asked for. */
function Sheets({ speedMps }: { readonly speedMps: number }) {
  const history = useDesk((state) => state.history);
  const aim = usePicker((state) => state.aim);
  const { system, screenPxPerMm } = useDesk((state) => state.settings);
  const sheet = useDesk((state) => state.sheet);
  if (!history) return null;
  const closeAll = () => {
    closePicker();
    closeSheet();
  };
  return (
    <Boundary
      name="This sheet"
      resetOn={[sheet, aim, history]}
      waysOut={[{ label: 'Close it', run: closeAll }, ...UNDO_WAYS]}
      isOver
    >
      {aim && <PartPicker aim={aim} lure={history.lure} system={system} speedMps={speedMps} onClose={closePicker} />}
      {sheet === 'parts' && <OwnPartsSheet system={system} onClose={closeSheet} />}
      {sheet === 'rules' && <RulesSheet onClose={closeSheet} />}
      {sheet === 'lures' && <LuresSheet onClose={closeSheet} />}
      {sheet === 'new' && <NewLureSheet onClose={closeSheet} />}
      {sheet === 'trueSize' && (
        <TrueSizeSheet
          known={screenPxPerMm}
          onSet={(pxPerMm) => changeSettings({ screenPxPerMm: pxPerMm, trueSize: true })}
          onClose={closeSheet}
        />
      )}
      {sheet === 'ride' && <RideSheet lure={history.lure} onClose={closeSheet} />}
      {sheet === 'sound' && <SoundSheet lure={history.lure} onClose={closeSheet} />}
      {sheet === 'front' && <FrontSheet lure={history.lure} onClose={closeSheet} />}
      {sheet === 'compare' && <CompareSheet lure={history.lure} system={system} onClose={closeSheet} />}
      {sheet === 'backup' && <BackupSheet onClose={closeSheet} />}
    </Boundary>
  );
}
