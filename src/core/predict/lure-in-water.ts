/** What of a lure is the same at every speed and whatever its coefficients are: its bodies, its blades in their places, its arm. */
import { isLifted, lineKind, poseOf } from '../geometry/placed';
import type { Outfit } from '../hydro/outfit';
import { KICK_SHARE } from '../hydro/kick';
import { weightOf, type Sum } from '../hydro/trim';
import { GRAVITY_MPS2, waterDensity, type Water } from '../hydro/water';
import type { WobblingBody } from '../hydro/wobble';
import { wobblingBody } from '../in-water/wobbling';
import { armOf, type ArmOutcome } from '../in-water/arm';
import type { BladeState } from '../in-water/bearing';
import { bodiesOf, type Body } from '../in-water/bodies';
import { laidWith, layOut, type LaidCarrier, type Layout } from '../geometry/layout';
import { hingedOn, tieOf } from '../geometry/tie';
import { carrierOfItem } from '../lure/strung';
import { FIRST_CARRIER, itemOf, type Build, type CarrierId, type ItemId } from '../lure/lure';
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
  readonly bodies: readonly (Body & { readonly isLead?: boolean })[];
  readonly spinners: readonly Spinner[];
  /** Where each of these drags, and about which axle. */
  readonly dragsAt: readonly BladePlace[];
  readonly arm: ArmOutcome;
  readonly planing: ReturnType<typeof planingAreas>;
  readonly twisting: Twisting;
  /** The body of a hard bait that swings by its own wake, nearest to the line; null without one. */
  readonly wobbling: WobblingBody | null;
}

/** A blade on a line and the lure behind it. */
export interface AheadOf {
  readonly behindM: number;
  readonly radiusM: number;
}

export interface BladePlace {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  readonly axleRad: number | null;
  /** It turns on the line ahead of a lure that pitches by itself. */
  readonly isLead: boolean;
  /** Of one that is: how far behind it that lure is, and half as wide as its front, m. */
  readonly ahead: AheadOf | null;
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
  // Behind a line a lure pitches about its own tie, and what is on the line goes with the stream.
  const hinged = hingedOn(layout.carriers);
  const tie = tieOf(hinged ?? layout);
  const isAhead = (of: Body['of']) => hinged !== null && carrierOfBody(build, of) === FIRST_CARRIER;
  const bodies = bodiesOf(build, layout).map((body) => ({
    ...body,
    xM: body.xM - tie.xM,
    yM: body.yM - tie.yM,
    ...(isAhead(body.of) ? { isLead: true } : {}),
  }));
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
        // On the line it has the stream along its axle.
        axleRad: isAhead(station) ? null : axleRad,
        isLead: isAhead(station),
        ahead: hinged && isAhead(station) ? aheadOf(hinged, spinner.placeM) : null,
        ...pullOfPart(itemOf(build, station).part, spinner, axleRad),
      };
    }),
    arm: armOf(build, layout, bodies, rho),
    planing: planingAreas(Object.values(build.items).map(({ part }) => part)),
    twisting: twistingOf(Object.values(build.items)),
    wobbling: wobblingOf(
      layout.carriers,
      bodies.reduce((sum, { massKg }) => sum + massKg, 0),
      weightOf(bodies, rho),
    ),
  };
}

/** The body of the lure that its own wake swings. @param weightN in water, with its moments about the line tie */
export function wobblingOf(
  carriers: readonly Pick<LaidCarrier, 'carrier'>[],
  massKg: number,
  { all, y }: Sum,
): WobblingBody | null {
  const body = carriers.find(({ carrier }) => carrier.kind === 'body')?.carrier;
  // What it weighs in water is its mass less that of the water it pushes aside, which goes along with it.
  return body?.kind === 'body' ? wobblingBody(body.wire, 2 * massKg - all / GRAVITY_MPS2, -y) : null;
}

/** Of a lure that is not a body, half as wide as a front is taken to be, m. Trade estimate. */
const USUAL_FRONT_M = 0.012;

/** What of a lure meets the wake of a blade at this place on the way from the first nose. */
export function aheadOf({ carrier, fromM }: Pick<LaidCarrier, 'carrier' | 'fromM'>, placeM: number): AheadOf {
  const body = carrier.kind === 'body' ? carrier.wire : null;
  return {
    behindM: fromM - placeM,
    radiusM: body ? Math.max(body.lipWidthM, body.heightM) / 2 : USUAL_FRONT_M,
  };
}

/** The carrier that a body is on, or is. */
function carrierOfBody(build: Build, of: Body['of']): CarrierId {
  if (of === 'wire') return FIRST_CARRIER;
  const item = build.items[of as ItemId];
  return item ? carrierOfItem(build, item) : (of as CarrierId);
}

/** What of a blade that turns bears on its pull, wherever it sits. */
export function pullOfPart(
  part: Part,
  { blade, nominal }: Pick<Spinner, 'blade' | 'nominal'>,
  axleRad: number | null,
): Omit<BladePlace, 'xM' | 'yM' | 'zM' | 'axleRad' | 'isLead' | 'ahead'> {
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

function pulledAt(layout: Layout, station: ItemId): PlanePlace {
  for (const { strand, lines } of layout.carriers) {
    const strung = strand.find(({ item }) => item.id === station);
    if (strung) return pointOn(lines.run, (strung.x0M + strung.x1M) / 2);
  }
  const hung = layout.off.find(({ item }) => item.id === station);
  if (!hung) return { xM: 0, yM: 0 };
  return pointOn(poseOf(layout, hung.line), hung.pivotM, isLifted(hung.line) ? hung.offAxisM : 0);
}

/** A blade on the wire has the wire for its axle; what hangs behind a swivel turns into the flow. */
function axleOf(layout: Layout, station: ItemId): number | null {
  const hung = layout.off.find(({ item }) => item.id === station);
  if (hung) return lineKind(hung.line) === 'run' ? poseOf(layout, hung.line).angleRad : null;
  return laidWith(layout, station).lines.run.angleRad;
}
