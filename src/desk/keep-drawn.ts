import { writeLastDrawn } from '@/data/last-drawn';
import { useDesk } from './desk-state';

/** What is shown once the page comes again, kept a moment after the last change. */
const KEEP_DRAWN_AFTER_MS = 300;
let keeping: ReturnType<typeof setTimeout> | undefined;
useDesk.subscribe(({ history, settings, isPreview }, before) => {
  if (!history || isPreview || (history === before.history && settings === before.settings)) return;
  clearTimeout(keeping);
  keeping = setTimeout(() => writeLastDrawn(globalThis.localStorage, history.lure, settings), KEEP_DRAWN_AFTER_MS);
});
