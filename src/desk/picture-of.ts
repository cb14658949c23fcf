/** A lure on the bench as a picture to be kept: all that is painted of it, and nothing to work with. */
import type { Lure } from '@/core/lure/lure';
import type { SpinPrediction } from '@/core/predict/spin';
import { FORM, type KeptPicture } from '@/data/kept-picture';
import { USUAL_SETTINGS, type Settings } from '@/data/settings';
import { reachOf, sweptCorners } from '@/drawing/stage-reach';
import { turningThings } from '@/drawing/turning-things';
import { drawnOf, motionsWith, predictionOf, thingsOf } from './derived';
import { retrieveSpeed } from './speed';

export function pictureOf(lure: Lure, prediction: SpinPrediction, settings: Settings): KeptPicture {
  const { build, id, name } = lure;
  const { system, theme, slowedBy, trueSize, screenPxPerMm } = settings;
  const laid = drawnOf(build);
  const motions = motionsWith(prediction, laid);
  return {
    form: FORM,
    lureId: id,
    name,
    system,
    theme,
    things: thingsOf(build).map(({ line, atMm, liftMm, mirrored, shapes }) => ({
      line,
      atMm,
      liftMm,
      mirrored,
      shapes,
    })),
    turning: turningThings(motions, laid.layout, slowedBy).map((thing) => ({
      ...thing,
      // Numbers are given anew by every page.
      sameAs: `kept ${thing.sameAs}`,
    })),
    reach: reachOf(laid.layout, motions),
    swept: sweptCorners(laid.layout, motions),
    leftOut: laid.layout.leftOut,
    fixedPxPerMm: trueSize ? screenPxPerMm : null,
  };
}

/** The picture of a lure as it is shown to someone who has set nothing yet. */
export function pictureAtFirst(lure: Lure): KeptPicture {
  const { water, retrieve } = USUAL_SETTINGS;
  const prediction = predictionOf(lure.build, water, retrieveSpeed(retrieve), 'clean', null);
  return pictureOf(lure, prediction, USUAL_SETTINGS);
}
