'use client';

import { useEffect, useMemo } from 'react';
import type { LureHistory } from '@/core/lure/history';
import { chancesOf } from '@/core/tune/chance';
import type { Want } from '@/core/tune/target';
import { closeSheet, useDesk } from '@/desk/desk-state';
import { predictionOf } from '@/desk/derived';
import { useLearning } from '@/desk/figures/readings';
import { useLearnt } from '@/desk/figures/use-core';
import { LureMenu } from '@/desk/lures/LureMenu';
import { HeaderRow, NAME_FIELD, type Press } from '@/desk/header/HeaderRow';
import { useSoundKey, useUndoKeys } from '@/desk/keys';
import { NotSaved } from '@/desk/NotSaved';
import { perform } from '@/desk/open-lure';
import { followOwnParts } from '@/desk/own-things';
import { RetrievePanel } from '@/desk/retrieve/RetrievePanel';
import { changeMeasures, changeTheme } from '@/desk/settings';
import { usePaintedHistory } from '@/desk/shown-lure';
import { SoundKeeper } from '@/desk/sound/SoundKeeper';
import { useSound } from '@/desk/sound/sound-state';
import { retrieveSpeed, speedUnitOf } from '@/desk/speed';
import { Boundary } from '@/ui/Boundary';
import { latePart } from '@/ui/late-part';
import { Places } from '@/ui/Places';
import { changeWords } from '@/words/change-words';
import { ActionCard } from './ActionCard';
import { Moves } from './Moves';
import { ScriptPanel } from './ScriptPanel';
import { Swimming } from './Swimming';
import { TargetBar } from './TargetBar';
import { useCard, useMoves } from './use-tank';
import { WaterSection } from './WaterSection';

const RideSheet = latePart(() => import('@/desk/figures/RideSheet').then((room) => room.RideSheet));
const LuresSheet = latePart(() => import('@/desk/lures/LuresSheet').then((room) => room.LuresSheet));
const CompareSheet = latePart(() => import('@/desk/versions/CompareSheet').then((room) => room.CompareSheet));
const SoundSheet = latePart(() => import('@/desk/sound/SoundSheet').then((room) => room.SoundSheet));

const NO_WANTS: readonly Want[] = [];

/** A lure in the Tank. */
export function OpenTank({ isDark }: { readonly isDark: boolean }) {
  const history = useDesk((state) => state.history);
  const painted = usePaintedHistory();
  return history && painted && <TankWith history={history} painted={painted} isDark={isDark} />;
}

interface TankWithProps {
  readonly history: LureHistory;
  /** With what is tried, as last painted. */
  readonly painted: LureHistory;
  readonly isDark: boolean;
}

function TankWith({ history, painted, isDark }: TankWithProps) {
  const { lure } = history;
  const { system, retrieve, water, outfit, tank } = useDesk((state) => state.settings);
  const bladeState = useDesk((state) => state.bladeState);
  const speedMps = retrieveSpeed(retrieve);
  const measures = useMemo(() => ({ system, speedUnit: speedUnitOf(retrieve, system) }), [retrieve, system]);
  const learnt = useLearnt(painted.lure.build);
  const prediction = predictionOf(painted.lure.build, water, speedMps, bladeState, learnt);
  useLearning(lure, water, outfit);
  useUndoKeys();
  useSoundKey();
  useEffect(followOwnParts, []);
  const isPlaying = useSound((state) => state.isPlaying);
  const sheet = useDesk((state) => state.sheet);
  const wants = tank.wanted?.wants ?? NO_WANTS;
  const { asked, shown } = useCard(lure, speedMps);
  const exact = shown && !shown.isRough ? shown.card : null;
  const moves = useMoves(lure, exact, wants);
  const chances = useMemo(() => (shown ? chancesOf(shown.card, wants) : null), [shown, wants]);
  const onLure = { resetOn: [history], waysOut: [] };
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <HeaderRow
        at="tank"
        lureId={lure.id}
        system={system}
        isDark={isDark}
        lures={<LureMenu openId={lure.id} />}
        name={<span className={`${NAME_FIELD} inline-flex items-center truncate`}>{lure.name}</span>}
        undo={pressFor('undo', history)}
        redo={pressFor('redo', history)}
        newLure={null}
        changeMeasures={changeMeasures}
        changeTheme={() => changeTheme(isDark)}
      />
      <NotSaved />
      <div className="flex flex-1 flex-col lg:min-h-0 lg:flex-row">
        <main className="min-w-0 flex-1 max-lg:contents lg:flex lg:flex-col">
          <Boundary name="The drawing" {...onLure}>
            <Swimming lure={painted.lure} prediction={prediction} speedMps={speedMps} system={system} />
          </Boundary>
          <div className="grid border-t border-line bg-panel max-lg:order-4 sm:grid-cols-2">
            <Boundary name="The water" {...onLure}>
              <WaterSection
                lure={lure}
                speedMps={speedMps}
                card={shown?.card ?? null}
                wants={wants}
                measures={measures}
              />
            </Boundary>
            <Boundary name="The script" {...onLure}>
              <ScriptPanel build={lure.build} measures={measures} />
            </Boundary>
          </div>
          <div className="max-lg:order-3">
            <Boundary name="The retrieve" {...onLure}>
              <RetrievePanel build={painted.lure.build} prediction={prediction} />
            </Boundary>
          </div>
          <Boundary name="The moves" {...onLure}>
            <Moves lure={lure} moves={moves} card={exact} wants={wants} measures={measures} />
          </Boundary>
        </main>
        <aside
          aria-label="What it does, and what is wanted"
          className="bg-panel max-lg:contents lg:flex lg:w-[26rem] lg:shrink-0 lg:flex-col lg:overflow-y-auto lg:border-l lg:border-line"
        >
          <Boundary name="The action card" {...onLure}>
            <TargetBar lure={lure} wanted={tank.wanted} targets={tank.targets} chances={chances} measures={measures} />
            <ActionCard asked={asked} shown={shown} wanted={tank.wanted} chances={chances} measures={measures} />
          </Boundary>
        </aside>
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

function pressFor(what: 'undo' | 'redo', { past, future }: LureHistory): Press {
  const change = what === 'undo' ? past.at(-1) : future.at(-1);
  if (!change) return { title: `Nothing to ${what}`, run: null };
  return {
    title: `${what === 'undo' ? 'Undo' : 'Redo'}: ${changeWords(change.code)}`,
    run: () => perform({ do: what }),
  };
}
