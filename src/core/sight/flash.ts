/**
 * What a turning blade flashes: the bright area it shows, times its turns a second. Each face comes round to the eye once
 * a turn. How bright a face is: by its sheen, and by how light its colour is. Trade estimates; what of it is seen through
 * the water is another question.
 */
import { bladeArea } from '../parts/blade-area';
import type { Finish } from '../parts/kinds/common';
import type { Part } from '../parts/part';

/** Of the light on it, what a polished, a glossy, a dull and a clear face throw to one side at once. */
const SHEEN: Readonly<Record<Finish['sheen'], number>> = { metal: 1, gloss: 0.55, matte: 0.25, clear: 0.12 };
/** What even a black face of this sheen throws, of what a white one does. */
const BLACK_SHARE = 0.25;

/** 0…1 */
export function brightness({ hex, sheen }: Pick<Finish, 'hex' | 'sheen'>): number {
  return SHEEN[sheen] * (BLACK_SHARE + (1 - BLACK_SHARE) * lightness(hex));
}

/** Relative luminance of an sRGB colour, 0…1 (IEC 61966-2-1). */
function lightness(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Bright area of its outside and of its hollow, m²; film and delta blades show both faces alike. Null of what does not turn. */
export function brightM2(part: Part): { readonly front: number; readonly back: number } | null {
  switch (part.kind) {
    case 'blade':
      return { front: bladeArea(part) * brightness(part.finish), back: bladeArea(part) * brightness(part.backFinish) };
    case 'filmBlade':
    case 'deltaBlade': {
      const each = bladeArea(part) * brightness(part.finish);
      return { front: each, back: each };
    }
    default:
      return null;
  }
}
