/** What of a lure is the same at every speed and whatever its coefficients are: its bodies, its blades in their places, its arm. */
import { lineKind, poseOf } from '../geometry/placed';
import type { Outfit } from '../hydro/outfit';
import { KICK_SHARE } from '../hydro/kick';
import { waterDensity, type Water } from '../hydro/water';
import { armOf, type ArmOutcome } from '../in-water/arm';
import type { BladeState } from '../in-water/bearing';
import { bodiesOf, type Body } from '../in-water/bodies';
import { laidWith, layOut, type Layout } from '../geometry/layout';
import { itemOf, type Build, type ItemId } from '../lure/lure';
import { planingAreas } from '../in-water/planing-areas';
import { spinners, type Spinner } from '../in-water/spinners';
import { twistingOf, type Twisting } from '../in-water/twisting';
import { pointOn, type PlanePlace } from '../carriers/wire-path';
import { bladeArea } from '../parts/blade-area';
import type { Part } from '../parts/part';

export interface LureInWater {
  readonly build: Build;
  readonly layout: Layout;
  readonly rho: number;
  readonly outfit: Outfit;
  /** Placed from the line tie. */
  readonly bodies: readonly Body[];
  readonly spinners: readonly Spinner[];
  /** Where each of these drags, and about which axle. */
  readonly dragsAt: readonly BladePlace[];
  readonly arm: ArmOutcome;
  readonly planing: ReturnType<typeof planingAreas>;
  readonly twisting: Twisting;
}

export interface BladePlace {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  readonly axleRad: number | null;
  readonly plan: number;
  /** Of what goes round with it, what comes twice a turn. */
  readonly kickShare: number;
  /** How often a turn it hits the water: once for a hung blade, with each of its lobes for another. */
  readonly strokes: number;
  /** Of its axial force at its distance from the axle, the share that what carries it feels as it goes round. */
  readonly momentShare: number;
  /** Weight in water of one that hangs and flaps, which as it turns it carries in part itself; 0 of any other, N. */
  readonly weightN: number;
  /** Of a surface blade; 0 of any other. */
  readonly hand: -1 | 0 | 1;
}

/** A lure ready for any speed and any coefficients. @throws Error for a build that structureProblem refuses */
export function lureInWater(
  build: Build,
  water: Water,
  outfit: Outfit,
  state: BladeState = 'clean',
  layout: Layout = layOut(build),
): LureInWater {
  const rho = waterDensity(water);
  const tie = tieOf(layout);
  const bodies = bodiesOf(build, layout).map((body) => ({ ...body, xM: body.xM - tie.xM, yM: body.yM - tie.yM }));
  const all = spinners(build, rho, state, layout);
  return {
    build,
    layout,
    rho,
    outfit,
    bodies,
    spinners: all,
    dragsAt: all.map((spinner): BladePlace => {
      const { station } = spinner;
      const axleRad = axleOf(layout, station);
      const place = pulledAt(layout, station);
      return {
        xM: place.xM - tie.xM,
        yM: place.yM - tie.yM,
        zM: bodies.find(({ of }) => of === station)?.zM ?? 0,
        axleRad,
        ...pullOfPart(itemOf(build, station).part, spinner, axleRad),
      };
    }),
    arm: armOf(build, layout, bodies, rho),
    planing: planingAreas(Object.values(build.items).map(({ part }) => part)),
    twisting: twistingOf(Object.values(build.items)),
  };
}

/** What of a blade that turns bears on its pull, wherever it sits. */
export function pullOfPart(
  part: Part,
  { blade, nominal }: Pick<Spinner, 'blade' | 'nominal'>,
  axleRad: number | null,
): Omit<BladePlace, 'xM' | 'yM' | 'zM' | 'axleRad'> {
  const spun = blade(nominal);
  return {
    plan: bladeArea(part),
    kickShare: part.kind === 'blade' ? KICK_SHARE[part.pattern] : 0,
    strokes: part.kind === 'deltaBlade' ? part.lobes : part.kind === 'filmBlade' ? 2 : 1,
    weightN: spun.fixedSpreadRad === null ? spun.weightInWaterN : 0,
    momentShare: momentShare(part, axleRad === null),
    hand: part.kind === 'deltaBlade' ? (part.hand === 'right' ? 1 : -1) : 0,
  };
}

/**
 * A swivel passes a force on and no moment. Of a film the two lobes cancel. Of a delta blade only the lobes under water
 * pull, so that what it feels rises and falls with each as it dips.
 */
function momentShare(part: Part, isBehindSwivel: boolean): number {
  if (part.kind === 'filmBlade' || isBehindSwivel) return 0;
  return part.kind === 'deltaBlade' ? 1 / part.lobes : 1;
}

/** Where the line pulls on the first carrier: the tie of a bent wire, the nose loop of a straight one. */
export function tieOf({ path, lines, nose }: Pick<Layout, 'path' | 'lines' | 'nose'>): PlanePlace {
  return path?.tie ?? pointOn(lines.run, path ? 0 : nose.loopCentreM);
}

function pulledAt(layout: Layout, station: ItemId): PlanePlace {
  for (const { strand, lines } of layout.carriers) {
    const strung = strand.find(({ item }) => item.id === station);
    if (strung) return pointOn(lines.run, (strung.x0M + strung.x1M) / 2);
  }
  const hung = layout.off.find(({ item }) => item.id === station);
  return hung ? pointOn(poseOf(layout, hung.line), hung.pivotM) : { xM: 0, yM: 0 };
}

/** A blade on the wire has the wire for its axle; what hangs behind a swivel turns into the flow. */
function axleOf(layout: Layout, station: ItemId): number | null {
  const hung = layout.off.find(({ item }) => item.id === station);
  if (hung) return lineKind(hung.line) === 'run' ? poseOf(layout, hung.line).angleRad : null;
  return laidWith(layout, station).lines.run.angleRad;
}
