'use client';

import { useEffect, useEffectEvent, useMemo, useRef, useState, type MouseEvent } from 'react';
import { cappedAfter, standsAfter, type MakeStep } from '@/core/make/plan';
import { stepBack, stepDone, type Run } from '@/core/make/run';
import { showLength } from '@/core/units/write';
import { Handling } from '@/drawing/handling/Handling';
import { handlingFrames } from '@/drawing/handling/handling';
import { StepPicture } from '@/drawing/StepPicture';
import { TrueSizeSheet } from '@/ui/TrueSizeSheet';
import { useMedia, useSize } from '@/ui/use-media';
import { AFTER_WORDS, SENSE_WORDS } from '@/words/after-words';
import { MOMENT_WORDS } from '@/words/handling-words';
import { lastChanceWords, stepWords } from '@/words/make-words';
import { HAZARD_WORDS, TOOL_WORDS, UNDOING_WORDS, WAIT_WORDS } from '@/words/tool-words';
import { spokenStep } from '@/words/spoken-words';
import { Amounts } from './Amounts';
import { useHandsFree, useWakeLock } from './hands-free';
import { BIG } from './looks';
import { changeRun, changeSettings, stepOf, useMake, type Planned } from './make-store';
import { nowOf } from './moment-of';
import { NoteSheet } from './NoteSheet';
import { hush, say } from './speech';
import { SpoilSheet } from './SpoilSheet';
import { clock, startTimer, Timers } from './Timers';

export interface StepScreenProps {
  readonly run: Run;
  readonly plan: Planned;
  readonly names: readonly string[];
}

/** One step: what to mind, what to do, the lure as it stands after it, what to see to. */
export function StepScreen({ run, plan, names }: StepScreenProps) {
  const step = stepOf(plan, run.at);
  if (!step) return null;
  return <OneStep key={run.id} run={run} plan={plan} names={names} step={step} />;
}

function OneStep({ run, plan, names, step }: StepScreenProps & { readonly step: MakeStep }) {
  const settings = useMake((state) => state.settings);
  const { system, spoken, trueSize, screenPxPerMm } = settings;
  const [sheet, setSheet] = useState<'note' | 'spoiled' | 'trueSize' | null>(null);
  const index = names.indexOf(step.id);
  const { what, how } = stepWords(step, system);
  const closes = lastChanceWords(step);
  const left = plan.steps.filter(({ id }) => !run.done.includes(id)).reduce((sum, { minutes }) => sum + minutes, 0);
  const next = () => changeRun((each) => stepDone(each, names));
  const back = () => changeRun((each) => stepBack(each, names));
  const repeat = () => say(spokenStep(step, system));
  useHandsFree({
    onNext: next,
    onBack: back,
    onRepeat: repeat,
    onTimer: () => startTimer(run, plan),
    onNote: () => setSheet('note'),
  });
  useWakeLock();
  const heading = useRef<HTMLHeadingElement>(null);
  const onStep = useEffectEvent(() => {
    heading.current?.focus({ preventScroll: true });
    window.scrollTo({ top: 0 });
    if (spoken) repeat();
  });
  useEffect(() => {
    onStep();
    return hush;
  }, [step.id]);
  const onTap = (event: MouseEvent<HTMLElement>) => {
    if (event.target instanceof Element && event.target.closest('button, a, input, textarea, summary')) return;
    if (window.getSelection()?.toString()) return;
    const { left: from, width } = event.currentTarget.getBoundingClientRect();
    if (event.clientX - from < width / 2) back();
    else next();
  };
  return (
    <div className="flex min-h-dvh flex-col bg-paper">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b-2 border-line bg-panel px-3 py-1.5">
        <p className="min-w-40 flex-1 text-lg">
          <span className="font-bold">{run.lureName}</span>, step{' '}
          <span className="measure font-bold whitespace-nowrap">
            {index + 1} of {names.length}
          </span>
          <span className="whitespace-nowrap">, {Math.max(1, Math.round(left))} min left</span>
        </p>
        <div className="flex flex-wrap gap-1 max-sm:w-full max-sm:justify-between">
          <button
            type="button"
            className={BIG.small}
            aria-pressed={spoken}
            onClick={() => changeSettings({ spoken: !spoken })}
          >
            Speak
          </button>
          <button type="button" className={BIG.small} aria-keyshortcuts="r" onClick={repeat}>
            Again
          </button>
          <button type="button" className={BIG.small} aria-keyshortcuts="n" onClick={() => setSheet('note')}>
            Note{run.notes[step.id] ? ' •' : ''}
          </button>
          <button type="button" className={BIG.small} onClick={() => setSheet('spoiled')}>
            Spoiled
          </button>
          <a className={BIG.small} href={`/bench?lure=${run.lureId}`}>
            Pause
          </a>
        </div>
        <progress
          className="h-1.5 w-full appearance-none overflow-hidden rounded-full [&::-webkit-progress-bar]:bg-line [&::-webkit-progress-value]:bg-accent"
          aria-label="Steps done"
          max={names.length}
          value={run.done.length}
        />
        <Timers run={run} plan={plan} />
      </header>
      {/* Tapping a half is a second way to the buttons below; keys have their own. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions, jsx-a11y/click-events-have-key-events */}
      <main
        className="flex flex-1 flex-col gap-4 p-4 lg:grid lg:grid-cols-[11fr_9fr] lg:grid-rows-[auto_1fr] lg:gap-x-6"
        onClick={onTap}
      >
        <section className="flex flex-col gap-3 lg:col-start-2" aria-label="What to do">
          <Minding step={step} closes={closes} />
          <h1
            ref={heading}
            tabIndex={-1}
            className="text-[clamp(1.9rem,3.4vw,3.1rem)] leading-[1.12] font-bold text-balance outline-none"
          >
            {what}
          </h1>
          {how !== '' && <p className="text-[clamp(1.3rem,2vw,1.7rem)] leading-snug">{how}</p>}
          <Amounts amounts={step.amounts} fingers={settings.fingers} />
          {step.wait && (
            <button
              type="button"
              className={`${BIG.plain} self-start`}
              aria-keyshortcuts="t"
              onClick={() => startTimer(run, plan)}
            >
              Start {clock(step.wait.seconds)}: {WAIT_WORDS[step.wait.for]}
            </button>
          )}
        </section>
        <Drawings
          run={run}
          plan={plan}
          step={step}
          index={index}
          label={`${run.lureName} after: ${what}`}
          lifePxPerMm={trueSize ? screenPxPerMm : null}
          trueSize={trueSize && screenPxPerMm !== null}
          onTrueSize={() => {
            if (screenPxPerMm === null) setSheet('trueSize');
            else changeSettings({ trueSize: !trueSize });
          }}
        />
        <section className="flex flex-col gap-3 lg:col-start-2" aria-label="Afterwards">
          <ul className="flex flex-col gap-1 text-xl" aria-label="Then see to">
            {step.after.map((check) => (
              <li key={check}>
                <span className="font-bold">{SENSE_WORDS[AFTER_WORDS[check].sense]}:</span> {AFTER_WORDS[check].words}
              </li>
            ))}
          </ul>
          <p className="text-lg text-ink-soft">
            {step.tools.length > 0 && `With ${step.tools.map((tool) => TOOL_WORDS[tool]).join(', ')}. `}
            {UNDOING_WORDS[step.undoing]}
          </p>
        </section>
      </main>
      <footer data-stays className="sticky bottom-0 grid grid-cols-[1fr_2fr] gap-3 border-t-2 border-line bg-panel p-3">
        <button type="button" className={`${BIG.plain} min-h-16 text-xl`} onClick={back}>
          Back
        </button>
        <button type="button" className={`${BIG.main} min-h-16 text-2xl`} onClick={next}>
          {index === names.length - 1 ? 'Done: last look' : 'Done, next'}
        </button>
      </footer>
      {sheet === 'note' && <NoteSheet run={run} step={step} focusAfter={heading} onClose={() => setSheet(null)} />}
      {sheet === 'spoiled' && (
        <SpoilSheet
          run={run}
          plan={plan}
          names={names}
          step={step}
          focusAfter={heading}
          onClose={() => setSheet(null)}
        />
      )}
      {sheet === 'trueSize' && (
        <TrueSizeSheet
          known={screenPxPerMm}
          onSet={(pxPerMm) => changeSettings({ screenPxPerMm: pxPerMm, trueSize: true })}
          onClose={() => setSheet(null)}
        />
      )}
    </div>
  );
}

/** Cautions, and what is closed for good: before anything is done. */
function Minding({ step, closes }: { readonly step: MakeStep; readonly closes: string }) {
  return (
    <>
      {step.hazards.map((hazard) => (
        <p
          key={hazard}
          role="note"
          className="rounded-lg border-l-8 border-fault bg-fault-soft px-3 py-2 text-xl leading-snug text-ink"
        >
          <span aria-hidden>⚠ </span>
          {HAZARD_WORDS[hazard]}
        </p>
      ))}
      {closes !== '' && (
        <p
          role="note"
          className="rounded-lg border-l-8 border-caution bg-caution-soft px-3 py-2 text-xl leading-snug text-ink"
        >
          <span className="font-bold">This closes.</span> Last chance for {closes}.
        </p>
      )}
    </>
  );
}

/** What the pictures of handling take under the drawing. */
const FRAMES_PX = 220;

interface DrawingsProps {
  readonly run: Run;
  readonly plan: Planned;
  readonly step: MakeStep;
  readonly index: number;
  readonly label: string;
  readonly lifePxPerMm: number | null;
  readonly trueSize: boolean;
  readonly onTrueSize: () => void;
}

function Drawings({ run, plan, step, index, label, lifePxPerMm, trueSize, onTrueSize }: DrawingsProps) {
  const room = useRef<HTMLDivElement>(null);
  const size = useSize(room);
  const isWide = useMedia('(min-width: 64rem)');
  const { build } = run;
  const { steps } = plan;
  const piece = useMemo(() => standsAfter(build, steps, index + 1), [build, steps, index]);
  const capped = useMemo(() => cappedAfter(steps, index + 1), [steps, index]);
  const frames = useMemo(() => handlingFrames(step), [step]);
  const { system } = useMake((state) => state.settings);
  const isTall = useMedia('(min-height: 48rem)');
  const height = isWide ? (isTall ? 570 : 470) - (frames.length > 0 ? FRAMES_PX : 0) : 210;
  return (
    <section
      ref={room}
      aria-label="As it stands after this step"
      className="flex min-w-0 flex-col gap-3 lg:col-start-1 lg:row-span-2 lg:row-start-1"
    >
      <div className="relative rounded-lg bg-stage" style={{ height }}>
        {size && (
          <StepPicture
            goal={step.piece.build}
            piece={piece}
            step={step}
            capped={capped}
            width={size.width}
            height={height}
            lifePxPerMm={lifePxPerMm}
            label={label}
          />
        )}
        <button
          type="button"
          aria-pressed={trueSize}
          className={`${BIG.small} absolute bottom-1 left-1 bg-panel`}
          onClick={onTrueSize}
        >
          True size
        </button>
      </div>
      {frames.length > 0 && (
        <Handling
          frames={frames}
          now={nowOf(step, frames)}
          words={(moment) => MOMENT_WORDS[moment]}
          lengthWords={(lengthM) => showLength(lengthM, system)}
          height={isWide ? 150 : 96}
        />
      )}
    </section>
  );
}
