/** What turned parts with a bore have in common. */
import { shellVolume, solidVolume, type ProfilePoint } from '../profile';
import { densityOf, type MaterialId } from '../material';
import { hardAreas, type BoreFit, type KindRoom, type Side, type Sits, type Threads } from './room';

interface Bored {
  readonly lengthM: number;
  readonly boreM: number;
}

interface TurnedPart extends Bored {
  readonly material: MaterialId;
}

/** The side of a part with a bore. */
export function boreSide(fit: BoreFit): (part: { readonly boreM: number }) => Side {
  return ({ boreM }) => ({ port: 'bore', boreM, fit });
}

/** Threading of a part that takes up its whole length on the wire. */
export function threadedWhole(fit: BoreFit = 'usual'): Threads<Bored, unknown> {
  return { side: boreSide(fit), stackM: ({ lengthM }) => lengthM, betweenLegsM: ({ lengthM }) => lengthM };
}

/** Slid over a sleeve, its rear end with the sleeve's. */
export function slidOver(fit: BoreFit = 'usual'): Sits<Bored, unknown> {
  return {
    port: 'bore',
    side: boreSide(fit),
    lies: ({ lengthM }, { alongM }) => ({ x0M: alongM - lengthM, x1M: alongM }),
  };
}

/** Mass of a turned part from its profile, kg, less its bore. */
export function solidKg<P extends TurnedPart>(profile: (part: P) => ProfilePoint[]): (part: P) => number {
  return (part) => solidVolume(profile(part), part.boreM) * densityOf(part.material);
}

/** Mass of a turned shell from its profile and wall, kg. */
export function shellKg<P extends TurnedPart>(
  profile: (part: P) => ProfilePoint[],
  wallOf: (part: P) => number,
): (part: P) => number {
  return (part) => shellVolume(profile(part), wallOf(part)) * densityOf(part.material);
}

/** Areas of a turned part as thick as this: slender, as it stands in a stack. */
export function turnedAreas<P>(radiusOf: (part: P) => number): KindRoom<P, unknown>['areas'] {
  return (part, { lengthM }) => hardAreas(radiusOf(part), lengthM, true);
}
