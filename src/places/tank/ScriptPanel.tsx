'use client';

import { DropdownMenu } from 'radix-ui';
import ChevronDown from 'lucide-react/icons/chevron-down';
import { memo, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Build } from '@/core/lure/lure';
import type { ScriptPath } from '@/core/predict/retrieve-script';
import { UNITS } from '@/core/units/quantity';
import { decimalText, showSpeed } from '@/core/units/write';
import { MOST_STEPS, type TankSettings } from '@/data/settings';
import { useDesk } from '@/desk/desk-state';
import { shownOf } from '@/desk/figures/use-core';
import { MENU, MENU_ITEM } from '@/desk/header/menu-looks';
import { Button } from '@/ui/Button';
import { PoppedUp } from '@/ui/PoppedUp';
import { QuantityField } from '@/ui/QuantityField';
import { useSize } from '@/ui/use-media';
import type { CardMeasures } from '@/words/card-words';
import { scriptWords } from '@/words/tank-words';
import { atRetrieve, nameOf, SCRIPTS } from './scripts';
import { changeTank } from './tank-state';
import { useScriptPath } from './use-script-path';

type Script = TankSettings['script'];

/** The speed that the script is drawn up to, m/s. */
const TOP_MPS = 1.6;
const STEP_MPS = 0.02;
const STEP_S = 0.1;

export interface ScriptPanelProps {
  readonly build: Build;
  /** Of the retrieve as it is drawn now. */
  readonly speedMps: number;
  readonly measures: CardMeasures;
}

/** How it is drawn in: steps of speed and pauses as a small curve, and the depth that comes of them. */
export const ScriptPanel = memo(function ScriptPanel({ build, speedMps, measures }: ScriptPanelProps) {
  const kept = useDesk((state) => state.settings.tank.script);
  const script = useMemo(() => atRetrieve(kept, speedMps), [kept, speedMps]);
  const box = useRef<HTMLDivElement>(null);
  const size = useSize(box);
  const asked = useScriptPath(build, script);
  const path = shownOf(asked);
  const words =
    asked.state === 'failed'
      ? [`It could not be worked out (${asked.reason}).`]
      : path
        ? scriptWords(path, script.isTrolled, measures)
        : [];
  return (
    <section aria-label="Retrieve script" className="flex min-w-0 flex-col">
      <div className="flex items-center gap-1 px-2">
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger asChild>
            <Button look="quiet" dense>
              {nameOf(script)} <ChevronDown aria-hidden size={16} />
            </Button>
          </DropdownMenu.Trigger>
          <DropdownMenu.Content align="start" className={MENU}>
            {SCRIPTS.map(({ name, make }) => (
              <DropdownMenu.Item
                key={name}
                className={MENU_ITEM}
                onSelect={() => changeTank({ script: make(speedMps) })}
              >
                {name}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Root>
        <Numbers script={script} measures={measures} />
      </div>
      <div ref={box} className="relative h-18">
        {size && <Curve script={script} path={path} widthPx={size.width} heightPx={size.height} measures={measures} />}
      </div>
      <p className="line-clamp-2 px-3 pb-1 text-sm leading-snug text-ink-soft" data-testid="script words">
        {words.join(' ')}
      </p>
    </section>
  );
});

interface CurveProps {
  readonly script: Script;
  readonly path: ScriptPath | null;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly measures: CardMeasures;
}

const EDGE_PX = 10;

/** Speed over the time of one round of steps, each with its handle; beneath it the depth over the whole retrieve. */
function Curve({ script, path, widthPx, heightPx, measures }: CurveProps) {
  const held = useRef<number | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const { steps } = script;
  const totalS = steps.reduce((sum, { seconds }) => sum + seconds, 0);
  const x = (seconds: number) => EDGE_PX + (seconds / totalS) * (widthPx - 2 * EDGE_PX);
  const y = (speedMps: number) => heightPx - 8 - (Math.min(TOP_MPS, speedMps) / TOP_MPS) * (heightPx - 16);
  const starts = steps.map((_, i) => steps.slice(0, i).reduce((sum, { seconds }) => sum + seconds, 0));
  const way = steps.map(
    ({ seconds, speedMps }, i) =>
      `${i === 0 ? 'M' : 'L'}${x(starts[i] ?? 0)} ${y(speedMps)}H${x((starts[i] ?? 0) + seconds)}`,
  );
  const put = (index: number, speedMps: number, seconds: number) => {
    const next = steps.map((step, i) =>
      i === index
        ? {
            speedMps: Number(Math.min(TOP_MPS, Math.max(0, speedMps)).toFixed(2)),
            seconds: Number(Math.min(60, Math.max(0.1, seconds)).toFixed(1)),
          }
        : step,
    );
    // One step at least moves.
    if (next.some((step) => step.speedMps > 0)) changeTank({ script: { ...script, steps: next } });
  };
  const onPointerMove = (event: PointerEvent) => {
    const index = held.current;
    const box = svg.current?.getBoundingClientRect();
    const step = index === null ? undefined : steps[index];
    if (index === null || !box || !step) return;
    const speed = ((heightPx - 8 - (event.clientY - box.top)) / (heightPx - 16)) * TOP_MPS;
    put(index, Math.round(speed / STEP_MPS) * STEP_MPS, step.seconds);
  };
  const onKey = (index: number) => (event: KeyboardEvent) => {
    const step = steps[index];
    const big = event.shiftKey ? 5 : 1;
    const by = {
      ArrowUp: [STEP_MPS * big, 0],
      ArrowDown: [-STEP_MPS * big, 0],
      ArrowRight: [0, STEP_S * big],
      ArrowLeft: [0, -STEP_S * big],
    }[event.key];
    if (!by || !step) return;
    event.preventDefault();
    put(index, step.speedMps + (by[0] ?? 0), step.seconds + (by[1] ?? 0));
  };
  return (
    <svg
      ref={svg}
      width={widthPx}
      height={heightPx}
      className="block touch-none"
      onPointerMove={onPointerMove}
      onPointerUp={() => (held.current = null)}
      onPointerCancel={() => (held.current = null)}
    >
      {path?.outcome === 'runs' && <DepthLine points={path.points} widthPx={widthPx} heightPx={heightPx} />}
      <path d={way.join('')} fill="none" className="stroke-accent" strokeWidth={2.5} />
      {steps.map((step, i) => {
        const [cx, cy] = [x((starts[i] ?? 0) + step.seconds / 2), y(step.speedMps)];
        const words = `${step.speedMps === 0 ? 'pause' : showSpeed(step.speedMps, measures.speedUnit)} for ${decimalText(step.seconds, 1)} s`;
        return (
          <g
            key={i}
            role="slider"
            tabIndex={0}
            aria-label={`Step ${i + 1} of the retrieve`}
            aria-valuemin={0}
            aria-valuemax={TOP_MPS}
            aria-valuenow={step.speedMps}
            aria-valuetext={words}
            className="group cursor-ns-resize outline-none"
            onPointerDown={(event) => {
              event.preventDefault();
              event.currentTarget.focus();
              svg.current?.setPointerCapture(event.pointerId);
              held.current = i;
            }}
            onKeyDown={onKey(i)}
          >
            <title>{`${words}. Draw it up and down, or use the arrow keys: up and down for speed, left and right for time.`}</title>
            <circle cx={cx} cy={cy} r={18} fill="transparent" />
            <circle
              cx={cx}
              cy={cy}
              r={6}
              className="fill-panel stroke-accent group-focus:[stroke-width:4px]"
              strokeWidth={2}
            />
          </g>
        );
      })}
    </svg>
  );
}

function DepthLine({
  points,
  widthPx,
  heightPx,
}: {
  readonly points: readonly { readonly timeS: number; readonly depthM: number }[];
  readonly widthPx: number;
  readonly heightPx: number;
}) {
  const last = points.at(-1)?.timeS ?? 1;
  const deepest = Math.max(0.5, ...points.map(({ depthM }) => depthM));
  const way = points.map(
    ({ timeS, depthM }, i) =>
      `${i === 0 ? 'M' : 'L'}${((timeS / last) * widthPx).toFixed(1)} ${(2 + (depthM / deepest) * (heightPx - 6)).toFixed(1)}`,
  );
  return (
    <>
      <path d={`${way.join('')}V0H0Z`} className="fill-accent-soft" opacity={0.6} />
      <path d={way.join('')} fill="none" className="stroke-ink-soft" strokeWidth={1.2} />
    </>
  );
}

/** The same in numbers: each step, and the countdown. */
function Numbers({ script, measures }: { readonly script: Script; readonly measures: CardMeasures }) {
  const { speedUnit } = measures;
  const { steps } = script;
  const put = (changes: Partial<Script>) => changeTank({ script: { ...script, ...changes } });
  const putStep = (index: number, changes: Partial<Script['steps'][number]>) => {
    const next = steps.map((step, i) => (i === index ? { ...step, ...changes } : step));
    if (next.some(({ speedMps }) => speedMps > 0)) put({ steps: next });
  };
  return (
    <PoppedUp
      label="The retrieve in numbers"
      className="flex max-h-96 w-80 flex-col gap-2 overflow-y-auto"
      trigger={
        <Button look="quiet" dense>
          in numbers
        </Button>
      }
    >
      {steps.map((step, i) => (
        <div key={i} className="flex items-end gap-2">
          <QuantityField
            label={`Step ${i + 1}`}
            kind="speed"
            si={step.speedMps}
            unit={speedUnit}
            minSi={0}
            maxSi={5}
            onCommit={(speedMps) => putStep(i, { speedMps })}
          />
          <SecondsField
            label="for, s"
            seconds={step.seconds}
            least={0.1}
            onCommit={(seconds) => putStep(i, { seconds })}
          />
          <Button
            look="quiet"
            dense
            aria-label={`Take step ${i + 1} out`}
            disabled={steps.length === 1 || steps.every((each, k) => k === i || each.speedMps === 0)}
            onClick={() => put({ steps: steps.filter((_, k) => k !== i) })}
          >
            ✕
          </Button>
        </div>
      ))}
      <div className="flex flex-wrap gap-1.5">
        <Button
          dense
          disabled={steps.length >= MOST_STEPS}
          onClick={() => put({ steps: [...steps, { seconds: 2, speedMps: 0.66 }] })}
        >
          One more step
        </Button>
        <Button
          dense
          disabled={steps.length >= MOST_STEPS}
          onClick={() => put({ steps: [...steps, { seconds: 2, speedMps: 0 }] })}
        >
          A pause
        </Button>
      </div>
      <SecondsField
        label="Counted down before, s"
        seconds={script.countdownS}
        least={0}
        onCommit={(countdownS) => put({ countdownS })}
      />
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-accent"
          checked={script.isTrolled}
          onChange={(event) => put({ isTrolled: event.target.checked })}
        />
        Trolled: the line stays as long
      </label>
      <p className="text-sm text-ink-soft">Speeds are in {UNITS[speedUnit].symbol}; 0 is a pause on slack line.</p>
    </PoppedUp>
  );
}

function SecondsField({
  label,
  seconds,
  least,
  onCommit,
}: {
  readonly label: string;
  readonly seconds: number;
  readonly least: number;
  readonly onCommit: (seconds: number) => void;
}) {
  return (
    <label className="flex flex-col gap-1 text-sm text-ink-soft">
      {label}
      <input
        type="number"
        className="measure min-h-11 w-20 rounded-md border border-line bg-panel px-2 text-base text-ink"
        min={least}
        max={60}
        step={0.1}
        value={seconds}
        onChange={(event) => {
          const next = event.target.valueAsNumber;
          if (next >= least && next <= 60) onCommit(next);
        }}
      />
    </label>
  );
}
