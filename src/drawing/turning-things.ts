import type { Layout } from '../core/geometry/layout';
import { linePose } from './drawn-things';
import type { Motion } from './motion';
import { numberOf } from './number-of';
import type { TurningThing } from './turning-blade';

/** All that turns, one for each lobe. */
export function turningThings(motions: readonly Motion[], layout: Layout, slowedBy: number): TurningThing[] {
  return motions.flatMap((motion) => {
    const { clevis } = motion;
    const line = linePose(layout, motion.line);
    return motion.phasesRad.map((phaseRad) => ({
      key: `${motion.station} ${phaseRad}`,
      line,
      lobe: motion.lobe,
      sameAs: `${numberOf(motion.lobe)} ${clevis ? numberOf(clevis.part) : ''}`,
      clevis: clevis && {
        part: clevis.part,
        frontMm: clevis.foreM * 1000,
        spanMm: (clevis.aftM - clevis.foreM) * 1000,
      },
      phaseRad,
      pose: {
        holeMm: motion.holeM * 1000,
        dropMm: motion.dropM * 1000,
        spreadRad: motion.spreadRad,
        setAngleRad: motion.setAngleRad,
        flipped: motion.flipped,
      },
      rateHz: motion.rateHz / slowedBy,
    }));
  });
}
