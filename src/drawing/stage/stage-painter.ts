/** What paints a stage's canvases: a worker where the browser lets it, else the page itself. */
import { numberOf } from '../number-of';
import type { PlacedShapes } from '../paint-canvas';
import type { Side, StageShown, StandingThing } from './painted-stage';
import type { FromStage, ToStage } from './stage.worker';

export interface PageCanvases {
  readonly behind: HTMLCanvasElement;
  readonly still: HTMLCanvasElement;
  readonly before: HTMLCanvasElement;
}

export type Shown = Omit<StageShown, 'standing' | 'shapes'> & { readonly things: readonly PlacedShapes[] };

export interface StagePainter {
  readonly show: (shown: Shown) => void;
  readonly stop: () => void;
  /** Kept once it has painted for the first time. */
  readonly hasPainted: Promise<void>;
}

/** Whether a worker paints. Where its code cannot be had, the page paints, on canvases that were not given away. */
let isByWorker = typeof OffscreenCanvas !== 'undefined';
/** Why the worker could not paint what it was last shown. */
let fault: string | null = null;
const listeners = new Set<() => void>();
const tellListeners = () => {
  for (const listener of listeners) listener();
};

export const painting = {
  isByWorker: () => isByWorker,
  fault: () => fault,
  /** Called by who tells of it. */
  forgetFault: () => {
    fault = null;
  },
  onChange: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

/** A canvas can be given away only once. */
const painters = new WeakMap<HTMLCanvasElement, StagePainter>();

export function painterOf(canvases: PageCanvases): StagePainter {
  const { still } = canvases;
  let painter = painters.get(still);
  if (!painter) {
    painter = isByWorker ? inWorker(canvases) : inPage(canvases);
    painters.set(still, painter);
  }
  return painter;
}

/** Tells only what is new since it was last asked: nothing of what stands while that is the same, its shapes once. */
function newsOfStanding() {
  let last: readonly PlacedShapes[] = [];
  return (things: readonly PlacedShapes[]): Pick<StageShown, 'standing' | 'shapes'> => {
    if (things === last) return { standing: null, shapes: new Map() };
    const known = new Set(last.map(({ shapes }) => shapes));
    const shapes = things.flatMap((thing) =>
      known.has(thing.shapes) ? [] : [[numberOf(thing.shapes), thing.shapes] as const],
    );
    last = things;
    return { standing: things.map(standing), shapes: new Map(shapes) };
  };
}

function standing({ line, atMm, liftMm, mirrored, shapes }: PlacedShapes): StandingThing {
  return { line, atMm, liftMm, mirrored, shapes: numberOf(shapes) };
}

/** Something that is kept once, and who keeps it. */
function once() {
  let keep: () => void = () => undefined;
  const kept = new Promise<void>((resolve) => {
    keep = resolve;
  });
  return { kept, keep };
}

function markPainted(still: HTMLCanvasElement, atMs: number) {
  still.dataset.painted = String(atMs);
}

let worker: Worker | null = null;
/** What to do with what the worker says, by the number of the canvases that it is about. */
const hearing = new Map<number, (said: FromStage) => void>();

function stageWorker(): Worker {
  if (worker) return worker;
  worker = new Worker(new URL('./stage.worker.ts', import.meta.url), { type: 'module' });
  worker.onmessage = ({ data }: MessageEvent<FromStage>) => hearing.get(data.stage)?.(data);
  worker.onerror = () => {
    isByWorker = false;
    tellListeners();
  };
  return worker;
}

function inWorker({ behind, still, before }: PageCanvases): StagePainter {
  const stage = numberOf(still);
  const { kept, keep } = once();
  hearing.set(stage, (said) => {
    if (said.say === 'side') before.dataset.side = said.side;
    else if (said.say === 'painted') {
      markPainted(still, said.atMs);
      keep();
    } else {
      fault = said.reason;
      tellListeners();
    }
  });
  const say = (message: ToStage, transferred: Transferable[] = []) => stageWorker().postMessage(message, transferred);
  const taken = {
    behind: behind.transferControlToOffscreen(),
    still: still.transferControlToOffscreen(),
    before: before.transferControlToOffscreen(),
  };
  say({ say: 'canvases', stage, ...taken }, Object.values(taken));
  const news = newsOfStanding();
  return {
    show: ({ things, ...shown }) => say({ say: 'show', stage, shown: { ...shown, ...news(things) } }),
    stop: () => say({ say: 'stop', stage }),
    hasPainted: kept,
  };
}

function inPage({ behind, still, before }: PageCanvases): StagePainter {
  const tellSide = (side: Side) => {
    before.dataset.side = side;
  };
  const coming = import('./painted-stage').then(
    ({ PaintedStage }) => new PaintedStage({ behind, still, before }, tellSide),
  );
  const news = newsOfStanding();
  const { kept, keep } = once();
  let wanted: Shown | null = null;
  return {
    show: (shown) => {
      wanted = shown;
      void coming.then((stage) => {
        if (wanted !== shown) return;
        const { things, ...rest } = shown;
        stage.show({ ...rest, ...news(things) }, () => {
          markPainted(still, performance.timeOrigin + performance.now());
          keep();
        });
      });
    },
    stop: () => void coming.then((stage) => stage.stop()),
    hasPainted: kept,
  };
}
