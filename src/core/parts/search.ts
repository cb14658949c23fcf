/**
 * Finding parts by what people type: `#3 colorado copper`, `5mm glass`, `.035`, `2/0`, `1/4 oz`.
 * Words match the start of a word of the part; a size matches the label, a length or a mass what the part measures.
 */
import { readQuantity } from '../units/read';
import { MATERIALS } from './material';
import { roomOf, type Part } from './part';

/** A part with what can be asked of it, made once per part. */
export interface Searchable {
  readonly part: Part;
  /** Words of the part in lower case, a space before each: ` colorado blade kestrand …`. */
  readonly words: string;
  readonly label: string;
  readonly lengthsM: readonly number[];
}

export type Query = readonly (
  | { readonly ask: 'word'; readonly text: string }
  | { readonly ask: 'label'; readonly text: string }
  | { readonly ask: 'length'; readonly si: number; readonly withinM: number; readonly text: string }
  | { readonly ask: 'mass'; readonly si: number; readonly text: string }
)[];

/** What stands between the words of a name, and of what is typed. */
const BETWEEN_WORDS = /[^\p{L}\p{N}.:⁄/½¼¾]+/u;

/** A mass as typed is taken for any within this share of it. */
const MASS_WITHIN = 0.06;

/** A part as the search sees it. */
export function searchable(part: Part): Searchable {
  const words = [
    part.name,
    part.id,
    part.kind,
    part.maker,
    part.material,
    MATERIALS[part.material].name,
    part.finish.name,
    ...roomOf(part).words(part),
  ];
  const plain = foldText(words.join(' ')).split(BETWEEN_WORDS);
  return {
    part,
    words: ` ${plain.filter(Boolean).join(' ')}`,
    label: labelKey(part.label ?? ''),
    lengthsM: roomOf(part).telling(part),
  };
}

/** What was typed, taken apart. `3 mm`, `1/4 oz` and `#3 ½` are read as one. Never throws on text. */
export function readQuery(text: string): Query {
  const joined = foldText(text)
    .replace(/(\d|[½¼¾])\s+(mm|cm|in|inch|inches|"|g|oz|gr)(?=\s|$)/g, '$1$2')
    .replace(/(#|\bno\.?|\bsize)\s+(?=[\d½])/g, '#')
    .replace(/(#\d+)\s+(½|1\/2)(?=\s|$)/g, '$1½');
  return joined
    .split(/[\s,-]+/)
    .filter((token) => /[\p{L}\p{N}]/u.test(token))
    .flatMap((token): Query[number][] => {
      if (/^#/.test(token) || /^\d{1,2}\/0$/.test(token)) return [{ ask: 'label', text: labelKey(token) }];
      const isMeasure = /^[\d.½¼¾⁄/]+(mm|cm|in|inch|inches|"|g|oz|gr)$/.test(token) || /^\.\d+$/.test(token);
      const asWords = () =>
        token
          .split(BETWEEN_WORDS)
          .filter(Boolean)
          .map((text) => ({ ask: 'word', text }) as const);
      if (!isMeasure) return asWords();
      const length = readQuantity('length', token, { bare: 'in' });
      if (length.ok) {
        return [{ ask: 'length', si: length.si, withinM: halfLastDigit(token, length.si), text: token }];
      }
      const mass = readQuantity('mass', token, { bare: 'g' });
      return mass.ok ? [{ ask: 'mass', si: mass.si, text: token }] : asWords();
    });
}

/** Whether a part is what was typed: every word of it, and a length within its tolerance. */
export function matches(query: Query, { words, label, lengthsM, part }: Searchable): boolean {
  return query.every((each) => {
    switch (each.ask) {
      case 'word':
        return words.includes(` ${each.text}`) || label === labelKey(each.text);
      case 'label':
        return label === each.text;
      case 'length':
        return lengthsM.some((lengthM) => Math.abs(lengthM - each.si) <= each.withinM) || label === labelKey(each.text);
      case 'mass':
        return Math.abs(part.massKg - each.si) <= MASS_WITHIN * each.si || label === labelKey(each.text);
    }
  });
}

/** How far a measure may lie from the one typed: what rounds to it at the digits written. */
function halfLastDigit(token: string, si: number): number {
  const digits = /\.(\d+)/.exec(token)?.[1]?.length ?? 0;
  const unitM = token.endsWith('mm') ? 0.001 : token.endsWith('cm') ? 0.01 : 0.0254;
  const isFraction = /[½¼¾⁄/]/.test(token);
  const half = isFraction ? 0.01 * si : (0.5 * unitM) / 10 ** digits;
  // A bare `5mm` is a nominal size: half a millimetre either way would let its neighbours in.
  return Math.max(Math.min(half, digits === 0 ? 0.06 * si : half), 0.00002);
}

/** `#3½`, `3 1/2`, `No. 3½` as one key; trade labels compare by it. */
function labelKey(label: string): string {
  return foldText(label)
    .replace(/^(#|no\.?|size)\s*/, '')
    .replace(/\s+oz$/, 'oz')
    .replace(/\s*1\/2$/, '½')
    .replace(/\s+/g, '');
}

function foldText(text: string): string {
  return text.normalize('NFC').toLowerCase().replace(/[″”]/g, '"').trim();
}
