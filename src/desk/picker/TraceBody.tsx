'use client';

import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { bodyProfile } from '@/core/parts/body-form';
import { traceForm, type Mark, type PhotoMarks, type TracedForm } from '@/core/parts/traced-form';
import type { UnitSystem } from '@/core/units/write';
import { polygon } from '@/drawing/path';
import { Button } from '@/ui/Button';
import { QuantityField } from '@/ui/QuantityField';
import { RadioRow } from '@/ui/RadioRow';
import { tracedWords } from '@/words/body-measuring-words';

export interface TraceBodyProps {
  readonly photo: File;
  readonly system: UnitSystem;
  readonly onTraced: (form: TracedForm) => void;
  readonly onBack: () => void;
}

type Marked = 'scale' | 'nose' | 'tail' | 'back' | 'belly' | 'tie' | 'hangers' | 'lipTip';

const MARKED: readonly {
  readonly value: Marked;
  readonly shown: string;
  readonly how: string;
  readonly most: number;
}[] = [
  {
    value: 'scale',
    shown: 'Scale',
    how: 'Both ends of something of known length beside it: a rule, or a coin.',
    most: 2,
  },
  { value: 'nose', shown: 'Nose', how: 'The foremost point of the body, without eye and lip.', most: 1 },
  { value: 'tail', shown: 'Tail', how: 'The last point of the body, without its eye.', most: 1 },
  {
    value: 'back',
    shown: 'Back',
    how: 'Four to eight places along the back, closer together where it bends.',
    most: 16,
  },
  { value: 'belly', shown: 'Belly', how: 'Four to eight places along the belly.', most: 16 },
  { value: 'hangers', shown: 'Hangers', how: 'Where each hanger leaves the belly.', most: 4 },
  { value: 'lipTip', shown: 'Lip', how: 'The far edge of the lip; leave it out where there is none.', most: 1 },
  { value: 'tie', shown: 'Line eye', how: 'Where the line is tied, if that is on back or lip.', most: 1 },
];

type Marks = Readonly<Record<Marked, readonly Mark[]>>;

const NONE: Marks = { scale: [], nose: [], tail: [], back: [], belly: [], tie: [], hangers: [], lipTip: [] };
/** A press so near to a mark takes hold of it, of the photo's width. */
const HOLD_WITHIN = 0.03;
/** The cross goes so far at a key, of the photo's width; with Shift ten times. */
const KEY_STEP = 0.002;

interface Photo {
  readonly url: string;
  readonly width: number;
  readonly height: number;
}

/** A body traced on a photo of its side: marks are put by pointer, or with a cross that the arrow keys move. */
export function TraceBody({ photo, system, onTraced, onBack }: TraceBodyProps) {
  const shown = usePhoto(photo);
  const [marks, setMarks] = useState<Marks>(NONE);
  const [scaleM, setScaleM] = useState<number | null>(null);
  const [marking, setMarking] = useState<Marked>('scale');
  const [cross, setCross] = useState<Mark | null>(null);
  const held = useRef<number | null>(null);
  if (shown === 'failed') {
    return (
      <div className="flex flex-col gap-3">
        <p role="alert" className="rounded-md bg-fault-soft px-2.5 py-2">
          {photo.name} cannot be shown as a picture. A photo as PNG, JPEG or WebP would be right; the measures typed so
          far are kept.
        </p>
        <Button onClick={onBack}>Back to the measures</Button>
      </div>
    );
  }
  if (shown === null) return <p role="status">Opening the photo…</p>;
  const { width, height, url } = shown;
  const [nose = null] = marks.nose;
  const [tail = null] = marks.tail;
  const [tie = null] = marks.tie;
  const [lipTip = null] = marks.lipTip;
  const asked: PhotoMarks = { ...marks, scaleM, nose, tail, tie, lipTip };
  const traced = traceForm(asked);
  const now = MARKED.find(({ value }) => value === marking) ?? MARKED[0];
  const put = (mark: Mark) => {
    const next = [...marks[marking], mark].slice(-(now?.most ?? 1));
    setMarks({ ...marks, [marking]: next });
    held.current = next.length - 1;
  };
  /** What is marked once leads to the next thing to mark. */
  const goOn = () => {
    held.current = null;
    if (!now || marks[marking].length < now.most) return;
    const next = MARKED[MARKED.indexOf(now) + 1];
    if (next && marks[next.value].length === 0) setMarking(next.value);
  };
  const placeOf = (event: PointerEvent<SVGSVGElement>): Mark => {
    const box = event.currentTarget.getBoundingClientRect();
    return {
      x: ((event.clientX - box.left) / box.width) * width,
      y: ((event.clientY - box.top) / box.height) * height,
    };
  };
  const onDown = (event: PointerEvent<SVGSVGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const at = placeOf(event);
    const near = marks[marking].findIndex((mark) => Math.hypot(mark.x - at.x, mark.y - at.y) < HOLD_WITHIN * width);
    if (near >= 0) held.current = near;
    else put(at);
  };
  const onMove = (event: PointerEvent<SVGSVGElement>) => {
    const { current } = held;
    if (current === null || event.buttons === 0) return;
    const at = placeOf(event);
    setMarks({ ...marks, [marking]: marks[marking].map((mark, i) => (i === current ? at : mark)) });
  };
  const onKey = (event: KeyboardEvent) => {
    const at = cross ?? { x: width / 2, y: height / 2 };
    const step = width * KEY_STEP * (event.shiftKey ? 10 : 1);
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = moves[event.key];
    if (move) {
      setCross({ x: clamp(at.x + move[0], width), y: clamp(at.y + move[1], height) });
    } else if (event.key === 'Enter' || event.key === ' ') {
      put(at);
      held.current = null;
    } else if (event.key === 'Backspace' || event.key === 'Delete') takeBack();
    else return;
    event.preventDefault();
  };
  const takeBack = () => setMarks({ ...marks, [marking]: marks[marking].slice(0, -1) });
  const line = width / 320;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto pr-1">
      <RadioRow
        label="What to mark"
        className="flex flex-wrap gap-1"
        optionClassName="min-h-11 rounded-md border border-line px-2.5 text-sm aria-checked:border-accent aria-checked:bg-accent-soft aria-checked:font-semibold"
        value={marking}
        options={MARKED.map(({ value, shown: word }) => ({
          value,
          shown: marks[value].length > 0 ? `${word} ✓` : word,
        }))}
        onChange={setMarking}
      />
      <p className="text-sm text-ink-soft">{now?.how}</p>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="application"
        aria-label="The photo: a press marks; arrow keys move the cross, Enter marks, Delete takes the last mark back"
        data-testid="photo"
        tabIndex={0}
        className="max-h-[50vh] w-full shrink-0 cursor-crosshair touch-none rounded-md border border-line"
        onPointerDown={onDown}
        onPointerMove={onMove}
        onPointerUp={goOn}
        onKeyDown={onKey}
      >
        <image href={url} width={width} height={height} />
        {traced.outcome === 'traced' && (
          <path
            d={outlineOf(traced.form, traced.toPhoto)}
            fill="none"
            stroke="var(--accent)"
            strokeWidth={1.6 * line}
          />
        )}
        {marks.scale.length === 2 && (
          <path
            d={marks.scale.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('')}
            stroke="var(--caution)"
            strokeWidth={1.2 * line}
          />
        )}
        {MARKED.flatMap(({ value }) =>
          marks[value].map(({ x, y }) => (
            <circle
              key={`${value} ${x} ${y}`}
              cx={x}
              cy={y}
              r={(value === marking ? 3.6 : 2.6) * line}
              fill={value === marking ? 'var(--accent)' : 'var(--panel)'}
              stroke="var(--ink)"
              strokeWidth={0.8 * line}
            />
          )),
        )}
        {cross && (
          <path
            d={`M${cross.x - 8 * line} ${cross.y}h${16 * line}M${cross.x} ${cross.y - 8 * line}v${16 * line}`}
            stroke="var(--fault)"
            strokeWidth={line}
          />
        )}
      </svg>
      <QuantityField
        label="The known length"
        kind="length"
        si={scaleM}
        unit={system === 'metric' ? 'mm' : 'in'}
        minSi={1e-3}
        maxSi={1}
        onCommit={setScaleM}
        onClear={() => setScaleM(null)}
      />
      <p role="status" data-testid="traced" className="rounded-md bg-accent-soft px-2.5 py-2 text-sm">
        {tracedWords(traced, system)}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button
          look="main"
          className="flex-1"
          disabled={traced.outcome !== 'traced'}
          onClick={() => traced.outcome === 'traced' && onTraced(traced.form)}
        >
          Take these measures
        </Button>
        <Button disabled={marks[marking].length === 0} onClick={takeBack}>
          Take back the last mark
        </Button>
        <Button onClick={onBack}>Back</Button>
      </div>
    </div>
  );
}

function clamp(value: number, most: number): number {
  return Math.min(Math.max(value, 0), most);
}

function outlineOf(form: TracedForm, toPhoto: (xM: number, yM: number) => Mark): string {
  const stations = bodyProfile({
    shape: 'diver',
    widthM: form.heightM,
    lipLengthM: 0,
    lipWidthM: 0,
    lipDownRad: 0,
    ...form,
  });
  return polygon([
    ...stations.map(({ xM, upM }) => toPhoto(xM, upM)),
    ...stations.toReversed().map(({ xM, downM }) => toPhoto(xM, -downM)),
  ]);
}

/** The photo ready to be drawn, null while it loads. It never leaves the page. */
function usePhoto(photo: File): Photo | null | 'failed' {
  const [shown, setShown] = useState<Photo | null | 'failed'>(null);
  useEffect(() => {
    const url = URL.createObjectURL(photo);
    const image = new Image();
    image.onload = () => setShown({ url, width: image.naturalWidth, height: image.naturalHeight });
    image.onerror = () => setShown('failed');
    image.src = url;
    return () => URL.revokeObjectURL(url);
  }, [photo]);
  return shown;
}
