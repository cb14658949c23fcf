'use client';

import { memo, useEffect, useEffectEvent, useState } from 'react';
import { oneLine } from '@/core/schema';
import type { LureHistory } from '@/core/lure/history';
import { FAMILY_WORDS } from '@/words/family-words';
import { openSheet, tell, useDesk } from '@/desk/desk-state';
import { changeMeasures, changeTheme } from '@/desk/settings';
import { change } from '@/desk/open-lure';
import { FileUnpressed, HeaderRow, LuresUnpressed, NAME_FIELD } from '@/desk/header/HeaderRow';
import { pressFor } from '@/desk/header/press-for';
import { FileMenu, LureMenu } from './later';

export interface BenchHeaderProps {
  readonly history: LureHistory;
  readonly isDark: boolean;
  /** The drawing stands: the rest may load. */
  readonly isReady: boolean;
}

export const BenchHeader = memo(function BenchHeader({ history, isDark, isReady }: BenchHeaderProps) {
  const { lure, past, future } = history;
  const system = useDesk(({ settings }) => settings.system);
  return (
    <HeaderRow
      at="bench"
      lureId={lure.id}
      system={system}
      isDark={isDark}
      lures={isReady ? <LureMenu openId={lure.id} /> : <LuresUnpressed />}
      name={<NameField key={lure.id} name={lure.name} />}
      about={
        <>
          <span className="text-sm whitespace-nowrap text-ink-soft max-xl:hidden">{FAMILY_WORDS[lure.family]}</span>
          {isReady && <SavedState />}
        </>
      }
      file={isReady ? <FileMenu /> : <FileUnpressed />}
      newLure={() => openSheet('new')}
      undo={pressFor('undo', past.at(-1))}
      redo={pressFor('redo', future.at(-1))}
      changeMeasures={changeMeasures}
      changeTheme={() => changeTheme(isDark)}
    />
  );
});

function NameField({ name }: { readonly name: string }) {
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
    <input
      aria-label="Name of the lure"
      className={NAME_FIELD}
      value={typed ?? name}
      maxLength={120}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setTyped(null);
      }}
    />
  );
}

function SavedState() {
  const saving = useDesk((state) => state.saving);
  const words = { saved: 'saved', saving: 'saving…', failed: 'not saved' }[saving.state];
  return (
    <span
      role="status"
      data-testid="saved-state"
      className={`text-sm whitespace-nowrap ${saving.state === 'failed' ? 'font-semibold text-fault' : 'text-ink-soft max-sm:sr-only'}`}
    >
      {words}
    </span>
  );
}
