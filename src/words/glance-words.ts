/** What a lure does, at a glance: the one thing that matters most, then few figures. */
import { rideFigures, type Output, type RideFigure, type RideShown } from './ride-words';

/** The figures told at a glance, what matters most first. */
const GLANCE: readonly Output[] = ['wobbleHz', 'depthM', 'thumpNs', 'surfaceMps', 'leanRad'];
/** Of a lure made to run on the surface. */
const GLANCE_AT_SURFACE: readonly Output[] = ['planingMps', 'sidePullRad', 'depthM', 'thumpNs', 'leanRad'];

export interface Headline {
  readonly text: string;
  /** It does not do what it is built for. */
  readonly isAmiss: boolean;
}

/** What a lure does at this speed that matters more than any figure; null where no figure misleads. */
export function headlineOf({ prediction }: RideShown): Headline | null {
  const [ride] = prediction.rides;
  if (ride?.outcome !== 'rides') return null;
  if (prediction.lure.planingMps) {
    const isPlaning = ride.line === 'planes';
    return {
      text: isPlaning ? 'Planes on the surface' : 'Does not plane: it sinks at this speed',
      isAmiss: !isPlaning,
    };
  }
  if (ride.line === 'surfaces') return { text: 'Comes to the surface at this speed', isAmiss: true };
  if (ride.line === 'rises') return { text: 'Lifts its line at this speed', isAmiss: true };
  return ride.lean === 'turnsOver' ? { text: 'Turns over: its keel is too weak', isAmiss: true } : null;
}

/** What stands on one line of a stage 960 px wide. */
const MOST_GLANCED = 4;

/** The few figures of the whole lure that say something here. */
export function glanceOf(shown: RideShown): RideFigure[] {
  const outputs = shown.prediction.lure.planingMps ? GLANCE_AT_SURFACE : GLANCE;
  return rideFigures(shown, outputs)
    .filter(({ value }) => Number(value) !== 0 && !Number.isNaN(Number(value)))
    .slice(0, headlineOf(shown) === null ? MOST_GLANCED : MOST_GLANCED - 1);
}
