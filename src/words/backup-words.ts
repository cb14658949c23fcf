/** Backups in words: how old, what is in one, how it stands to what is here. */
import { never } from '../core/never';
import type { BackupProblem, Offer, Restored, Standing } from '../data/backup/backups';

const DAY_MS = 86_400_000;
/** From here on the age of the last backup is pointed at. */
const OLD_DAYS = 30;

export function backupAge(lastAt: number | null, now: number): { readonly words: string; readonly isOld: boolean } {
  if (lastAt === null) return { words: 'no backup yet', isOld: true };
  const days = Math.max(0, Math.floor((now - lastAt) / DAY_MS));
  const words = days === 0 ? 'last one today' : days === 1 ? 'last one yesterday' : `last one ${days} days ago`;
  return { words, isOld: days >= OLD_DAYS };
}

export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  new: 'not here',
  same: 'here already, the same',
  later: 'further on than here',
  earlier: 'earlier than here',
  differs: 'differs from here',
};

/** What taking it does. */
export function takingWords({ standing, of }: Offer): string {
  switch (standing) {
    case 'new':
      return 'is added';
    case 'same':
      return 'nothing to do';
    case 'later':
      return 'takes the place of what is here; what cannot be undone to is put away';
    case 'earlier':
      return 'comes beside what is here';
    case 'differs':
      return of === 'settings' ? 'take the place of those here' : 'comes beside what is here';
    default:
      return never(standing, 'takingWords');
  }
}

export function backupProblemWords(problem: BackupProblem): string {
  switch (problem.code) {
    case 'notAZip':
      return 'This is not a zip file. A Mazurka backup ends in .mazurka-backup.zip.';
    case 'notABackup':
      return 'This zip is not a Mazurka backup: it has no mazurka-backup.json at its top.';
    case 'fromTheFuture':
      return `The backup is of version ${problem.version}; this Mazurka reads up to version ${problem.known}. A newer Mazurka will open it.`;
    case 'tooLarge':
      return `The backup is larger than any that Mazurka writes: at most ${Math.round(problem.mostBytes / 1024 ** 3)} GB.`;
    case 'cutShort':
      return 'The zip is damaged or was cut short. Copy it again from where it was kept.';
    default:
      return never(problem, 'backupProblemWords');
  }
}

export function restoredWords({ taken, beside, putAway }: Restored): string {
  const parts = [`${taken} taken in.`];
  if (beside.length > 0) parts.push(`Beside what was here: ${beside.join(', ')}.`);
  if (putAway.length > 0) parts.push(`Put away, in the list of lures: ${putAway.join(', ')}.`);
  return parts.join(' ');
}

/** Bytes to be read: `3.2 MB`. */
export function bytesText(bytes: number): string {
  if (bytes < 1024 ** 2) return `${Math.max(1, Math.round(bytes / 1024))} kB`;
  return bytes < 1024 ** 3 ? `${(bytes / 1024 ** 2).toFixed(1)} MB` : `${(bytes / 1024 ** 3).toFixed(1)} GB`;
}
