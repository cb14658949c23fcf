/**
 * The lure file, `.mazurka.json`: one lure with all its parts, SI throughout. Described in docs/files.md; its JSON Schema
 * is written from the schema here. Reading is strict: a file is taken whole or not at all.
 */
import * as z from 'zod/mini';
import '../schema';
import { byId } from '../by-id';
import { lureSchema, type Lure } from '../lure/lure';
import { LURE_VERSION, migrateLure } from './migrate';
import { faultyField, readPlainJson, type PlainJsonProblem } from '../plain-data';
import { lureProblem } from './lure-problem';
import type { Refusal } from '../lure/structure';

export const LURE_FILE_FORMAT = 'mazurka-lure';
export const LURE_FILE_VERSION = LURE_VERSION;
/** Above the largest lure that can come about: see MOST_LURE_CHARACTERS. */
export const LURE_FILE_MAX_BYTES = 32 * 1024 * 1024;

export const lureFileSchema = z.strictObject({
  format: z.literal(LURE_FILE_FORMAT),
  version: z.literal(LURE_FILE_VERSION),
  lure: lureSchema,
});

export type LureFileProblem =
  | PlainJsonProblem
  | { readonly code: 'notALureFile' }
  | { readonly code: 'fromTheFuture'; readonly version: number; readonly known: number }
  | { readonly code: 'faultyField'; readonly path: string; readonly message: string }
  | { readonly code: 'impossibleLure'; readonly refusal: Refusal };

export type LureFileReading =
  { readonly ok: true; readonly lure: Lure } | { readonly ok: false; readonly problem: LureFileProblem };

/** The file's text: items sorted by id, two spaces, so that the same lure always gives the same file. */
export function writeLureFile(lure: Lure): string {
  const sorted = (build: Lure['build']) => ({
    ...build,
    items: Object.fromEntries(Object.entries(build.items).sort(([a], [b]) => byId(a, b))),
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
  const read = readPlainJson(text, utf8Length(text), LURE_FILE_MAX_BYTES);
  if (!read.ok) return read;
  const { raw } = read;
  const head = headSchema.safeParse(raw);
  if (!head.success) return refuse({ code: 'notALureFile' });

  const { version, lure: found } = head.data;
  if (version > LURE_FILE_VERSION) return refuse({ code: 'fromTheFuture', version, known: LURE_FILE_VERSION });
  const migrated = { ...(raw as object), version: LURE_FILE_VERSION, lure: migrateLure(found, version) };

  const parsed = lureFileSchema.safeParse(migrated);
  if (!parsed.success) return refuse(faultyField(parsed.error.issues));
  const { lure } = parsed.data;
  const refusal = lureProblem(lure);
  return refusal ? refuse({ code: 'impossibleLure', refusal }) : { ok: true, lure };
}

const headSchema = z.object({
  format: z.literal(LURE_FILE_FORMAT),
  version: z.int().check(z.positive()),
  lure: z.optional(z.unknown()),
});

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
