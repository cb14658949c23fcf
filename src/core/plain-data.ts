/**
 * A first look at data from outside before anything is done with it: how deep it goes, how much there is, and no key that
 * JavaScript gives a meaning of its own. Walks without recursion, so that no depth can overflow the stack.
 */
const DEEPEST_DATA = 60;
const MOST_VALUES = 2_000_000;

export type PlainDataProblem =
  | { readonly code: 'tooDeep'; readonly most: number }
  | { readonly code: 'tooMany'; readonly most: number }
  | { readonly code: 'forbiddenKey'; readonly key: string };

/** The first thing wrong with the shape of `data`, or null. */
export function plainDataProblem(data: unknown): PlainDataProblem | null {
  const open: { readonly value: unknown; readonly depth: number }[] = [{ value: data, depth: 0 }];
  for (let seen = 0; open.length > 0; seen++) {
    const { value, depth } = open.pop() ?? { value: null, depth: 0 };
    if (typeof value !== 'object' || value === null) continue;
    if (depth > DEEPEST_DATA) return { code: 'tooDeep', most: DEEPEST_DATA };
    if (seen > MOST_VALUES) return { code: 'tooMany', most: MOST_VALUES };
    if (!Array.isArray(value) && Object.hasOwn(value, '__proto__')) return { code: 'forbiddenKey', key: '__proto__' };
    for (const inner of Object.values(value)) open.push({ value: inner, depth: depth + 1 });
  }
  return null;
}

/** The first field that a schema finds wrong. */
export function faultyField([issue]: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[]) {
  return {
    code: 'faultyField',
    path: issue ? issue.path.map(String).join('.') : '',
    message: issue?.message ?? 'not readable',
  } as const;
}

export type PlainJsonProblem =
  | { readonly code: 'tooLarge'; readonly bytes: number; readonly maxBytes: number }
  | { readonly code: 'notJson'; readonly message: string }
  | PlainDataProblem;

/** Text from outside as data whose shape can be trusted, or the first thing wrong with it. Its fields are not looked at. */
export function readPlainJson(
  text: string,
  bytes: number,
  maxBytes: number,
): { readonly ok: true; readonly raw: unknown } | { readonly ok: false; readonly problem: PlainJsonProblem } {
  if (bytes > maxBytes) return { ok: false, problem: { code: 'tooLarge', bytes, maxBytes } };
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return { ok: false, problem: { code: 'notJson', message: error instanceof Error ? error.message : String(error) } };
  }
  const problem = plainDataProblem(raw);
  return problem ? { ok: false, problem } : { ok: true, raw };
}
