'use client';

import ChevronDown from 'lucide-react/icons/chevron-down';
import Moon from 'lucide-react/icons/moon';
import Redo from 'lucide-react/icons/redo-2';
import Sun from 'lucide-react/icons/sun';
import Undo from 'lucide-react/icons/undo-2';
import type { ReactNode } from 'react';
import type { UnitSystem } from '@/core/units/write';
import { Button, type ButtonProps } from '@/ui/Button';
import { Places, type PlacesProps } from '@/ui/Places';
import { MyLures } from './menu-looks';

export interface Press {
  readonly title: string;
  /** Null where there is nothing to do. */
  readonly run: (() => void) | null;
}

export interface HeaderRowProps {
  readonly at: PlacesProps['at'];
  readonly lureId: string | null;
  readonly system: UnitSystem;
  readonly isDark: boolean;
  readonly lures: ReactNode;
  readonly name: ReactNode;
  /** What kind it is, and whether it is kept. */
  readonly about?: ReactNode;
  readonly file?: ReactNode;
  readonly undo: Press;
  readonly redo: Press;
  readonly newLure: (() => void) | null;
  readonly changeMeasures: (() => void) | null;
  readonly changeTheme: (() => void) | null;
}

/** The row at the top of the Bench and the Tank; what it cannot do yet stands where it will be. */
export function HeaderRow(props: HeaderRowProps) {
  const { at, lureId, system, isDark, lures, name, about, file, undo, redo, newLure, changeMeasures, changeTheme } =
    props;
  return (
    <header className="flex items-center gap-x-2 border-b border-line bg-panel px-4 py-1 max-sm:gap-x-0.5 max-sm:px-2">
      {at === 'bench' && (
        <button
          type="button"
          className="sr-only focus:not-sr-only focus:absolute focus:z-40 focus:rounded-md focus:bg-accent focus:px-3 focus:py-2 focus:text-on-accent"
          onClick={focusString}
        >
          To the parts
        </button>
      )}
      <div className="max-sm:hidden">
        <Places at={at} lureId={lureId} />
      </div>
      {lures}
      {at === 'bench' && (
        <Act className="max-xl:hidden" run={newLure}>
          New lure
        </Act>
      )}
      <h1 className="min-w-0 max-sm:flex-1">{name}</h1>
      {about}
      <span className="flex-1 max-sm:hidden" />
      <Act aria-label="Undo" title={undo.title} run={undo.run}>
        <Undo aria-hidden size={20} />
      </Act>
      <Act aria-label="Redo" title={redo.title} run={redo.run}>
        <Redo aria-hidden size={20} />
      </Act>
      <Act
        className="max-sm:hidden"
        aria-label={`Measures in ${system === 'metric' ? 'millimetres and grams' : 'inches and ounces'}; press to change`}
        run={changeMeasures}
      >
        <span className="measure whitespace-nowrap">{system === 'metric' ? 'mm · g' : 'in · oz'}</span>
      </Act>
      <Act className="max-sm:hidden" aria-label={isDark ? 'Light for the garage' : 'Dark for dawn'} run={changeTheme}>
        {isDark ? <Sun aria-hidden size={20} /> : <Moon aria-hidden size={20} />}
      </Act>
      {file}
    </header>
  );
}

interface ActProps extends Omit<ButtonProps, 'disabled' | 'onClick'> {
  /** Null while there is nothing to do. */
  readonly run: (() => void) | null;
}

function Act({ run, ...rest }: ActProps) {
  return <Button look="quiet" disabled={run === null} onClick={() => run?.()} {...rest} />;
}

export const NAME_FIELD =
  'min-h-11 w-52 max-w-full rounded-md max-sm:w-full max-sm:px-1 max-sm:text-lg border border-transparent bg-transparent px-2 text-xl font-bold hover:border-line';

/** The picked part on the string, or its first: from there Enter swaps. */
function focusString() {
  document.querySelector<HTMLElement>('[role="listbox"] [role="option"][tabindex="0"]')?.focus();
}

function unpressed(label: string, shown: ReactNode = label) {
  return function Unpressed() {
    return (
      <Button disabled aria-label={label} className="max-sm:!px-2">
        {shown} <ChevronDown aria-hidden size={18} />
      </Button>
    );
  };
}

export const LuresUnpressed = unpressed('My lures', <MyLures />);
export const FileUnpressed = unpressed('File');
