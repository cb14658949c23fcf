'use client';

import Moon from 'lucide-react/icons/moon';
import Redo from 'lucide-react/icons/redo-2';
import Sun from 'lucide-react/icons/sun';
import Undo from 'lucide-react/icons/undo-2';
import { useEffect, useEffectEvent, useState } from 'react';
import { oneLine } from '@/core/schema';
import type { LureHistory } from '@/core/lure/history';
import { Button } from '@/ui/Button';
import { changeWords } from '@/words/change-words';
import { FAMILY_WORDS } from '@/words/family-words';
import { tell, useDesk } from '@/desk/desk-state';
import { changeSettings } from '@/desk/settings';
import { change, perform } from '@/desk/open-lure';
import { FileMenu, FileUnpressed, LureMenu, LuresUnpressed } from './later';

export interface BenchHeaderProps {
  readonly history: LureHistory;
  readonly isDark: boolean;
  /** The drawing stands and storage is open: the rest may load. */
  readonly isReady: boolean;
}

export function BenchHeader({ history, isDark, isReady }: BenchHeaderProps) {
  const { lure, past, future } = history;
  const { system } = useDesk((state) => state.settings);
  return (
    <header className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-line bg-panel px-4 py-1.5">
      <span className="mr-2 text-lg font-extrabold tracking-tight text-accent">Mazurka</span>
      {isReady ? <LureMenu openId={lure.id} /> : <LuresUnpressed />}
      <NameField key={lure.id} name={lure.name} isReady={isReady} />
      <span className="text-sm text-ink-soft">{FAMILY_WORDS[lure.family]}</span>
      {isReady && <SavedState />}
      <span className="flex-1" />
      <Button
        look="quiet"
        aria-label="Undo"
        title={past.length > 0 ? `Undo: ${changeWords(past.at(-1)?.code ?? '')}` : 'Nothing to undo'}
        disabled={past.length === 0}
        onClick={() => perform({ do: 'undo' })}
      >
        <Undo aria-hidden size={20} />
      </Button>
      <Button
        look="quiet"
        aria-label="Redo"
        title={future.length > 0 ? `Redo: ${changeWords(future.at(-1)?.code ?? '')}` : 'Nothing to redo'}
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
      {isReady ? <FileMenu /> : <FileUnpressed />}
    </header>
  );
}

function NameField({ name, isReady }: { readonly name: string; readonly isReady: boolean }) {
  const [typed, setTyped] = useState<string | null>(null);
  const isTyping = typed !== null;
  const onOtherName = useEffectEvent(() => {
    if (isTyping)
      tell('news', `Another tab named this lure “${name}”. What you are typing stays, and is taken on Enter.`);
  });
  useEffect(() => {
    onOtherName();
  }, [name]);
  const commit = () => {
    const next = typed === null ? '' : oneLine(typed);
    setTyped(null);
    if (next !== '' && next !== name) change('rename', [{ kind: 'rename', name: next }]);
  };
  return (
    <h1 className="min-w-0">
      <input
        aria-label="Name of the lure"
        className="min-h-11 w-52 max-w-full rounded-md border border-transparent bg-transparent px-2 text-xl font-bold hover:border-line"
        value={typed ?? name}
        maxLength={120}
        readOnly={!isReady}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
    </h1>
  );
}

function SavedState() {
  const saving = useDesk((state) => state.saving);
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
