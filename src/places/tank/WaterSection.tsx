'use client';

import { memo, useRef } from 'react';
import { fishingLine } from '@/core/hydro/outfit';
import { lureCurve } from '@/core/hydro/outfit-line';
import type { LinePoint } from '@/core/hydro/towed-line';
import { waterDensity } from '@/core/hydro/water';
import type { Lure } from '@/core/lure/lure';
import { pullOnLine } from '@/core/predict/ride';
import type { Card } from '@/core/tune/card';
import type { Chances } from '@/core/tune/chance';
import type { Want } from '@/core/tune/target';
import { openSheet, useDesk } from '@/desk/desk-state';
import { changeRetrieve } from '@/desk/settings';
import { Button } from '@/ui/Button';
import { PoppedUp } from '@/ui/PoppedUp';
import { QuantityField } from '@/ui/QuantityField';
import { RadioRow } from '@/ui/RadioRow';
import { useSize } from '@/ui/use-media';
import { lineValue, type CardMeasures } from '@/words/card-words';
import { staysWords } from '@/words/tank-words';
import { changeTank } from './tank-state';
import { swimmingFigures } from './figures-at';

export interface WaterSectionProps {
  readonly lure: Lure;
  readonly speedMps: number;
  readonly card: Card | null;
  readonly chances: Chances | null;
  readonly measures: CardMeasures;
}

/** The water cut through along the line: rod tip, line, lure, bottom and weed, and the depth that is wanted. */
export const WaterSection = memo(function WaterSection({ lure, speedMps, card, chances, measures }: WaterSectionProps) {
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const tank = useDesk((state) => state.settings.tank);
  const box = useRef<HTMLDivElement>(null);
  const size = useSize(box);
  const trim = speedMps > 0 ? swimmingFigures(lure, water, outfit, speedMps).trim : null;
  const planes = card?.line === 'planes';
  const setting = { waterDensityKgM3: waterDensity(water), tipHeightM: outfit.tipHeightM, speedMps };
  const curve: readonly LinePoint[] =
    trim && !planes
      ? lureCurve(fishingLine(outfit.line), outfit, pullOnLine(trim), setting)
      : [
          { forwardM: 0, depthM: 0 },
          { forwardM: outfit.lineOutM, depthM: -outfit.tipHeightM },
        ];
  const depth = card?.lines.depthM ?? null;
  const met = chances?.each.find(({ want }) => want.line === 'depthM' && want.weight !== 'whatever') ?? null;
  const words = staysWords(card, met, tank, measures);
  return (
    <section aria-label="The water" className="flex min-w-0 flex-col border-line sm:border-r">
      <div ref={box} className="relative h-26">
        {size && (
          <Section
            widthPx={size.width}
            heightPx={size.height}
            curve={curve}
            depth={depth}
            wanted={met?.want ?? null}
            bottomM={tank.bottomM}
            weedM={tank.weedM}
            tipHeightM={outfit.tipHeightM}
            measures={measures}
            label={words.text}
          />
        )}
      </div>
      <div className="flex items-center gap-2 px-3">
        <p
          className={`min-w-0 flex-1 text-sm leading-snug font-semibold ${words.isAmiss ? 'text-caution' : ''}`}
          data-testid="stays"
        >
          {words.text}
        </p>
        <WaterMenu />
      </div>
    </section>
  );
});

function WaterMenu() {
  return (
    <PoppedUp
      label="Water and line"
      className="flex w-72 flex-col gap-2"
      trigger={
        <Button look="quiet" dense className="whitespace-nowrap">
          Water and line
        </Button>
      }
    >
      <WaterForm />
    </PoppedUp>
  );
}

/** What the water is like, and the line in it. */
function WaterForm() {
  const { tank, system, retrieve } = useDesk((state) => state.settings);
  const unit = system === 'metric' ? 'm' : 'ft';
  const depth = (label: string, si: number, minSi: number, onCommit: (m: number) => void) => (
    <QuantityField label={label} kind="length" si={si} unit={unit} minSi={minSi} maxSi={60} onCommit={onCommit} />
  );
  const againstMps = retrieve.currentMps;
  const setCurrent = (currentMps: number) => changeRetrieve((now) => ({ ...now, currentMps }));
  return (
    <>
      {depth('Bottom at', tank.bottomM, 0.2, (bottomM) => changeTank({ bottomM }))}
      {depth('Weed stands up', tank.weedM, 0, (weedM) => changeTank({ weedM }))}
      <QuantityField
        label="Current"
        kind="speed"
        si={Math.abs(againstMps)}
        unit={system === 'metric' ? 'mps' : 'mph'}
        minSi={0}
        maxSi={2}
        onCommit={(mps) => setCurrent(againstMps < 0 ? -mps : mps)}
      />
      <RadioRow
        label="Which way the current runs"
        className="flex gap-1"
        optionClassName="min-h-11 rounded-md border border-line px-2.5 text-sm aria-checked:border-accent aria-checked:bg-accent-soft aria-checked:font-semibold"
        value={againstMps < 0 ? 'with' : 'against'}
        options={[
          { value: 'against', shown: 'against the lure' },
          { value: 'with', shown: 'with it' },
        ]}
        onChange={(way) => setCurrent(way === 'with' ? -Math.abs(againstMps) : Math.abs(againstMps))}
      />
      <Button onClick={() => openSheet('ride')}>Line, rod and how it rides</Button>
    </>
  );
}

interface SectionProps {
  readonly widthPx: number;
  readonly heightPx: number;
  /** From the lure to the rod's tip. */
  readonly curve: readonly LinePoint[];
  readonly depth: { readonly value: number; readonly low: number; readonly high: number } | null;
  readonly wanted: Want | null;
  readonly bottomM: number;
  readonly weedM: number;
  readonly tipHeightM: number;
  readonly measures: CardMeasures;
  readonly label: string;
}

const EDGE_PX = 14;

function Section(props: SectionProps) {
  const { widthPx, heightPx, curve, depth, wanted, bottomM, weedM, tipHeightM, measures, label } = props;
  const reachM = Math.max(1, ...curve.map(({ forwardM }) => forwardM));
  const deepestM = Math.max(bottomM, (depth?.value ?? 0) * 1.1);
  const airM = Math.max(tipHeightM, deepestM * 0.12);
  const perM = (heightPx - 6) / (airM + deepestM);
  const y = (depthM: number) => 3 + (airM + depthM) * perM;
  const x = (forwardM: number) => EDGE_PX + ((reachM - forwardM) / reachM) * (widthPx - 3 * EDGE_PX);
  const lureX = x(0);
  const way = curve.map(({ forwardM, depthM }, i) => `${i === 0 ? 'M' : 'L'}${x(forwardM)} ${y(depthM)}`).join('');
  const value = Math.min(depth?.value ?? 0, deepestM);
  const [from, to] = [wanted?.low ?? 0, Math.min(wanted?.high ?? deepestM, deepestM)];
  return (
    <svg role="img" aria-label={label} width={widthPx} height={heightPx} className="block">
      <rect x={0} y={y(0)} width={widthPx} height={heightPx - y(0)} className="fill-accent-soft" opacity={0.55} />
      <rect x={0} y={y(bottomM)} width={widthPx} height={heightPx} className="fill-ink-soft" opacity={0.55} />
      {weedM > 0 && <Weed widthPx={widthPx} fromY={y(bottomM)} toY={y(Math.max(0, bottomM - weedM))} />}
      {wanted && (
        <rect
          x={0}
          y={y(from)}
          width={widthPx}
          height={Math.max(2, y(to) - y(from))}
          className="fill-good stroke-good"
          fillOpacity={0.14}
          strokeDasharray="4 3"
        />
      )}
      <line x1={0} x2={widthPx} y1={y(0)} y2={y(0)} className="stroke-accent" strokeWidth={1.5} />
      <path d={way} fill="none" className="stroke-ink" strokeWidth={1.2} />
      <line
        x1={x(reachM) - EDGE_PX}
        x2={x(reachM)}
        y1={y(-tipHeightM) + 8}
        y2={y(-tipHeightM)}
        className="stroke-ink"
        strokeWidth={2.5}
      />
      {depth && (
        <line
          x1={lureX}
          x2={lureX}
          y1={y(Math.max(0, depth.low))}
          y2={y(Math.min(deepestM, depth.high))}
          className="stroke-ink"
          strokeWidth={6}
          strokeOpacity={0.3}
          strokeLinecap="round"
        />
      )}
      <path
        d={`M${lureX - 5} ${y(value)}q7 -6 15 0q-8 6 -15 0`}
        className="fill-panel stroke-ink"
        strokeWidth={1.5}
        data-testid="lure in the water"
      />
      {wanted && (
        <text x={4} y={Math.min(heightPx - 4, y((from + to) / 2) + 4)} className="fill-good text-xs">
          wanted
        </text>
      )}
      <text x={widthPx - 3} y={Math.max(11, y(0) - 3)} textAnchor="end" className="fill-ink-soft text-xs">
        {`${lineValue('depthM', reachM, measures)} off`}
      </text>
    </svg>
  );
}

const STALK_PX = 9;

function Weed({ widthPx, fromY, toY }: { readonly widthPx: number; readonly fromY: number; readonly toY: number }) {
  const stalks = Array.from({ length: Math.ceil(widthPx / STALK_PX) }, (_, i) => {
    const x = i * STALK_PX + (i % 3) * 2;
    const top = toY + ((i * 5) % 7) * 0.03 * (fromY - toY);
    return `M${x} ${fromY}Q${x + (i % 2 ? 4 : -4)} ${(fromY + top) / 2} ${x + 1} ${top}`;
  });
  return <path d={stalks.join('')} fill="none" className="stroke-good" strokeWidth={1.4} opacity={0.7} />;
}
