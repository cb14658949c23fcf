'use client';

import { carrierRoom } from '@/core/carriers/carrier';
import { DropdownMenu } from 'radix-ui';
import ChevronDown from 'lucide-react/icons/chevron-down';
import { memo, useEffect, useRef, useState } from 'react';
import { LURE_FILE_MAX_BYTES } from '@/core/files/lure-file';
import { Button } from '@/ui/Button';
import { backupAge } from '@/words/backup-words';
import { lureFileProblemWords } from '@/words/problem-words';
import { exportOpenLure } from '@/desk/export-lure';
import { openSheet, tell, useDesk } from '@/desk/desk-state';
import { duplicateLure, importLureText, removeOpenLure } from '@/desk/shelf';
import { MENU, MENU_ITEM } from '@/desk/header/menu-looks';
import { changeMeasures, changeTheme } from '@/desk/settings';
import { openStores } from '@/desk/stores';
import { useDark } from '@/ui/use-dark';

export const FileMenu = memo(function FileMenu() {
  const input = useRef<HTMLInputElement>(null);
  // Line is not bent.
  const isLimp = useDesk(({ history }) => history !== null && carrierRoom(history.lure.build.carrier).isLimp);
  return (
    <>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger asChild>
          <Button className="max-sm:!px-2">
            File <ChevronDown aria-hidden size={18} />
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Content align="end" sideOffset={4} className={MENU}>
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openBuildSheet()}>
            Build sheet, to print
          </DropdownMenu.Item>
          {!isLimp && (
            <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openBuildSheet('template')}>
              Bending template, true size
            </DropdownMenu.Item>
          )}
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={MENU_ITEM} onSelect={exportOpenLure}>
            Export this lure
          </DropdownMenu.Item>
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => input.current?.click()}>
            Import a lure
          </DropdownMenu.Item>
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => void duplicateLure()}>
            Start from a copy of this one
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openSheet('parts')}>
            Your own parts
          </DropdownMenu.Item>
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openSheet('rules')}>
            Your rules about hooks and blades
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => openSheet('backup')}>
            Backup and restore
            <BackupAge />
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => void removeOpenLure()}>
            Put this lure away
          </DropdownMenu.Item>
          <OnSmallScreens />
        </DropdownMenu.Content>
      </DropdownMenu.Root>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Lure file to import"
        className="hidden"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) void importFile(file);
        }}
      />
    </>
  );
});

/** What stands in the row of menus where that is wide enough. */
function OnSmallScreens() {
  const { system, theme } = useDesk((state) => state.settings);
  const isDark = useDark(theme);
  return (
    <div className="sm:hidden">
      <DropdownMenu.Separator className="my-1 h-px bg-line" />
      <DropdownMenu.Item className={MENU_ITEM} onSelect={changeMeasures}>
        {system === 'metric' ? 'Inches and ounces' : 'Millimetres and grams'}
      </DropdownMenu.Item>
      <DropdownMenu.Item className={MENU_ITEM} onSelect={() => changeTheme(isDark)}>
        {isDark ? 'Light for the garage' : 'Dark for dawn'}
      </DropdownMenu.Item>
    </div>
  );
}

/** How old the last backup is: quiet, and looked up only when the menu is open. */
function BackupAge() {
  const [age, setAge] = useState<ReturnType<typeof backupAge> | null>(null);
  useEffect(() => {
    let isHere = true;
    void openStores()
      .then((stores) => stores.lastBackup())
      .then((at) => isHere && setAge(backupAge(at, Date.now())));
    return () => {
      isHere = false;
    };
  }, []);
  if (!age) return null;
  return (
    <span className={`ml-auto pl-4 text-sm ${age.isOld ? 'text-caution' : 'text-ink-soft'}`}>
      {age.isOld ? '⚠ ' : ''}
      {age.words}
    </span>
  );
}

/** In a tab of its own: the bench stays as it is. */
function openBuildSheet(show: 'sheet' | 'template' = 'sheet') {
  const id = useDesk.getState().history?.lure.id;
  if (id) window.open(`/sheet?lure=${id}${show === 'template' ? '&show=template' : ''}`, '_blank', 'noopener');
}

async function importFile(file: File) {
  if (file.size > LURE_FILE_MAX_BYTES) {
    const problem = { code: 'tooLarge', bytes: file.size, maxBytes: LURE_FILE_MAX_BYTES } as const;
    tell('trouble', `Not imported, and nothing here was changed. ${lureFileProblemWords(problem)}`);
    return;
  }
  await importLureText(await file.text());
}
