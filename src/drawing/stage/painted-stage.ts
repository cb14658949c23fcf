/**
 * The stage on its three canvases: the blades behind the lure, the lure, the blades before it. It is told what stands, what
 * turns and how the stage lies, and paints by itself from then on, in a worker of its own or in the page.
 */
import { isSame } from '../../core/same';
import type { Canvas, CanvasContext } from '../canvas-context';
import type { DrawnThing } from '../drawn-things';
import type { Shape } from '../shape';
import { TurningBlade, type TurningThing } from '../turning-blade';
import { HeavyPictures } from './heavy-pictures';

export interface StageCanvases {
  readonly behind: Canvas;
  readonly still: Canvas;
  readonly before: Canvas;
}

/** How millimetres lie on a canvas. */
export interface CanvasView {
  readonly widthPx: number;
  readonly heightPx: number;
  /** Where the page's origin lies, px. */
  readonly originX: number;
  readonly originY: number;
}

/** A thing that stands, with its shapes by number: each is sent once, since most changes move things and draw none anew. */
export interface StandingThing extends Omit<DrawnThing, 'pick' | 'hit' | 'way' | 'shapes'> {
  readonly shapes: number;
}

export interface StageShown {
  /** Null where the same stands as was last shown. */
  readonly standing: readonly StandingThing[] | null;
  /** The shapes of what stands that were not there before. */
  readonly shapes: ReadonlyMap<number, readonly Shape[]>;
  readonly turning: readonly TurningThing[];
  /** Pixels of the screen to one of the page. */
  readonly ratio: number;
  readonly pxPerMm: number;
  readonly whole: CanvasView;
  /** The box that the blades sweep: all that is painted sixty times a second. */
  readonly swept: CanvasView;
  /** Blades are shown standing still, half open, whatever they would do. */
  readonly isStill: boolean;
}

/** The side of the lure on which the last blade is. */
export type Side = 'near' | 'far';

/** A hidden tab or a slow machine does not make the blade jump further than this. */
const LONGEST_STEP_S = 0.5;
/** Half open, so that both faces and the cup can be read. */
const STILL_AZIMUTH_RAD = (58 * Math.PI) / 180;

export class PaintedStage {
  private standing: readonly StandingThing[] = [];
  /** Of what stands. */
  private shapes: ReadonlyMap<number, readonly Shape[]> = new Map();
  private readonly pictures = new HeavyPictures();
  private blades: ReadonlyMap<string, TurningBlade>;
  private shown: StageShown | null = null;
  private frame = 0;
  private last = 0;
  private side: Side | null = null;
  /** To be called when the blades are next painted. */
  private painted: (() => void) | null = null;

  /**
   * @param tellSide told whenever the last blade comes to the other side
   * @param before the stage that this one takes the place of: its blades turn on from where they are
   */
  constructor(
    private readonly canvases: StageCanvases,
    private readonly tellSide: (side: Side) => void,
    before?: PaintedStage,
  ) {
    this.blades = before?.blades ?? new Map();
  }

  /**
   * Shows these from now on. A blade that was shown before goes on from where it stood.
   * @param painted called once all of it is painted
   */
  show(shown: StageShown, painted: () => void): void {
    const before = this.shown;
    this.shown = shown;
    if (shown.standing) this.stand(shown.standing, shown.shapes);
    if (!before || shown.standing || !isSameLook(before, shown)) this.paintStanding(shown);
    this.takeBlades(shown);
    const turns = !shown.isStill && shown.turning.some(({ rateHz }) => rateHz > 0);
    if (turns && this.frame !== 0) {
      // Blades that turn are painted with the next frame: a canvas that is painted between two has to wait for another.
      this.painted = painted;
      return;
    }
    this.paintBlades(shown);
    painted();
    if (!turns) this.stop();
    else {
      this.last = 0;
      this.frame = requestAnimationFrame(this.step);
    }
  }

  stop(): void {
    cancelAnimationFrame(this.frame);
    this.frame = 0;
  }

  private stand(standing: readonly StandingThing[], added: StageShown['shapes']): void {
    const known = this.shapes;
    this.standing = standing;
    this.shapes = new Map(standing.map(({ shapes }) => [shapes, added.get(shapes) ?? known.get(shapes) ?? []]));
  }

  private takeBlades({ turning, isStill }: StageShown): void {
    const kept = this.blades;
    this.blades = new Map(
      turning.map((thing) => {
        const known = kept.get(thing.key);
        const isSame = known?.isOf(thing) ?? false;
        const blade = isSame && known ? known : new TurningBlade(thing, known?.azimuthRad ?? STILL_AZIMUTH_RAD);
        if (isSame) blade.update(thing);
        if (isStill && thing.rateHz > 0) blade.azimuthRad = STILL_AZIMUTH_RAD;
        return [thing.key, blade];
      }),
    );
  }

  private readonly step = (now: number): void => {
    const seconds = this.last === 0 ? 0 : Math.min((now - this.last) / 1000, LONGEST_STEP_S);
    this.last = now;
    for (const blade of this.blades.values()) blade.advance(seconds);
    if (this.shown) this.paintBlades(this.shown);
    this.painted?.();
    this.painted = null;
    this.frame = requestAnimationFrame(this.step);
  };

  private paintStanding(shown: StageShown): void {
    const context = cleared(this.canvases.still, shown.whole, shown);
    if (!context) return;
    for (const thing of this.standing) {
      this.pictures.paint(context, { ...thing, shapes: this.shapes.get(thing.shapes) ?? [] });
    }
  }

  private paintBlades(shown: StageShown): void {
    const back = cleared(this.canvases.behind, shown.swept, shown);
    const front = cleared(this.canvases.before, shown.swept, shown);
    if (!back || !front) return;
    let isNear = false;
    for (const blade of this.blades.values()) isNear = blade.paint(back, front);
    const side = isNear ? 'near' : 'far';
    if (side !== this.side) this.tellSide(side);
    this.side = side;
  }
}

/** A canvas of the right size with nothing on it, in millimetres. */
function cleared(
  canvas: Canvas,
  { widthPx, heightPx, originX, originY }: CanvasView,
  { ratio, pxPerMm }: Pick<StageShown, 'ratio' | 'pxPerMm'>,
): CanvasContext | null {
  const [width, height] = [Math.round(widthPx * ratio), Math.round(heightPx * ratio)];
  if (canvas.width !== width || canvas.height !== height) [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d') as CanvasContext | null;
  context?.setTransform(1, 0, 0, 1, 0, 0);
  context?.clearRect(0, 0, width, height);
  context?.setTransform(ratio * pxPerMm, 0, 0, ratio * pxPerMm, originX * ratio, originY * ratio);
  return context;
}

/** A change of speed moves nothing that stands. */
function isSameLook(a: StageShown, b: StageShown): boolean {
  return a.pxPerMm === b.pxPerMm && a.ratio === b.ratio && isSame(a.whole, b.whole);
}
