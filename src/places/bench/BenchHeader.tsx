'use client';

import { DropdownMenu } from 'radix-ui';
import ChevronDown from 'lucide-react/icons/chevron-down';
import Moon from 'lucide-react/icons/moon';
import Redo from 'lucide-react/icons/redo-2';
import Sun from 'lucide-react/icons/sun';
import Undo from 'lucide-react/icons/undo-2';
import { useRef } from 'react';
import { toast } from 'sonner';
import type { LureHistory } from '@/core/lure/history';
import { LURE_FILE_MAX_BYTES, writeLureFile } from '@/core/lure/lure-file';
import { familyRules } from '@/core/family/families';
import { Button } from '@/ui/Button';
import { lureFileProblemWords } from '@/words/problem-words';
import {
  change,
  changeSettings,
  duplicateLure,
  importLureText,
  openLure,
  perform,
  removeOpenLure,
  startNewLure,
  tell,
  useBench,
} from './bench-store';

const ITEM =
  'flex min-h-11 cursor-pointer items-center rounded px-3 outline-none data-[highlighted]:bg-accent-soft data-[disabled]:opacity-45';
const MENU = 'z-30 min-w-64 rounded-md border border-line bg-panel p-1.5 shadow-lg';

export function BenchHeader({ history, isDark }: { readonly history: LureHistory; readonly isDark: boolean }) {
  const { lure, past, future } = history;
  const { system } = useBench((state) => state.settings);
  return (
    <header className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-line bg-panel px-4 py-1.5">
      <span className="mr-2 text-lg font-extrabold tracking-tight text-accent">Mazurka</span>
      <LureMenu openId={lure.id} />
      <NameField key={`${lure.id} ${lure.name}`} name={lure.name} />
      <span className="text-sm text-ink-soft">{familyRules(lure.family).name}</span>
      <SavedState />
      <span className="flex-1" />
      <Button
        look="quiet"
        aria-label="Undo"
        title={past.length > 0 ? `Undo: ${past.at(-1)?.code ?? ''}` : 'Nothing to undo'}
        disabled={past.length === 0}
        onClick={() => perform({ do: 'undo' })}
      >
        <Undo aria-hidden size={20} />
      </Button>
      <Button
        look="quiet"
        aria-label="Redo"
        title={future.length > 0 ? `Redo: ${future.at(-1)?.code ?? ''}` : 'Nothing to redo'}
        disabled={future.length === 0}
        onClick={() => perform({ do: 'redo' })}
      >
        <Redo aria-hidden size={20} />
      </Button>
      <Button
        look="quiet"
        aria-label={`Measures in ${system === 'metric' ? 'millimetres and grams' : 'inches and ounces'}; press to change`}
        onClick={() => changeSettings({ system: system === 'metric' ? 'trade' : 'metric' })}
      >
        <span className="measure">{system === 'metric' ? 'mm · g' : 'in · oz'}</span>
      </Button>
      <Button
        look="quiet"
        aria-label={isDark ? 'Light for the garage' : 'Dark for dawn'}
        onClick={() => changeSettings({ theme: isDark ? 'light' : 'dark' })}
      >
        {isDark ? <Sun aria-hidden size={20} /> : <Moon aria-hidden size={20} />}
      </Button>
      <FileMenu history={history} />
    </header>
  );
}

function NameField({ name }: { readonly name: string }) {
  return (
    <h1 className="min-w-0">
      <input
        aria-label="Name of the lure"
        className="min-h-11 w-52 max-w-full rounded-md border border-transparent bg-transparent px-2 text-xl font-bold hover:border-line"
        defaultValue={name}
        maxLength={120}
        onBlur={(event) => {
          const next = event.target.value.trim();
          if (next === '') event.target.value = name;
          else if (next !== name) change('rename', [{ kind: 'rename', name: next }]);
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </h1>
  );
}

function SavedState() {
  const saving = useBench((state) => state.saving);
  const words = { saved: 'saved', saving: 'saving…', failed: 'not saved' }[saving.state];
  return (
    <span
      role="status"
      data-testid="saved-state"
      className={`text-sm ${saving.state === 'failed' ? 'font-semibold text-fault' : 'text-ink-soft'}`}
    >
      {words}
    </span>
  );
}

function LureMenu({ openId }: { readonly openId: string }) {
  const lures = useBench((state) => state.lures);
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button aria-label="Lures">
          Lures <ChevronDown aria-hidden size={18} />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" sideOffset={4} className={`${MENU} max-h-[70vh] overflow-y-auto`}>
          {lures.map((lure) => (
            <DropdownMenu.Item key={lure.id} className={ITEM} onSelect={() => void openLure(lure.id)}>
              <span className={lure.id === openId ? 'font-semibold' : ''}>{lure.name}</span>
              <span className="ml-auto pl-6 text-sm text-ink-soft">{lure.made ? 'made' : 'design'}</span>
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={ITEM} onSelect={() => void startNewLure()}>
            Start a new inline spinner
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function FileMenu({ history }: { readonly history: LureHistory }) {
  const input = useRef<HTMLInputElement>(null);
  const remove = async () => {
    const { name } = history.lure;
    const putBack = await removeOpenLure();
    if (putBack) toast(`${name} was put away.`, { action: { label: 'Put it back', onClick: () => void putBack() } });
  };
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <Button>
            File <ChevronDown aria-hidden size={18} />
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" sideOffset={4} className={MENU}>
            <DropdownMenu.Item className={ITEM} onSelect={() => exportLure(history)}>
              Export this lure
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => input.current?.click()}>
              Import a lure
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void duplicateLure()}>
              Start from a copy of this one
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-line" />
            <DropdownMenu.Item className={ITEM} onSelect={() => void remove()}>
              Put this lure away
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
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
}

export function exportLure({ lure }: LureHistory) {
  const url = URL.createObjectURL(new Blob([writeLureFile(lure)], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${lure.id}.mazurka.json`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

async function importFile(file: File) {
  if (file.size > LURE_FILE_MAX_BYTES) {
    const problem = { code: 'tooLarge', bytes: file.size, maxBytes: LURE_FILE_MAX_BYTES } as const;
    tell('trouble', `Not imported, and nothing here was changed. ${lureFileProblemWords(problem)}`);
    return;
  }
  await importLureText(await file.text());
}
