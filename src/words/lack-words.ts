/** What a lure cannot do without, and where it goes. */
import { carrierRoom, wireEnd } from '../core/carriers/carrier';
import type { Build } from '../core/lure/lure';
import type { FindingWords } from './bait-words';
import { CARRIER_WORDS } from './carrier-words';

export function lackWords(lacks: 'noTurningBlade' | 'noHook', build: Build): FindingWords {
  if (lacks === 'noHook') return { title: 'No hook', figure: '', why: whereHookGoes(build) };
  switch (build.carrier.kind) {
    case 'body':
      return {
        title: 'No blade on this bait',
        figure: '',
        why: 'Hang a ring in a hanger and a blade on the ring, its hollow to the body.',
      };
    case 'line':
      return { title: 'No blade turns on this line', figure: '', why: 'Thread a clevis and hang a blade on it.' };
    default:
      return { title: 'No blade turns on this wire', figure: '', why: 'Thread a clevis and hang a blade on it.' };
  }
}

function whereHookGoes({ carrier, items }: Build): string {
  const room = carrierRoom(carrier);
  if (room.isLimp) return 'Snell one at the end of the line.';
  if (room.hasEyes) return 'Hang a ring in an eye and a treble on the ring.';
  if (CARRIER_WORDS[carrier.kind].hookIsIn === 'head') {
    return Object.values(items).some(({ part }) => part.kind === 'head')
      ? 'Cast a hook in the head.'
      : 'A hook is cast in a head: put the head on first.';
  }
  return wireEnd(carrier, 'tail').form === 'plain'
    ? 'Form a loop at the tail, hang a ring on it and a hook on the ring.'
    : 'Hang a ring on the tail loop and a hook on the ring.';
}
