/** What follows from the lure on the desk, worked out outside the components: each thing once for what it hangs on. */
import type { Water } from '@/core/hydro/water';
import type { BladeState } from '@/core/in-water/bearing';
import { drawnShort } from '@/core/geometry/drawn-short';
import { layOut, type Layout } from '@/core/geometry/layout';
import { deltaSeats, filmSeats, spinSeats, type DeltaSeat, type FilmSeat, type SpinSeat } from '@/core/geometry/seats';
import { lureMass } from '@/core/lengths/mass';
import { applyEdits } from '@/core/lure/edit';
import type { LureHistory } from '@/core/lure/history';
import type { Build, ItemId } from '@/core/lure/lure';
import { lastPer, oncePer } from '@/core/once';
import type { Belief } from '@/core/predict/factors';
import { nominalSpin, predictSpin, type SpinPrediction } from '@/core/predict/spin';
import { drawElevation, type DrawnThing } from '@/drawing/drawn-things';
import { motionsOf, type Motion } from '@/drawing/motion';

/** Where all of a build lies, and what of it turns. */
export interface Laid {
  readonly layout: Layout;
  readonly seats: readonly SpinSeat[];
  readonly films: readonly FilmSeat[];
  readonly deltas: readonly DeltaSeat[];
}

const laidAs = (build: Build, layout: Layout): Laid => ({
  layout,
  seats: spinSeats(build, layout),
  films: filmSeats(layout),
  deltas: deltaSeats(layout),
});

export const laidOf = oncePer((build: Build): Laid => laidAs(build, layOut(build)));

/** The same as it is drawn: with long bare line left out. */
export const drawnOf = oncePer((build: Build): Laid => {
  const short = drawnShort(build);
  return short.build === build ? laidOf(build) : laidAs(short.build, short.layout);
});

/** All of a build that stands still, as it is drawn. */
export const thingsOf = oncePer((build: Build): readonly DrawnThing[] => {
  const short = drawnShort(build);
  return drawElevation(short.build, short.layout);
});

/** kg */
export const massOf = oncePer((build: Build): number => lureMass(build));

/** How the blades turn at this speed, m/s. */
export const predictionOf = lastPer(
  (
    build: Build,
    water: Water,
    speedMps: number,
    bladeState: BladeState,
    learnt: Belief | null = null,
  ): SpinPrediction => predictSpin(build, water, [speedMps], bladeState, laidOf(build).layout, learnt),
);

/** How what turns is to be shown turning. */
export function motionsWith(prediction: SpinPrediction, laid: Laid): readonly Motion[] {
  return motionsOfPrediction(prediction)(laid);
}

/** The lure as it is and as last painted are asked for in turn. */
const motionsOfPrediction = oncePer((prediction: SpinPrediction) =>
  oncePer(({ seats, films, deltas }: Laid): readonly Motion[] => motionsOf(seats, films, deltas, prediction)),
);

const NONE: ReadonlyMap<ItemId, number> = new Map();

/** What each blade turned at before the last change, at this speed, Hz; empty when nothing was changed. */
export const ratesBefore = lastPer(
  (
    { lure, past }: LureHistory,
    prediction: SpinPrediction,
    speedMps: number,
    water: Water,
  ): ReadonlyMap<ItemId, number> => {
    const last = past.at(-1);
    const before = last ? applyEdits(lure, last.inverse) : null;
    if (!before?.ok) return NONE;
    const stations = new Set(prediction.blades.map(({ station }) => station));
    return new Map(
      nominalSpin(before.lure.build, water, [speedMps]).flatMap(({ station, outcomes: [at] }) =>
        at?.outcome === 'turning' && stations.has(station) ? [[station, at.rateHz]] : [],
      ),
    );
  },
);
