'use client';

import { useCallback, useMemo, useState } from 'react';
import type { LureHistory } from '@/core/lure/history';
import { predictionOf } from '@/desk/derived';
import { closeSheet, useDesk } from '@/desk/desk-state';
import { useLearning } from '@/desk/figures/readings';
import { useLearnt } from '@/desk/figures/use-core';
import { HeaderRow, LuresUnpressed, NAME_FIELD } from '@/desk/header/HeaderRow';
import { pressFor } from '@/desk/header/press-for';
import { useSoundKey, useUndoKeys } from '@/desk/keys';
import { NotSaved } from '@/desk/NotSaved';
import { changeMeasures, changeTheme } from '@/desk/settings';
import { usePaintedHistory, usePaintedSpeed } from '@/desk/shown-lure';
import { useSound } from '@/desk/sound/sound-state';
import { speedUnitOf } from '@/desk/speed';
import { UNDO_WAYS } from '@/desk/ways-out';
import { Boundary } from '@/ui/Boundary';
import { latePart } from '@/ui/late-part';
import { Places } from '@/ui/Places';
import { useAfterPaint } from '@/ui/use-after-paint';
import { Swimming } from './Swimming';
import { TANK_GRID } from './tank-grid';

// None of these is needed for the lure to swim.
const AroundTank = latePart(() => import('./AroundTank').then((room) => room.AroundTank));
const LureMenu = latePart(() => import('@/desk/lures/LureMenu').then((room) => room.LureMenu), LuresUnpressed);
const SoundKeeper = latePart(() => import('@/desk/sound/SoundKeeper').then((room) => room.SoundKeeper));
const RideSheet = latePart(() => import('@/desk/figures/RideSheet').then((room) => room.RideSheet));
const LuresSheet = latePart(() => import('@/desk/lures/LuresSheet').then((room) => room.LuresSheet));
const CompareSheet = latePart(() => import('@/desk/versions/CompareSheet').then((room) => room.CompareSheet));
const SoundSheet = latePart(() => import('@/desk/sound/SoundSheet').then((room) => room.SoundSheet));

export interface OpenTankProps {
  readonly isDark: boolean;
  /** Called once, when the drawing is first painted. */
  readonly onStands: () => void;
}

/** A lure in the Tank. */
export function OpenTank({ isDark, onStands }: OpenTankProps) {
  const history = useDesk((state) => state.history);
  const painted = usePaintedHistory();
  return history && painted && <TankWith history={history} painted={painted} isDark={isDark} onStands={onStands} />;
}

interface TankWithProps extends OpenTankProps {
  readonly history: LureHistory;
  /** With what is tried, as last painted. */
  readonly painted: LureHistory;
}

function TankWith({ history, painted, isDark, onStands }: TankWithProps) {
  const { lure } = history;
  const system = useDesk((state) => state.settings.system);
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const bladeState = useDesk((state) => state.bladeState);
  const sheet = useDesk((state) => state.sheet);
  const isPlaying = useSound((state) => state.isPlaying);
  // The figures follow the hand at once, all else a moment later.
  const speedMps = usePaintedSpeed();
  const speedUnit = useDesk(({ settings }) => speedUnitOf(settings.retrieve, settings.system));
  const measures = useMemo(() => ({ system, speedUnit }), [system, speedUnit]);
  const learnt = useLearnt(painted.lure.build);
  const prediction = predictionOf(painted.lure.build, water, speedMps, bladeState, learnt);
  const [isPainted, setPainted] = useState(false);
  const onPainted = useCallback(() => {
    setPainted(true);
    onStands();
  }, [onStands]);
  const isReady = useAfterPaint(isPainted);
  useLearning(lure, water, outfit);
  useUndoKeys();
  useSoundKey();
  const onLure = { resetOn: [history], waysOut: UNDO_WAYS };
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <HeaderRow
        at="tank"
        lureId={lure.id}
        system={system}
        isDark={isDark}
        lures={isReady ? <LureMenu openId={lure.id} /> : <LuresUnpressed />}
        name={<span className={`${NAME_FIELD} inline-flex items-center truncate`}>{lure.name}</span>}
        undo={pressFor('undo', history.past.at(-1))}
        redo={pressFor('redo', history.future.at(-1))}
        newLure={null}
        changeMeasures={changeMeasures}
        changeTheme={() => changeTheme(isDark)}
      />
      <NotSaved />
      <div className={TANK_GRID}>
        <main className="flex min-h-64 flex-col max-lg:order-1 lg:min-h-0">
          <Boundary name="The drawing" {...onLure}>
            <Swimming
              lure={painted.lure}
              prediction={prediction}
              speedMps={speedMps}
              system={system}
              onPainted={onPainted}
            />
          </Boundary>
        </main>
        {isReady && (
          <AroundTank
            history={history}
            paintedBuild={painted.lure.build}
            prediction={prediction}
            speedMps={speedMps}
            measures={measures}
          />
        )}
      </div>
      <div className="sticky bottom-0 z-10 flex justify-center border-t border-line bg-panel sm:hidden">
        <Places at="tank" lureId={lure.id} />
      </div>
      {(isPlaying || sheet === 'sound') && <SoundKeeper key={lure.id} />}
      <Boundary name="This sheet" resetOn={[sheet, history]} waysOut={[{ label: 'Close it', run: closeSheet }]} isOver>
        {sheet === 'ride' && <RideSheet lure={lure} onClose={closeSheet} />}
        {sheet === 'lures' && <LuresSheet onClose={closeSheet} />}
        {sheet === 'sound' && <SoundSheet lure={lure} onClose={closeSheet} />}
        {sheet === 'compare' && <CompareSheet lure={lure} system={system} onClose={closeSheet} />}
      </Boundary>
    </div>
  );
}
