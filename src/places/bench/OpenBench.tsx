'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { LureHistory } from '@/core/lure/history';
import { doesTurn, type SpinPrediction } from '@/core/predict/spin';
import { showLengthBoth, showMass } from '@/core/units/write';
import { closeSheet, openSheet, pick, useDesk } from '@/desk/desk-state';
import { laidOf, massOf, motionsWith, predictionOf, ratesBefore } from '@/desk/derived';
import { exportLure } from '@/desk/export-lure';
import type * as FindingsRoom from '@/desk/findings-and-cuts';
import type { FindingsAndCuts } from '@/desk/findings-and-cuts';
import { drawingStands, perform, saveWhole } from '@/desk/open-lure';
import { changeSettings } from '@/desk/settings';
import { retrieveSpeed } from '@/desk/speed';
import { Stage } from '@/desk/stage/Stage';
import { useStageView } from '@/desk/stage/use-stage-view';
import { Boundary, type WayOut } from '@/ui/Boundary';
import { Button } from '@/ui/Button';
import { useAfterPaint } from '@/ui/use-after-paint';
import { usePainted } from '@/ui/use-painted';
import { useMedia, useSize } from '@/ui/use-media';
import { storageFailureWords } from '@/words/storage-words';
import { BenchHeader } from './BenchHeader';
import {
  AboutLure,
  BackupSheet,
  BeatReadouts,
  CompareSheet,
  LuresSheet,
  NewLureSheet,
  OwnPartsSheet,
  PartPicker,
  RetrievePanel,
  RideSheet,
  RulesSheet,
  SpinReadouts,
  StringSection,
  TrueSizeSheet,
} from './later';
import { partCommands, type PartCommands } from './part-commands';
import type { PickerAim } from '@/desk/picker/picker-aim';
import { stringUnits, type StringUnit } from './string-units';

/** How long a bend must be held still before the figures and findings around the drawing follow it. */
const REST_UNDER_THE_HAND_MS = 140;
export interface OpenBenchProps {
  readonly history: LureHistory;
  readonly isDark: boolean;
}

/**
 * A lure on the bench. The drawing follows every change at once; how the blades turn, and what stands around it, follow as
 * soon as that is painted.
 */
export function OpenBench({ history: done, isDark }: OpenBenchProps) {
  // A change under the hand is shown as if it were done.
  const draft = useDesk((state) => state.draft);
  const history = useMemo(() => (draft ? { ...done, lure: draft.lure } : done), [done, draft]);
  const { lure } = history;
  const { build } = lure;
  const { system, retrieve, slowedBy, screenPxPerMm, trueSize, water } = useDesk((state) => state.settings);
  const bladeState = useDesk((state) => state.bladeState);
  const stage = useRef<HTMLDivElement>(null);
  const size = useSize(stage);
  const prefersStill = useMedia('(prefers-reduced-motion: reduce)');
  const speedMps = retrieveSpeed(retrieve);

  const laid = laidOf(build);
  const painted = usePainted(history, draft ? REST_UNDER_THE_HAND_MS : 0);
  const paintedBuild = painted.lure.build;
  const paintedLaid = laidOf(paintedBuild);
  const prediction = predictionOf(paintedBuild, water, speedMps, bladeState);
  const motions = motionsWith(prediction, laid);
  const view = useStageView(size, laid.layout, motions, trueSize ? screenPxPerMm : null);
  const overall = showLengthBoth(paintedLaid.layout.x1M - paintedLaid.layout.x0M, system);
  const mass = massOf(paintedBuild);
  const turning = prediction.blades.some(({ at: [at] }) => doesTurn(at));
  const isPreview = useDesk((state) => state.isPreview);
  const isPainted = useAfterPaint(view !== null);
  useEffect(() => {
    if (isPainted) drawingStands();
  }, [isPainted]);
  const isReady = isPainted && !isPreview;

  const around = useAround(painted, prediction, speedMps, isReady);
  useUndoKeys();
  const onLure = { resetOn: [history], waysOut: WAYS_OUT };
  return (
    <div className="flex min-h-dvh flex-col">
      <Boundary name="The row of menus" {...onLure}>
        <BenchHeader history={done} isDark={isDark} isReady={isReady} />
      </Boundary>
      <NotSaved history={done} />
      <div className="flex flex-1 flex-col lg:flex-row">
        <main className="flex min-w-0 flex-1 flex-col">
          <div ref={stage} className="flex flex-col overflow-x-auto bg-stage contain-content">
            {/* On a narrow screen the drawing comes first. */}
            <div className="px-2 pt-1 max-sm:order-last">
              <div className="min-h-20 max-sm:min-h-60">
                <Boundary name="What the blades do" {...onLure}>
                  {isReady && (
                    <SpinReadouts
                      build={paintedBuild}
                      prediction={prediction}
                      ratesBefore={around.ratesBefore}
                      system={system}
                      showsTicks={prefersStill}
                      speedMps={speedMps}
                      speedUnit={retrieve.by === 'reel' ? 'mps' : retrieve.by}
                    />
                  )}
                </Boundary>
              </div>
              <div className="pointer-events-none relative z-10 flex min-h-11 flex-wrap items-center justify-end gap-x-2 text-sm *:pointer-events-auto *:rounded-md *:bg-stage sm:-mb-7">
                <p className="px-2 text-ink-soft">
                  {overall} long · {showMass(mass, system)}
                </p>
                {isReady && prediction.beats.length > 0 && <BeatReadouts beats={prediction.beats} />}
                {isReady && (
                  <>
                    <Button look="quiet" onClick={() => openSheet('ride')}>
                      Ride and line
                    </Button>
                    <TrueSizeButton />
                  </>
                )}
                {turning && !prefersStill && (
                  <Button
                    look="quiet"
                    aria-pressed={slowedBy === 8}
                    onClick={() => changeSettings({ slowedBy: slowedBy === 8 ? 1 : 8 })}
                  >
                    {slowedBy === 8 ? 'Shown 8 × slower' : 'Shown at its own rate'}
                  </Button>
                )}
              </div>
            </div>
            <Boundary name="The drawing" {...onLure}>
              {view && (
                <Stage
                  build={build}
                  view={view}
                  motions={motions}
                  findings={around.findings}
                  system={system}
                  isStill={prefersStill}
                  isReady={isReady}
                  label={`${lure.name} from the side, nose left: ${overall} long`}
                />
              )}
            </Boundary>
          </div>
          <section aria-label="String" className="min-h-44 border-t border-line bg-panel pt-1 contain-content">
            <Boundary name="The string" {...onLure}>
              {view && isReady && (
                <StringSection
                  build={paintedBuild}
                  layout={paintedLaid.layout}
                  view={view}
                  seats={paintedLaid.seats}
                  units={around.units}
                  unit={around.unit}
                  onPickUnit={around.pickUnit}
                  commands={around.commands}
                  system={system}
                />
              )}
            </Boundary>
          </section>
          <Boundary name="The retrieve" {...onLure}>
            {isReady && <RetrievePanel build={paintedBuild} prediction={prediction} />}
          </Boundary>
        </main>
        <aside
          aria-label="About this lure"
          className="flex flex-col gap-4 border-l border-line bg-panel p-4 lg:h-[calc(100dvh-3.6rem)] lg:w-80 lg:shrink-0 lg:overflow-y-auto lg:contain-strict"
        >
          <Boundary name="What is known of this lure" {...onLure}>
            {isReady && around.isThere && (
              <AboutLure
                lure={painted.lure}
                findings={around.findings}
                unit={around.unit}
                cuts={around.cuts}
                system={system}
              />
            )}
          </Boundary>
        </aside>
      </div>
      <Sheets aim={around.aim} history={done} onClosePicker={() => around.setAim(null)} speedMps={speedMps} />
    </div>
  );
}

/** Out of a room that failed: back to the lure as it was. */
export const WAYS_OUT: readonly WayOut[] = [
  {
    label: 'Undo the last change',
    run: () => {
      useDesk.setState({ draft: null });
      perform({ do: 'undo' });
    },
  },
];

/** The commands as shown, done on the lure as it is at that moment: the hand can be quicker than the page. */
function commandsOnLive(
  shown: PartCommands,
  unit: StringUnit | null,
  openPicker: (aim: PickerAim) => void,
): PartCommands {
  const live = () => {
    const build = useDesk.getState().history?.lure.build;
    if (!build) return shown;
    const units = stringUnits(build);
    const now =
      units.find(({ key }) => key === unit?.key) ?? units.find(({ pick: each }) => each === unit?.pick) ?? null;
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
  const [leg, setLeg] = useState<string | null>(null);
  const [aim, setAim] = useState<PickerAim | null>(null);
  const room = useFindingsRoom(isReady);
  const { findings, cuts } = room?.findingsAndCuts(lure, prediction, speedMps, water, rules) ?? NOTHING_YET;
  const units = stringUnits(build);
  const unit =
    units.find(({ key }) => key === leg && key.startsWith(String(picked))) ??
    units.find(({ pick: each }) => each === picked) ??
    null;
  const commands = useMemo(
    () => commandsOnLive(partCommands(unit, units, build, setAim), unit, setAim),
    [unit, units, build],
  );
  const pickUnit = useCallback((next: StringUnit) => {
    setLeg(next.key);
    pick(next.pick);
  }, []);
  const before = ratesBefore(history, prediction, speedMps, water);
  return { isThere: room !== null, findings, cuts, units, unit, commands, pickUnit, ratesBefore: before, aim, setAim };
}

function useFindingsRoom(isReady: boolean): FindingsRoomType | null {
  const [room, setRoom] = useState<FindingsRoomType | null>(null);
  useEffect(() => {
    if (isReady) void import('@/desk/findings-and-cuts').then(setRoom);
  }, [isReady]);
  return room;
}

/** The sheets that can lie over the bench; each loads when it is first asked for. */
function Sheets({
  aim,
  history,
  onClosePicker,
  speedMps,
}: {
  readonly aim: PickerAim | null;
  readonly history: LureHistory;
  readonly onClosePicker: () => void;
  readonly speedMps: number;
}) {
  const { system, screenPxPerMm } = useDesk((state) => state.settings);
  const sheet = useDesk((state) => state.sheet);
  const compared = useDesk((state) => state.compared);
  const closeAll = () => {
    onClosePicker();
    closeSheet();
  };
  return (
    <Boundary
      name="This sheet"
      resetOn={[sheet, aim, history]}
      waysOut={[{ label: 'Close it', run: closeAll }, ...WAYS_OUT]}
      isOver
    >
      {aim && <PartPicker aim={aim} lure={history.lure} system={system} speedMps={speedMps} onClose={onClosePicker} />}
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
      {sheet === 'compare' && (
        <CompareSheet lure={history.lure} index={compared} system={system} onClose={closeSheet} />
      )}
      {sheet === 'backup' && <BackupSheet onClose={closeSheet} />}
    </Boundary>
  );
}

/** As large as it is, or as large as the stage. The screen is measured once, against a bank card. */
function TrueSizeButton() {
  const { screenPxPerMm, trueSize } = useDesk((state) => state.settings);
  return (
    <Button
      look="quiet"
      aria-pressed={trueSize}
      onClick={() => (screenPxPerMm === null ? openSheet('trueSize') : changeSettings({ trueSize: !trueSize }))}
    >
      {trueSize ? 'Shown at true size' : 'Show at true size'}
    </Button>
  );
}

/** The storage failed: what happened, that the lure is here, and the two things to do. */
function NotSaved({ history }: { readonly history: LureHistory }) {
  const saving = useDesk((state) => state.saving);
  if (saving.state !== 'failed') return null;
  return (
    <div role="alert" className="flex flex-wrap items-center gap-2 border-b border-fault bg-fault-soft px-4 py-2">
      <p className="flex-1">
        <span className="font-semibold">Not saved.</span> {storageFailureWords(saving.failure)} The lure is still here,
        whole: keep it as a file, or try again.
      </p>
      <Button look="main" onClick={() => exportLure(history)}>
        Export this lure
      </Button>
      <Button onClick={() => void saveWhole()}>Try again</Button>
    </div>
  );
}

function useUndoKeys() {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      if (event.target instanceof HTMLInputElement && event.target.type !== 'range') return;
      const key = event.key.toLowerCase();
      const isRedo = key === 'y' || (key === 'z' && event.shiftKey);
      if (!isRedo && key !== 'z') return;
      event.preventDefault();
      perform({ do: isRedo ? 'redo' : 'undo' });
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
