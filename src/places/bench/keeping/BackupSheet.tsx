'use client';

import { useEffect, useRef, useState } from 'react';
import {
  isOffered,
  makeBackup,
  backupSaved,
  offersOf,
  putSettingsBack,
  readBackup,
  storageState,
  takeIn,
  type BackupContents,
  type Offer,
  type Progress,
  type StorageState,
} from '@/data/backup/backups';
import { Button } from '@/ui/Button';
import { saveFile } from '@/ui/save-file';
import { Sheet } from '@/ui/Sheet';
import { isoDay, today } from '@/ui/today';
import {
  backupAge,
  backupProblemWords,
  bytesText,
  restoredWords,
  STANDING_WORDS,
  takingWords,
} from '@/words/backup-words';
import { PERSISTENCE_WORDS, storageFailureWords } from '@/words/storage-words';
import { tell } from '@/desk/desk-state';
import { isSafe, refreshList } from '@/desk/open-lure';

/** What the app itself put in carries no day. */
const EARLIEST_OWN = Date.UTC(2020, 0, 1);

type Work =
  | { readonly state: 'idle' }
  | { readonly state: 'working'; readonly what: string; readonly progress: Progress | null }
  | { readonly state: 'failed'; readonly words: string };

interface Found {
  readonly name: string;
  readonly contents: BackupContents;
  readonly offers: readonly Offer[];
  readonly unreadable: readonly { readonly file: string; readonly message: string }[];
}

/** Everything this browser holds, out into one file and in again. */
export function BackupSheet({ onClose }: { readonly onClose: () => void }) {
  const [work, setWork] = useState<Work>({ state: 'idle' });
  const [found, setFound] = useState<Found | null>(null);
  const [known, setKnown] = useState<StorageState | null>(null);
  const [now] = useState(() => Date.now());
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    void storageState().then(setKnown);
  }, []);
  const isWorking = work.state === 'working';
  const onProgress = (what: string) => (progress: Progress) => setWork({ state: 'working', what, progress });
  const fail = (words: string) => setWork({ state: 'failed', words });

  const save = async () => {
    if (!(await isSafe())) return;
    setWork({ state: 'working', what: 'Writing', progress: null });
    const made = await makeBackup(Date.now(), onProgress('Writing'));
    if (!made.ok) return fail(storageFailureWords(made.failure));
    saveFile(`${today()}.mazurka-backup.zip`, made.value, 'application/zip');
    await backupSaved(Date.now());
    setKnown(await storageState());
    setWork({ state: 'idle' });
  };
  const look = async (file: File) => {
    setFound(null);
    setWork({ state: 'working', what: 'Reading', progress: null });
    const read = await readBackup(file, onProgress('Reading'));
    if (!read.ok) return fail(`${backupProblemWords(read.problem)} Nothing here was changed.`);
    const offers = await offersOf(read.contents);
    if (!offers.ok) return fail(storageFailureWords(offers.failure));
    setFound({ name: file.name, contents: read.contents, offers: offers.value, unreadable: read.unreadable });
    setWork({ state: 'idle' });
  };
  const take = async (chosen: ReadonlySet<string>) => {
    if (!found || !(await isSafe())) return;
    setWork({ state: 'working', what: 'Taking in', progress: null });
    const restored = await takeIn(found.contents, chosen, Date.now());
    if (!restored.ok) return fail(`${storageFailureWords(restored.failure)} Nothing was taken in.`);
    const { settingsBefore } = restored.value;
    tell(
      'news',
      restoredWords(restored.value),
      settingsBefore ? { label: 'Old settings back', run: () => void putSettingsBack(settingsBefore) } : null,
    );
    await refreshList();
    setWork({ state: 'idle' });
    setFound(null);
    onClose();
  };

  return (
    <Sheet
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title="Backup and restore"
      description="All lures with what was done to them, work and its pictures, your parts, rules and settings, in one zip of open files."
    >
      <div className="-m-1 flex min-h-0 flex-1 flex-col gap-5 overflow-y-auto p-1">
        <section aria-label="Save a backup" className="flex flex-col items-start gap-2">
          <div className="flex flex-wrap items-center gap-3">
            {/* Not disabled while it works: that would take the focus away from it. */}
            <Button look="main" data-focus-first aria-disabled={isWorking} onClick={() => !isWorking && void save()}>
              Save a backup
            </Button>
            <span className="text-ink-soft">{known ? backupAge(known.lastAt, now).words : ''}</span>
          </div>
          {known && (
            <p className="text-sm text-ink-soft">
              {PERSISTENCE_WORDS[known.persistence]}
              {known.usedBytes !== null && ` ${bytesText(known.usedBytes)} in use`}
              {known.usedBytes !== null && known.mostBytes !== null && ` of ${bytesText(known.mostBytes)} allowed`}
              {known.usedBytes !== null && '.'}
            </p>
          )}
        </section>
        <section aria-label="Restore" className="flex flex-col items-start gap-2 border-t border-line pt-4">
          <Button aria-disabled={isWorking} onClick={() => !isWorking && input.current?.click()}>
            Open a backup
          </Button>
          <p className="text-sm text-ink-soft">You see what is in it and how it differs before anything is taken in.</p>
          <input
            ref={input}
            type="file"
            accept=".zip,application/zip"
            aria-label="Backup to open"
            className="hidden"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              event.target.value = '';
              if (file) void look(file);
            }}
          />
          <WorkShown work={work} />
          {found && <Offers key={found.name} found={found} onTake={(chosen) => void take(chosen)} />}
        </section>
      </div>
    </Sheet>
  );
}

function WorkShown({ work }: { readonly work: Work }) {
  if (work.state === 'idle') return null;
  if (work.state === 'failed') {
    return (
      <p role="alert" className="rounded-md bg-fault-soft p-2">
        {work.words}
      </p>
    );
  }
  const { what, progress } = work;
  const share = progress && progress.of > 0 ? progress.done / progress.of : 0;
  return (
    <div className="flex w-full items-center gap-3">
      <progress aria-label={what} className="h-3 flex-1" value={share} max={1} />
      <span role="status" className="measure w-32 text-right">
        {what} {Math.round(share * 100)} %
      </span>
    </div>
  );
}

/** What is in a backup, each with how it stands to what is here; only what is ticked is taken. */
function Offers({ found, onTake }: { readonly found: Found; readonly onTake: (chosen: ReadonlySet<string>) => void }) {
  const { offers, unreadable, contents } = found;
  const different = offers.filter(({ standing }) => standing !== 'same');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () => new Set(offers.filter(isOffered).map(({ key }) => key)),
  );
  const toggle = (key: string) => {
    const next = new Set(chosen);
    if (!next.delete(key)) next.add(key);
    setChosen(next);
  };
  const same = offers.length - different.length;
  return (
    <div className="flex w-full flex-col gap-3">
      <p>
        <span className="font-semibold">{found.name}</span>, made on{' '}
        <span className="measure">{contents.madeAt.slice(0, 10)}</span>
        {same > 0 && `. ${same} of ${offers.length} are here already, the same.`}
      </p>
      {unreadable.length > 0 && (
        <p role="alert" className="rounded-md bg-caution-soft p-2 text-sm">
          {unreadable.length} {unreadable.length === 1 ? 'file' : 'files'} in it cannot be read and{' '}
          {unreadable.length === 1 ? 'is' : 'are'} left out:{' '}
          {unreadable
            .slice(0, 3)
            .map(({ file }) => file)
            .join(', ')}
          {unreadable.length > 3 ? ' …' : ''}.
        </p>
      )}
      <ul className="flex flex-col" aria-label="In the backup">
        {different.map((offer) => (
          <li key={offer.key} className="border-t border-line">
            <label className="flex min-h-11 items-center gap-3 py-1.5">
              <input
                type="checkbox"
                className="size-6 accent-accent"
                checked={chosen.has(offer.key)}
                onChange={() => toggle(offer.key)}
              />
              <span className="flex min-w-0 flex-1 flex-col">
                <span className="font-semibold break-words">{offer.name}</span>
                <span className="text-sm text-ink-soft">
                  {STANDING_WORDS[offer.standing]}: {takingWords(offer)}
                </span>
              </span>
              {offer.changedAt !== null && offer.changedAt > EARLIEST_OWN && (
                <span className="measure text-sm text-ink-soft">{isoDay(offer.changedAt)}</span>
              )}
            </label>
          </li>
        ))}
      </ul>
      {different.length === 0 ? (
        <p role="status">Everything in it is here already, the same.</p>
      ) : (
        <Button look="main" className="self-start" disabled={chosen.size === 0} onClick={() => onTake(chosen)}>
          Take in {chosen.size} of {different.length}
        </Button>
      )}
    </div>
  );
}
