'use client';

import Play from 'lucide-react/icons/play';
import Stop from 'lucide-react/icons/square';
import { openSheet } from '@/desk/desk-state';
import { togglePlaying, useSound } from '@/desk/sound/sound-state';
import { Button } from '@/ui/Button';

/** Plays the lure at the present retrieve, and leads to all of its sound. */
export function HearButton() {
  const isPlaying = useSound((state) => state.isPlaying);
  return (
    <div className="flex gap-1">
      <Button aria-keyshortcuts="h" aria-pressed={isPlaying} onClick={togglePlaying}>
        {isPlaying ? <Stop aria-hidden size={18} /> : <Play aria-hidden size={18} />}
        {isPlaying ? 'Stop' : 'Hear it'}
      </Button>
      {isPlaying && <Button onClick={() => openSheet('sound')}>Its sound</Button>}
    </div>
  );
}
