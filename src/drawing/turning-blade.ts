/**
 * A turning blade with its clevis, painted on a canvas sixty times a second: on the one behind the lure while it is on the
 * far side, on the one before it while it is on the near side. React lays the stage and leaves the canvases alone.
 */
import type { PartOf } from '../core/parts/part';
import { bladeMesh, poseBlade, type BladeMesh, type BladePose, type Lobe } from './blade-mesh';
import { darker, lighter } from './colour';
import { clevisOutline } from './clevis-outline';
import type { PagePose } from './drawn-things';
import type { Point } from './path';
import type { CanvasContext } from './canvas-context';

export interface TurningThing {
  readonly key: string;
  readonly lobe: Lobe;
  /** The same for as long as lobe and clevis are: what crosses to a worker is copied. */
  readonly sameAs: string;
  /** The line it turns about, as it lies on the page. */
  readonly line: PagePose;
  /** The clevis that carries it; null for a lobe of a film or behind a swivel. */
  readonly clevis: { readonly part: PartOf<'clevis'>; readonly frontMm: number; readonly spanMm: number } | null;
  /** Where it stands about the axle while others of the same thing stand at 0. */
  readonly phaseRad: number;
  readonly pose: Omit<BladePose, 'azimuthRad'>;
  /** Turns a second as shown; 0 hangs still. */
  readonly rateHz: number;
}

/** Where a blade that does not turn hangs: straight down. */
const HANGING_RAD = Math.PI;
/** Edge on to the eye a clevis still shows its own width. */
const LEAST_UPRIGHT = 0.18;
const SEAM_MM = 0.14;

export class TurningBlade {
  private readonly mesh: BladeMesh;

  constructor(
    private thing: TurningThing,
    public azimuthRad: number,
  ) {
    this.mesh = bladeMesh(thing.lobe);
    if (thing.rateHz === 0) this.azimuthRad = HANGING_RAD;
  }

  /** Moves on by `seconds` of shown time. */
  advance(seconds: number): void {
    this.azimuthRad = (this.azimuthRad + 2 * Math.PI * this.thing.rateHz * seconds) % (2 * Math.PI);
  }

  /** True when this is the same lobe on the same clevis. */
  isOf({ sameAs }: TurningThing): boolean {
    return sameAs === this.thing.sameAs;
  }

  /** Takes new speeds and angles for the same blade and clevis. */
  update(thing: TurningThing): void {
    if (thing.rateHz === 0) this.azimuthRad = HANGING_RAD;
    this.thing = thing;
  }

  /** Whether it stands on the near side of the wire. */
  isNear(): boolean {
    return Math.sin(this.azimuthRad + this.thing.phaseRad) > 0;
  }

  /** Paints on the canvas of its side, whose units are millimetres with y down. Returns whether that was the near one. */
  paint(behind: CanvasContext, before: CanvasContext): boolean {
    const { facets, hole, towardsEye } = poseBlade(this.mesh, {
      ...this.thing.pose,
      azimuthRad: this.azimuthRad + this.thing.phaseRad,
    });
    const canvas = towardsEye ? before : behind;
    const { line } = this.thing;
    canvas.save();
    canvas.translate(line.xMm, line.yMm);
    canvas.rotate(line.turnRad);
    canvas.lineJoin = 'round';
    canvas.lineWidth = SEAM_MM;
    for (const { points, fill } of facets) {
      trace(canvas, points);
      canvas.fillStyle = fill;
      canvas.strokeStyle = fill;
      canvas.fill();
      canvas.stroke();
    }
    canvas.globalCompositeOperation = 'destination-out';
    trace(canvas, hole);
    canvas.fill();
    canvas.globalCompositeOperation = 'source-over';
    this.paintClevis(canvas);
    canvas.restore();
    return towardsEye;
  }

  private paintClevis(canvas: CanvasContext): void {
    const { clevis } = this.thing;
    if (!clevis) return;
    const { part, frontMm, spanMm } = clevis;
    const upright = Math.cos(this.azimuthRad);
    const seen = Math.abs(upright) < LEAST_UPRIGHT ? LEAST_UPRIGHT * (upright < 0 ? -1 : 1) : upright;
    const { legs, bow } = clevisOutline(part, spanMm, seen);
    canvas.save();
    canvas.translate(frontMm, 0);
    canvas.lineCap = 'round';
    canvas.lineWidth = part.lobeThicknessM * 900;
    canvas.strokeStyle = darker(part.finish.hex, 0.25);
    canvas.stroke(new Path2D(bow));
    canvas.fillStyle = lighter(part.finish.hex, 0.1);
    canvas.lineWidth = 0.12;
    canvas.strokeStyle = darker(part.finish.hex, 0.5);
    const legPath = new Path2D(legs);
    canvas.fill(legPath);
    canvas.stroke(legPath);
    canvas.restore();
  }
}

function trace(canvas: CanvasContext, points: readonly Point[]): void {
  canvas.beginPath();
  points.forEach(({ x, y }, i) => (i === 0 ? canvas.moveTo(x, y) : canvas.lineTo(x, y)));
  canvas.closePath();
}
