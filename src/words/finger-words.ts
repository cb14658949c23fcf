/** Lengths in thumbs, joints and spread hands. */
import type { Finger, InFingers } from '../core/units/finger-spans';

export const FINGER_WORDS: Readonly<
  Record<Finger, { readonly one: string; readonly many: string; readonly how: string }>
> = {
  thumb: { one: 'thumb', many: 'thumbs', how: 'Width of your thumb at its nail' },
  joint: { one: 'joint', many: 'joints', how: 'Tip of your forefinger to its first crease' },
  span: { one: 'hand', many: 'hands', how: 'Thumb to little finger, spread' },
};

const QUARTERS = ['', '¼', '½', '¾'] as const;

/** `2¼ thumbs`. */
export function fingerWords({ finger, quarters }: InFingers): string {
  const whole = Math.floor(quarters / 4);
  const count = `${whole === 0 ? '' : whole}${QUARTERS[quarters % 4] ?? ''}`;
  const { one, many } = FINGER_WORDS[finger];
  return `${count} ${quarters <= 4 ? one : many}`;
}
