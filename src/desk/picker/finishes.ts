/** Finishes that a part of one's own may have. */
import type { Finish } from '@/core/parts/kinds/common';

export const FINISHES: readonly Finish[] = [
  { name: 'brass', hex: '#c29a45', sheen: 'metal' },
  { name: 'silver', hex: '#c9ced3', sheen: 'metal' },
  { name: 'gold', hex: '#d6a637', sheen: 'metal' },
  { name: 'copper', hex: '#b8693a', sheen: 'metal' },
  { name: 'black', hex: '#22262a', sheen: 'gloss' },
  { name: 'white', hex: '#f1efe6', sheen: 'gloss' },
  { name: 'orange', hex: '#e5662a', sheen: 'gloss' },
  { name: 'chartreuse', hex: '#cfe23a', sheen: 'gloss' },
  { name: 'red', hex: '#a3182b', sheen: 'gloss' },
];
