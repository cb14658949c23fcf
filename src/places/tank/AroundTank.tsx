'use client';

import { useEffect, useMemo } from 'react';
import type { LureHistory } from '@/core/lure/history';
import type { Build } from '@/core/lure/lure';
import type { SpinPrediction } from '@/core/predict/spin';
import { chancesOf } from '@/core/tune/chance';
import type { Want } from '@/core/tune/target';
import { useDesk } from '@/desk/desk-state';
import { followOwnParts } from '@/desk/own-things';
import { RetrievePanel } from '@/desk/retrieve/RetrievePanel';
import { UNDO_WAYS } from '@/desk/ways-out';
import { Boundary } from '@/ui/Boundary';
import type { CardMeasures } from '@/words/card-words';
import { ActionCard } from './ActionCard';
import { Moves } from './Moves';
import { ScriptPanel } from './ScriptPanel';
import { TargetBar } from './TargetBar';
import { useCard } from './use-card';
import { useMoves } from './use-moves';
import { WaterSection } from './WaterSection';

export interface AroundTankProps {
  readonly history: LureHistory;
  /** With what is tried. */
  readonly paintedBuild: Build;
  readonly prediction: SpinPrediction;
  /** As last painted. */
  readonly speedMps: number;
  readonly measures: CardMeasures;
}

const NO_WANTS: readonly Want[] = [];

/** What stands around the lure that swims: the water, the retrieve, the moves, and the action card with what is wanted. */
export function AroundTank({ history, paintedBuild, prediction, speedMps, measures }: AroundTankProps) {
  const { lure } = history;
  const wanted = useDesk((state) => state.settings.tank.wanted);
  const targets = useDesk((state) => state.settings.tank.targets);
  useEffect(followOwnParts, []);
  const wants = wanted?.wants ?? NO_WANTS;
  const { asked, shown } = useCard(lure, speedMps);
  const exact = shown && !shown.isRough ? shown.card : null;
  const moves = useMoves(lure, exact, wants);
  const chances = useMemo(() => (shown ? chancesOf(shown.card, wants) : null), [shown, wants]);
  const onLure = { resetOn: [history], waysOut: UNDO_WAYS };
  return (
    <>
      <aside
        aria-label="What it does, and what is wanted"
        className="bg-panel max-lg:contents lg:row-span-2 lg:flex lg:flex-col lg:overflow-y-auto lg:border-l lg:border-line"
      >
        <Boundary name="The action card" {...onLure}>
          <TargetBar lure={lure} wanted={wanted} targets={targets} chances={chances} />
          <ActionCard lure={lure} asked={asked} shown={shown} wanted={wanted} chances={chances} measures={measures} />
        </Boundary>
      </aside>
      <div className="max-lg:contents">
        <div className="grid border-t border-line bg-panel max-lg:order-4 sm:grid-cols-2">
          <Boundary name="The water" {...onLure}>
            <WaterSection
              lure={lure}
              speedMps={speedMps}
              card={shown?.card ?? null}
              chances={chances}
              measures={measures}
            />
          </Boundary>
          <Boundary name="The script" {...onLure}>
            <ScriptPanel build={lure.build} speedMps={speedMps} measures={measures} />
          </Boundary>
        </div>
        <div className="max-lg:order-3">
          <Boundary name="The retrieve" {...onLure}>
            <RetrievePanel build={paintedBuild} prediction={prediction} />
          </Boundary>
        </div>
        <Boundary name="The moves" {...onLure}>
          <Moves lure={lure} moves={moves} chances={exact && chances} wants={wants} measures={measures} />
        </Boundary>
      </div>
    </>
  );
}
