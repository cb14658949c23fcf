/** Parts that differ in nothing that the water or the ear could tell: other makers' of the same measures. */
import { brightness } from '../sight/flash';
import type { Finish } from '../parts/kinds/common';
import type { Part } from '../parts/part';

/** Measures nearer than this are taken for the same, masses too. Trade estimate: what two of one batch differ by. */
const SAME_SHARE = 0.02;
const SAME_BRIGHTNESS = 0.1;

/** What only names a part. */
const NAMES: ReadonlySet<string> = new Set(['id', 'name', 'maker', 'label']);

export function areTwins(a: Part, b: Part): boolean {
  return a.kind === b.kind && isAlike(a, b);
}

function isAlike(a: unknown, b: unknown): boolean {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= SAME_SHARE * Math.max(Math.abs(a), Math.abs(b));
  if (!isRecord(a) || !isRecord(b)) return a === b;
  const [finishA, finishB] = [finishOf(a), finishOf(b)];
  if (finishA && finishB) return Math.abs(brightness(finishA) - brightness(finishB)) <= SAME_BRIGHTNESS;
  const [keys, others] = [a, b].map((each) => Object.keys(each).filter((key) => !NAMES.has(key)));
  return keys?.length === others?.length && (keys ?? []).every((key) => isAlike(a[key], b[key]));
}

function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null;
}

function finishOf(value: object): Finish | null {
  return 'hex' in value && 'sheen' in value ? (value as Finish) : null;
}

/** Each of these once, with those like it behind it. */
export function withTwins(parts: readonly Part[]): { readonly part: Part; readonly twins: readonly Part[] }[] {
  const groups: { readonly part: Part; readonly twins: Part[] }[] = [];
  for (const part of parts) {
    const known = groups.find((each) => areTwins(each.part, part));
    if (known) known.twins.push(part);
    else groups.push({ part, twins: [] });
  }
  return groups;
}
