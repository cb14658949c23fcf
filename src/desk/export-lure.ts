import { writeLureFile } from '@/core/files/lure-file';
import { saveFile } from '@/ui/save-file';
import { useDesk } from './desk-state';

/** The lure on the bench as a file, as it stands there; nothing while none is open. */
export function exportOpenLure() {
  const lure = useDesk.getState().history?.lure;
  if (lure) saveFile(`${lure.id}.mazurka.json`, writeLureFile(lure), 'application/json');
}
