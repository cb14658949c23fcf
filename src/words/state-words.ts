/** What was done to a piece, in a few words; empty when nothing was. */
import { never } from '../core/never';
import type { ItemState } from '../core/parts/part';
import type { RivetFixing } from '../core/parts/kinds/rivet';
import type { SwivelCondition } from '../core/parts/kinds/swivel';
import { degrees } from './angle-words';

export const CONDITION_WORDS: Readonly<Record<SwivelCondition, string>> = {
  free: 'turns freely',
  gritty: 'gritty',
  rusty: 'rusty',
};
export const FIXING_WORDS: Readonly<Record<RivetFixing, string>> = {
  free: 'free to spin',
  crimped: 'crimped on the wire',
  upset: 'crimped, upset and filed',
};

export function stateWords(state: ItemState | null): string {
  switch (state?.of) {
    case undefined:
      return '';
    case 'film':
      return state.foldRad > 0 ? `folded ${degrees(state.foldRad)}` : '';
    case 'hook':
      return state.pinched ? 'barb pinched' : '';
    case 'tube':
      return '';
    case 'swivel':
      return state.condition === 'free' ? '' : CONDITION_WORDS[state.condition];
    case 'skirt':
      return state.tips === 'thinned' ? 'tips thinned' : '';
    case 'trailer':
      return [state.cutM > 0 ? 'cut short' : '', state.rounded ? 'rounded' : ''].filter(Boolean).join(', ');
    case 'rivet':
      return state.fixing === 'free' ? '' : FIXING_WORDS[state.fixing];
    case 'sleeve':
      return state.slidUp ? 'slid up over the end' : '';
    case 'deltaBlade':
      return state.clacks ? 'ticks on the head' : '';
    case 'lock':
      return `${state.turns} ${state.turns === 1 ? 'turn' : 'turns'}`;
    default:
      return never(state, 'stateWords');
  }
}
