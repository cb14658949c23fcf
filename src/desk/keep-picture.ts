import { writePicture } from '@/data/kept-picture';
import { predictionOf } from './derived';
import { beliefOf, useDesk } from './desk-state';
import { pictureOf } from './picture-of';
import { retrieveSpeed } from './speed';

/** What is shown at once when the page comes again is kept when the hand rests, or when the page is left. */
const AT_REST_MS = 2_000;
let keeping: ReturnType<typeof setTimeout> | undefined;
useDesk.subscribe(({ history, settings }, before) => {
  if (!history || (history === before.history && settings === before.settings)) return;
  clearTimeout(keeping);
  keeping = setTimeout(keep, AT_REST_MS);
});

globalThis.document?.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'hidden' && keeping !== undefined) keep();
});

function keep() {
  clearTimeout(keeping);
  keeping = undefined;
  const state = useDesk.getState();
  const { history, settings, bladeState } = state;
  if (!history) return;
  const { lure } = history;
  const belief = beliefOf(state, lure.build);
  const prediction = predictionOf(lure.build, settings.water, retrieveSpeed(settings.retrieve), bladeState, belief);
  writePicture(globalThis.localStorage, pictureOf(lure, prediction, settings));
}
