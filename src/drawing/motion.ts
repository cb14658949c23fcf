/** How each thing that turns stands at the chosen speed: what the drawing shows of a prediction. */
import { DELTA_COEFFICIENTS } from '../core/hydro/delta-blade';
import { filmSpread, FILM_COEFFICIENTS } from '../core/hydro/film-blade';
import { referenceCoefficients } from '../core/hydro/spin-blade';
import { stateOf } from '../core/lure/item-state';
import type { Line } from '../core/geometry/placed';
import type { ItemId } from '../core/lure/lure';
import type { DeltaSeat, FilmSeat, SpinSeat } from '../core/geometry/seats';
import { usualSpreadRad } from '../core/parts/blade-pattern';
import { bladeReach } from '../core/parts/outline';
import type { PartOf } from '../core/parts/part';
import { doesTurn, type SpinPrediction } from '../core/predict/spin';
import { lobeOfBlade, lobeOfDelta, lobeOfFilm, type Lobe } from './blade-mesh';

export interface Motion {
  readonly station: ItemId;
  /** The line it turns about. */
  readonly line: Line;
  readonly lobe: Lobe;
  readonly clevis: {
    readonly item: ItemId;
    readonly part: PartOf<'clevis'>;
    readonly foreM: number;
    readonly aftM: number;
  } | null;
  /** Place of the hole or hub along the wire, and how far it hangs from the axis, m. */
  readonly holeM: number;
  readonly dropM: number;
  /** Hole or hub to tip, m. */
  readonly reachM: number;
  readonly flipped: boolean;
  /** Turns a second; 0 when it hangs. */
  readonly rateHz: number;
  readonly spreadRad: number;
  /** The widest it usually stands, so that the stage does not move with the speed, rad. */
  readonly usualSpreadRad: number;
  readonly setAngleRad: number;
  /** A film has two lobes, half a turn apart; a delta blade up to four. */
  readonly phasesRad: readonly number[];
}

/** Spread of a blade that hangs still, drawn just off the body. */
const HANGING_SPREAD_RAD = 0.12;

export function motionsOf(
  seats: readonly SpinSeat[],
  films: readonly FilmSeat[],
  deltas: readonly DeltaSeat[],
  prediction: SpinPrediction,
): Motion[] {
  const turning = (station: ItemId) => {
    const at = prediction.blades.find((each) => each.station === station)?.at[0];
    return doesTurn(at) && at.chance >= 0.5 ? at : null;
  };
  const hung = seats.map((seat): Motion => {
    const { blade, clevis, item } = seat;
    const at = turning(item.id);
    return {
      station: item.id,
      line: seat.line,
      lobe: lobeOfBlade(blade),
      clevis: clevis && { item: clevis.item.id, part: clevis.clevis, foreM: clevis.foreM, aftM: clevis.aftM },
      holeM: seat.holeM,
      dropM: seat.dropM,
      reachM: bladeReach(blade),
      flipped: item.flipped,
      rateHz: at?.rateHz.value ?? 0,
      spreadRad: at?.spreadRad.value ?? HANGING_SPREAD_RAD,
      usualSpreadRad: usualSpreadRad(blade.pattern),
      setAngleRad: referenceCoefficients(blade.pattern).setAngleRad,
      phasesRad: [0],
    };
  });
  const threaded = films.map(({ item, line, film, hubM }): Motion => {
    const spreadRad = filmSpread(stateOf(item, 'film').foldRad);
    return {
      station: item.id,
      line,
      lobe: lobeOfFilm(film),
      clevis: null,
      holeM: hubM,
      dropM: 0,
      reachM: film.spanM / 2,
      flipped: false,
      rateHz: turning(item.id)?.rateHz.value ?? 0,
      spreadRad,
      usualSpreadRad: spreadRad,
      setAngleRad: FILM_COEFFICIENTS.setAngleRad,
      phasesRad: [0, Math.PI],
    };
  });
  const buzzing = deltas.map(({ item, line, blade, tipsM }): Motion => ({
    station: item.id,
    line,
    lobe: lobeOfDelta(blade),
    clevis: null,
    holeM: tipsM,
    dropM: 0,
    reachM: blade.spanM / 2,
    flipped: false,
    rateHz: turning(item.id)?.rateHz.value ?? 0,
    spreadRad: Math.PI / 2,
    usualSpreadRad: Math.PI / 2,
    setAngleRad: (blade.hand === 'right' ? 1 : -1) * DELTA_COEFFICIENTS.setAngleRad,
    phasesRad: Array.from({ length: blade.lobes }, (_, i) => (i / blade.lobes) * 2 * Math.PI),
  }));
  return [...hung, ...threaded, ...buzzing];
}
