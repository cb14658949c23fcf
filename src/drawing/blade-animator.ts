/**
 * Draws the turning blades straight into two SVG groups, one behind the lure and one before it, sixty times a second.
 * React lays the stage and leaves these two groups alone.
 */
import type { PartOf } from '../core/parts/part';
import { bladeMesh, poseBlade, type BladeMesh, type BladePose } from './blade-mesh';
import { clevisOutline } from './part-shapes';
import { darker, lighter } from './colour';

const SVG = 'http://www.w3.org/2000/svg';

export interface TurningThing {
  /** What is picked when the blade, or the clevis, is clicked. */
  readonly bladePick: string;
  readonly clevisPick: string;
  readonly blade: PartOf<'blade'>;
  readonly clevis: PartOf<'clevis'>;
  readonly clevisFrontMm: number;
  readonly clevisSpanMm: number;
  readonly pose: Omit<BladePose, 'azimuthRad'>;
  /** Turns a second as shown; 0 hangs still. */
  readonly rateHz: number;
}

interface Layer {
  readonly group: SVGGElement;
  readonly legs: SVGPathElement;
  readonly bow: SVGPathElement;
  readonly facets: readonly SVGPathElement[];
  readonly hole: SVGPathElement;
}

/** Where a blade that does not turn hangs: straight down. */
export const HANGING_RAD = Math.PI;

export class BladeAnimator {
  private readonly mesh: BladeMesh;
  private readonly layers: readonly [behind: Layer, before: Layer];

  constructor(
    behind: SVGGElement,
    before: SVGGElement,
    private thing: TurningThing,
    public azimuthRad: number,
  ) {
    this.mesh = bladeMesh(thing.blade);
    this.layers = [this.layer(behind), this.layer(before)];
    this.draw();
  }

  /** Moves on by `seconds` of shown time and draws. */
  advance(seconds: number): void {
    if (this.thing.rateHz === 0) return;
    this.azimuthRad = (this.azimuthRad + 2 * Math.PI * this.thing.rateHz * seconds) % (2 * Math.PI);
    this.draw();
  }

  /** Takes new speeds and angles for the same blade and clevis. */
  update(thing: TurningThing): void {
    if (thing.rateHz === 0 && this.thing.rateHz !== 0) this.azimuthRad = HANGING_RAD;
    this.thing = thing;
    this.draw();
  }

  remove(): void {
    for (const { group } of this.layers) group.remove();
  }

  private draw(): void {
    const { pose, clevis, clevisFrontMm, clevisSpanMm } = this.thing;
    const posed = poseBlade(this.mesh, { ...pose, azimuthRad: this.azimuthRad });
    const shown = posed.towardsEye ? 1 : 0;
    this.layers.forEach(({ group }, i) => group.setAttribute('display', i === shown ? 'inline' : 'none'));
    const layer = this.layers[shown] as Layer;
    posed.facets.forEach(({ d, fill }, i) => {
      const path = layer.facets[i];
      path?.setAttribute('d', d);
      path?.setAttribute('fill', fill);
      path?.setAttribute('stroke', fill);
    });
    layer.hole.setAttribute('d', posed.holeD);
    const upright = Math.cos(this.azimuthRad);
    // Edge on to the eye a clevis still shows its own width.
    const seen = Math.abs(upright) < 0.18 ? 0.18 * (upright < 0 ? -1 : 1) : upright;
    const { legs, bow } = clevisOutline(clevis, clevisSpanMm, seen);
    layer.legs.setAttribute('d', legs);
    layer.bow.setAttribute('d', bow);
    const place = `translate(${clevisFrontMm} 0)`;
    layer.legs.setAttribute('transform', place);
    layer.bow.setAttribute('transform', place);
  }

  private layer(slot: SVGGElement): Layer {
    const { thing } = this;
    const group = slot.ownerDocument.createElementNS(SVG, 'g');
    const path = (pick: string, attributes: Record<string, string>) => {
      const element = slot.ownerDocument.createElementNS(SVG, 'path');
      element.setAttribute('data-pick', pick);
      for (const [name, value] of Object.entries(attributes)) element.setAttribute(name, value);
      group.append(element);
      return element;
    };
    const { hex } = thing.clevis.finish;
    const bow = path(thing.clevisPick, {
      fill: 'none',
      stroke: darker(hex, 0.25),
      'stroke-width': String(thing.clevis.lobeThicknessM * 1000 * 0.9),
      'stroke-linecap': 'round',
    });
    const legs = path(thing.clevisPick, { fill: lighter(hex, 0.1), stroke: darker(hex, 0.5), 'stroke-width': '0.12' });
    const facets = this.mesh.facets.map(() => path(thing.bladePick, { 'stroke-width': '0.14' }));
    const hole = path(thing.bladePick, { fill: 'var(--stage)', stroke: '#0008', 'stroke-width': '0.12' });
    slot.append(group);
    return { group, legs, bow, facets, hole };
  }
}
