'use client';

import { soundsApart } from '@/core/predict/sounds-apart';
import { RadioRow } from '@/ui/RadioRow';
import { apartWords } from '@/words/sound-words';
import { shownOf } from '../figures/use-core';
import { hearHow, useSound } from './sound-state';

/** Which of the two is heard; the other takes over in the middle of a bar. */
export function WhichIsHeard({ nowName, otherName }: { readonly nowName: string; readonly otherName: string }) {
  const side = useSound((state) => state.side);
  return (
    <RadioRow
      label="Which is heard"
      className="flex flex-wrap gap-1"
      optionClassName="min-h-11 rounded-md border border-line px-3 aria-checked:border-accent aria-checked:bg-accent-soft aria-checked:font-semibold"
      value={side}
      options={[
        { value: 'now', shown: nowName },
        { value: 'other', shown: otherName },
      ]}
      onChange={(value) => hearHow({ side: value })}
    />
  );
}

export interface ApartInSoundProps {
  /** Which of the two the other is told beside, and what it is called. */
  readonly from: 'now' | 'other';
  readonly fromName: string;
  /** Only what is sure. */
  readonly isBrief?: boolean;
}

/** In what one of the two differs from the other, for sure and perhaps. */
export function ApartInSound({ from, fromName, isBrief = false }: ApartInSoundProps) {
  const { now, other, against } = useSound();
  const ofOtherAsked = other && shownOf(other);
  const answers = [now && shownOf(now), ofOtherAsked?.build === against?.build ? ofOtherAsked : null];
  const [ofNow, ofOther] = answers.map((each) => (each && 'heard' in each.prediction ? each.prediction.whole : null));
  if (!ofNow || !ofOther)
    return (
      <p className="text-sm text-ink-soft">
        {answers.every(Boolean) ? 'At this speed nothing can be said of one of them.' : 'Working out the other…'}
      </p>
    );
  const apart = from === 'other' ? soundsApart(ofNow, ofOther) : soundsApart(ofOther, ofNow);
  return (
    <ul className="text-sm" data-testid="apart in sound">
      {apartWords(apart, fromName)
        .slice(0, isBrief ? 1 : undefined)
        .map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
    </ul>
  );
}
