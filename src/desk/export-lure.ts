import type { LureHistory } from '@/core/lure/history';
import { writeLureFile } from '@/core/files/lure-file';
import { saveFile } from '@/ui/save-file';

export function exportLure({ lure }: LureHistory) {
  saveFile(`${lure.id}.mazurka.json`, writeLureFile(lure), 'application/json');
}
