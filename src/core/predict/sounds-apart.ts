/**
 * Two sounds beside each other: how far apart each figure is, and whether that is more than is not known of the two. Most of
 * what is not known is of both alike; a difference is taken to be sure that is larger than both half widths, taken as
 * squares, which is the wider reading.
 */
import { SOUND_FORMS, SOUND_OUTPUTS, type SoundOutput, type SoundsSaid } from './sound';

export interface Apart {
  readonly output: SoundOutput;
  readonly now: number;
  readonly then: number;
  readonly isSure: boolean;
}

/** What of the two sounds can be said of both, in the order of SOUND_OUTPUTS. */
export function soundsApart(now: SoundsSaid, then: SoundsSaid): Apart[] {
  return SOUND_OUTPUTS.flatMap((output): Apart[] => {
    const [a, b] = [now[output], then[output]];
    if (!a || !b) return [];
    const scale = SOUND_FORMS[output].scale === 'share' ? Math.log : (value: number) => value;
    const [low, high] = a.value < b.value ? [a, b] : [b, a];
    const between = scale(high.value) - scale(low.value);
    const unsure = Math.hypot(scale(low.high) - scale(low.value), scale(high.value) - scale(high.low));
    return [{ output, now: a.value, then: b.value, isSure: between > unsure }];
  });
}
