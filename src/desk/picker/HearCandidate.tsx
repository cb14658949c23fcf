'use client';

import Play from 'lucide-react/icons/play';
import Stop from 'lucide-react/icons/square';
import { useEffect } from 'react';
import { placementEdits } from '@/core/fits/placement';
import { applyEdits } from '@/core/lure/edit';
import type { Lure } from '@/core/lure/lure';
import { Button } from '@/ui/Button';
import { partTitle } from '@/words/part-words';
import { forgetCandidate, hearCandidate, useSound } from '../sound/sound-state';
import { ApartInSound, WhichIsHeard } from '../sound/TwoHeard';
import type { Choice } from './use-choices';

/** Plays the lure with this part in it; once more, the lure as it is. Nothing where the part cannot go there. */
export function hearChoice(lure: Lure, { part, placement }: Choice) {
  const put = applyEdits(lure, placementEdits(lure.build, placement, part));
  if (put.ok) hearCandidate({ name: `with ${partTitle(part)}`, build: put.lure.build, candidate: part.id });
}

/** Under the choice: the marked part heard on the lure, against the lure as it is, and in what they differ. */
export function HearCandidate({ lure, choice }: { readonly lure: Lure; readonly choice: Choice | null }) {
  const { isPlaying, against } = useSound();
  useForgetting();
  const heard = isPlaying && against?.candidate !== undefined ? against : null;
  const isMarked = heard !== null && heard.candidate === choice?.part.id;
  return (
    <div className="flex flex-col gap-1" data-testid="hear candidate">
      <div className="flex flex-wrap items-center gap-1.5">
        {choice && !isMarked && (
          <Button aria-keyshortcuts="Alt+H" onClick={() => hearChoice(lure, choice)}>
            <Play aria-hidden size={18} />
            Hear it with {partTitle(choice.part)}
            <kbd className="text-sm text-ink-soft">Alt+H</kbd>
          </Button>
        )}
        {heard && (
          <>
            <WhichIsHeard nowName="as it is" otherName={heard.name} />
            <Button look="quiet" onClick={() => forgetCandidate(false)}>
              <Stop aria-hidden size={18} />
              Stop
            </Button>
          </>
        )}
      </div>
      {heard && <ApartInSound from="now" fromName="the lure as it is" isBrief />}
    </div>
  );
}

/** What is only being chosen is heard no longer than it is; a lure that was heard before goes on. */
function useForgetting() {
  useEffect(() => {
    const { isPlaying } = useSound.getState();
    return () => forgetCandidate(isPlaying);
  }, []);
}
