'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { Toaster, toast } from 'sonner';
import ArrowLeft from 'lucide-react/icons/arrow-left';
import ArrowRight from 'lucide-react/icons/arrow-right';
import { CATALOGUE } from '@/core/parts/catalogue';
import { cutLengths } from '@/core/lure/lengths';
import { findings as findFindings } from '@/core/lure/findings';
import { layOut } from '@/core/lure/layout';
import type { LureHistory } from '@/core/lure/history';
import { lureMass } from '@/core/lure/mass';
import { spinSeats } from '@/core/lure/spin-seats';
import { LAKE_WATER } from '@/core/hydro/water';
import { referenceCoefficients } from '@/core/hydro/spin-blade';
import { predict } from '@/core/predict';
import { showLengthBoth, showMass } from '@/core/units/write';
import { Elevation } from '@/drawing/Elevation';
import { stageView } from '@/drawing/stage-view';
import type { SeatMotion } from '@/drawing/use-turning';
import { Button } from '@/ui/Button';
import { useMedia, useSize } from '@/ui/use-media';
import { storageFailureWords } from '@/words/storage-words';
import { BenchHeader, exportLure } from './BenchHeader';
import { changeSettings, perform, pick, saveWhole, startBench, useBench } from './bench-store';
import { FindingsPanel } from './FindingsPanel';
import { Inspector } from './Inspector';
import { LengthsPanel } from './LengthsPanel';
import { MadeBar } from './MadeBar';
import { partDeeds, type PickerAim } from './part-deeds';
import { PartPicker } from './PartPicker';
import { RetrievePanel } from './RetrievePanel';
import { SpinReadouts } from './SpinReadouts';
import { retrieveSpeed } from './speed';
import { StringOfParts } from './StringOfParts';
import { stringUnits } from './string-units';
import { useRatesBefore } from './use-rates-before';

/** Spread of a blade that hangs still, drawn just off the body. */
const HANGING_SPREAD_RAD = 0.12;
/** Of the window's height, for the drawing on a wide screen. */
const STAGE_SHARE = 0.385;

export function Bench() {
  const history = useBench((state) => state.history);
  const theme = useBench((state) => state.settings.theme);
  const prefersDark = useMedia('(prefers-color-scheme: dark)');
  const isDark = theme === 'dark' || (theme === 'auto' && prefersDark);
  useEffect(() => {
    document.documentElement.dataset.theme = isDark ? 'dark' : 'light';
  }, [isDark]);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let isGone = false;
    void startBench(new URLSearchParams(window.location.search).get('lure')).then((stopBench) => {
      if (isGone) stopBench();
      else stop = stopBench;
    });
    return () => {
      isGone = true;
      stop?.();
    };
  }, []);
  useNotices();
  useUnsavedGuard();
  return (
    <>
      {history ? <OpenBench history={history} isDark={isDark} /> : <Opening />}
      <Toaster position="bottom-left" theme={isDark ? 'dark' : 'light'} duration={8000} />
    </>
  );
}

function Opening() {
  return (
    <main className="grid min-h-dvh place-items-center">
      <p role="status" className="text-ink-soft">
        Laying out the bench…
      </p>
    </main>
  );
}

/** The browser asks before a page with unsaved work goes away. */
function useUnsavedGuard() {
  const isUnsaved = useBench((state) => state.saving.state === 'failed');
  useEffect(() => {
    if (!isUnsaved) return;
    const onLeave = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', onLeave);
    return () => window.removeEventListener('beforeunload', onLeave);
  }, [isUnsaved]);
}

function useNotices() {
  const notice = useBench((state) => state.notice);
  useEffect(() => {
    if (!notice) return;
    if (notice.tone === 'trouble') toast.error(notice.text, { duration: 20_000 });
    else toast(notice.text);
  }, [notice]);
}

function OpenBench({ history, isDark }: { readonly history: LureHistory; readonly isDark: boolean }) {
  const { lure } = history;
  const { build } = lure;
  const { system, retrieve, slowedBy } = useBench((state) => state.settings);
  const picked = useBench((state) => state.picked);
  const [leg, setLeg] = useState<string | null>(null);
  const [aim, setAim] = useState<PickerAim | null>(null);
  const stage = useRef<HTMLDivElement>(null);
  const size = useSize(stage);
  const prefersStill = useMedia('(prefers-reduced-motion: reduce)');
  const speedMps = retrieveSpeed(retrieve);

  const layout = useMemo(() => layOut(build), [build]);
  const seats = useMemo(() => spinSeats(build, layout), [build, layout]);
  const prediction = useMemo(() => predict(build, LAKE_WATER, [speedMps]), [build, speedMps]);
  const findings = useMemo(
    () => findFindings(lure, { water: LAKE_WATER, speedMps, rules: [], prediction }, CATALOGUE),
    [lure, speedMps, prediction],
  );
  const cuts = useMemo(() => cutLengths(build, layout), [build, layout]);
  const units = useMemo(() => stringUnits(build), [build]);
  const ratesBefore = useRatesBefore(history, prediction, speedMps);
  const motions = useMemo(
    () =>
      seats.map((seat): SeatMotion => {
        const at = prediction.blades.find(({ station }) => station === seat.item.id)?.at[0];
        const { setAngleRad } = referenceCoefficients(seat.blade.pattern);
        return at?.outcome === 'turning'
          ? { seat, rateHz: at.rateHz.value, spreadRad: at.spreadRad.value, setAngleRad }
          : { seat, rateHz: 0, spreadRad: HANGING_SPREAD_RAD, setAngleRad };
      }),
    [seats, prediction],
  );
  const unit =
    units.find(({ key }) => key === leg && key.startsWith(String(picked))) ??
    units.find(({ pick: each }) => each === picked) ??
    null;
  const deeds = partDeeds(unit, units, build, setAim);
  useUndoKeys();

  const heightPx = typeof window === 'undefined' ? 800 : window.innerHeight;
  const view = size ? stageView(layout, seats, size.width, Math.max(240, heightPx * STAGE_SHARE)) : null;
  const overall = showLengthBoth(layout.x1M - layout.x0M, system);
  const mass = showMass(lureMass(build, cuts), system);
  const isEmpty = build.strand.length === 0;
  const turning = prediction.blades.some(({ at: [at] }) => at?.outcome === 'turning');
  return (
    <div className="flex min-h-dvh flex-col">
      <BenchHeader history={history} isDark={isDark} />
      <NotSaved history={history} />
      <div className="flex flex-1 flex-col lg:flex-row">
        <main className="flex min-w-0 flex-1 flex-col">
          <div ref={stage} className="bg-stage">
            <div className="flex min-h-18 flex-wrap items-start sm:flex-nowrap justify-between gap-x-4 px-2 pt-1">
              <SpinReadouts build={build} blades={prediction.blades} ratesBefore={ratesBefore} system={system} />
              <div className="flex flex-1 flex-col items-end px-2 pt-1 text-sm whitespace-nowrap">
                <p className="text-ink-soft">
                  {overall} long · {mass}
                </p>
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
            {view && (
              <Elevation
                build={build}
                layout={layout}
                view={view}
                motions={motions}
                findings={findings}
                system={system}
                slowedBy={slowedBy}
                still={prefersStill}
                picked={picked}
                onPick={pick}
                label={`${lure.name} from the side, nose left: ${overall} long`}
              />
            )}
          </div>
          <section aria-label="String" className="border-t border-line bg-panel pt-1">
            {view && (
              <StringOfParts
                build={build}
                layout={layout}
                view={view}
                seats={seats}
                units={units}
                pickedKey={unit?.key ?? null}
                onPickKey={(next) => {
                  setLeg(next.key);
                  pick(next.pick);
                }}
                deeds={deeds}
                system={system}
              />
            )}
            <div
              className="flex flex-wrap items-center gap-1.5 px-4 py-1.5"
              role="toolbar"
              aria-label="Do with the picked part"
            >
              <Button look={isEmpty ? 'plain' : 'main'} onClick={deeds.swap}>
                {unit?.item ? 'Swap this part' : 'Swap the wire'}
              </Button>
              <Button disabled={!deeds.canInsertBefore} onClick={deeds.insertBefore}>
                Insert before
              </Button>
              <Button look={isEmpty ? 'main' : 'plain'} disabled={!deeds.canInsertAfter} onClick={deeds.insertAfter}>
                {isEmpty ? 'Thread the first part' : 'Insert after'}
              </Button>
              {deeds.holdWord && <Button onClick={deeds.hold}>{deeds.holdWord}</Button>}
              <Button aria-label="Move towards the nose" disabled={!deeds.canMove(-1)} onClick={() => deeds.move(-1)}>
                <ArrowLeft aria-hidden size={18} /> Move
              </Button>
              <Button aria-label="Move towards the tail" disabled={!deeds.canMove(1)} onClick={() => deeds.move(1)}>
                Move <ArrowRight aria-hidden size={18} />
              </Button>
              <Button disabled={!deeds.canTakeOff} onClick={deeds.takeOff}>
                Take off
              </Button>
            </div>
          </section>
          <RetrievePanel build={build} blades={prediction.blades} />
        </main>
        <aside
          aria-label="About this lure"
          className="flex flex-col gap-4 border-l border-line bg-panel p-4 lg:h-[calc(100dvh-3.6rem)] lg:w-80 lg:shrink-0 lg:overflow-y-auto"
        >
          <MadeBar lure={lure} system={system} />
          <FindingsPanel findings={findings} build={build} system={system} />
          <Inspector unit={unit} lure={lure} system={system} />
          <LengthsPanel cuts={cuts} build={build} system={system} />
        </aside>
      </div>
      <PartPicker aim={aim} lure={lure} system={system} onClose={() => setAim(null)} />
    </div>
  );
}

/** The storage failed: what happened, that the lure is here, and the two things to do. */
function NotSaved({ history }: { readonly history: LureHistory }) {
  const saving = useBench((state) => state.saving);
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
