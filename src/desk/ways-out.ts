/** Ways out of a room that failed, on the page where a lure is open. */
import type { WayOut } from '@/ui/Boundary';
import { useDesk } from './desk-state';
import { exportOpenLure } from './export-lure';
import { openAnother, perform } from './open-lure';

/** Back to the lure as it was. */
export const UNDO_WAYS: readonly WayOut[] = [
  {
    label: 'Undo the last change',
    run: () => {
      useDesk.setState({ draft: null });
      perform({ do: 'undo' });
    },
  },
];

/** Out of a page that failed as a whole: keep the lure as a file, or go to another. */
export const PAGE_WAYS: readonly WayOut[] = [
  ...UNDO_WAYS,
  { label: 'Export this lure', run: exportOpenLure },
  { label: 'Another lure', run: () => void openAnother() },
];
