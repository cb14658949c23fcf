/** Keys that do the same wherever a lure is open. */
import { useEffect } from 'react';
import { perform } from './open-lure';
import { togglePlaying } from './sound/sound-state';

/** Undo and redo. */
export function useUndoKeys() {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      if (event.target instanceof HTMLInputElement && event.target.type !== 'range') return;
      const key = event.key.toLowerCase();
      const isRedo = key === 'y' || (key === 'z' && event.shiftKey);
      if (!isRedo && key !== 'z') return;
      event.preventDefault();
      perform({ do: isRedo ? 'redo' : 'undo' });
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

/** H plays the lure and stops it, wherever nothing is being typed. */
export function useSoundKey() {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== 'h' || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const { target } = event;
      if (target instanceof HTMLElement && target.closest('input:not([type=range]), textarea, select, [role=listbox]'))
        return;
      togglePlaying();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
