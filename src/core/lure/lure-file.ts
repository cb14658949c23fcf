/**
 * The lure file, `.mazurka.json`: one lure with all its parts, SI throughout. Described in docs/files.md; its JSON Schema
 * is written from the schema here. Reading is strict: a file is taken whole or not at all.
 */
import * as z from 'zod/mini';
import '../schema';
import { lureSchema, type Lure } from './lure';
import { addItemStates, oneStatePerItem } from './migrate';
import { structureProblem, type Refusal } from './structure';

export const LURE_FILE_FORMAT = 'mazurka-lure';
export const LURE_FILE_VERSION = 3;
/** A lure of hundreds of parts is a few hundred kilobytes. */
export const LURE_FILE_MAX_BYTES = 5 * 1024 * 1024;

export const lureFileSchema = z.strictObject({
  format: z.literal(LURE_FILE_FORMAT),
  version: z.literal(LURE_FILE_VERSION),
  lure: lureSchema,
});

export type LureFileProblem =
  | { readonly code: 'tooLarge'; readonly bytes: number; readonly maxBytes: number }
  | { readonly code: 'notJson'; readonly message: string }
  | { readonly code: 'notALureFile' }
  | { readonly code: 'fromTheFuture'; readonly version: number; readonly known: number }
  | { readonly code: 'faultyField'; readonly path: string; readonly message: string }
  | { readonly code: 'impossibleLure'; readonly refusal: Refusal };

export type LureFileReading =
  { readonly ok: true; readonly lure: Lure } | { readonly ok: false; readonly problem: LureFileProblem };

/** Consecutive steps: MIGRATIONS[n] turns a version n file into version n + 1. */
const MIGRATIONS: Readonly<Record<number, (file: Record<string, unknown>) => Record<string, unknown>>> = {
  1: (file) => ({ ...file, version: 2, lure: addItemStates(file.lure) }),
  2: (file) => ({ ...file, version: 3, lure: oneStatePerItem(file.lure) }),
};

/** The file's text: items sorted by id, two spaces, so that the same lure always gives the same file. */
export function writeLureFile(lure: Lure): string {
  const sorted = (build: Lure['build']) => ({
    ...build,
    items: Object.fromEntries(
      Object.entries(build.items).sort(([a], [b]) => a.localeCompare(b, 'en', { numeric: true })),
    ),
  });
  const tidy = {
    ...lure,
    build: sorted(lure.build),
    made: lure.made ? { ...lure.made, build: sorted(lure.made.build) } : null,
    versions: lure.versions.map((version) => ({ ...version, build: sorted(version.build) })),
  };
  return `${JSON.stringify({ format: LURE_FILE_FORMAT, version: LURE_FILE_VERSION, lure: tidy }, null, 2)}\n`;
}

/** Reads a lure file, or names the first thing wrong with it. Never throws on text. */
export function readLureFile(text: string): LureFileReading {
  const bytes = utf8Length(text);
  if (bytes > LURE_FILE_MAX_BYTES) return refuse({ code: 'tooLarge', bytes, maxBytes: LURE_FILE_MAX_BYTES });
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return refuse({ code: 'notJson', message: error instanceof Error ? error.message : String(error) });
  }
  const head = z.object({ format: z.literal(LURE_FILE_FORMAT), version: z.int().check(z.positive()) }).safeParse(raw);
  if (!head.success) return refuse({ code: 'notALureFile' });

  let file = raw as Record<string, unknown>;
  let { version } = head.data;
  if (version > LURE_FILE_VERSION) return refuse({ code: 'fromTheFuture', version, known: LURE_FILE_VERSION });
  for (; version < LURE_FILE_VERSION; version++) file = MIGRATIONS[version]?.(file) ?? file;

  const parsed = lureFileSchema.safeParse(file);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    return refuse({
      code: 'faultyField',
      path: issue ? issue.path.map(String).join('.') : '',
      message: issue?.message ?? 'not readable',
    });
  }
  const { lure } = parsed.data;
  const builds = [lure.build, ...(lure.made ? [lure.made.build] : []), ...lure.versions.map(({ build }) => build)];
  const refusal = builds.map(structureProblem).find((problem) => problem !== null);
  return refusal ? refuse({ code: 'impossibleLure', refusal }) : { ok: true, lure };
}

function refuse(problem: LureFileProblem): LureFileReading {
  return { ok: false, problem };
}

function utf8Length(text: string): number {
  let bytes = 0;
  for (const character of text) {
    const code = character.codePointAt(0) ?? 0;
    bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
  }
  return bytes;
}
