/**
 * The parts file, `.mazurka-parts.json`: measured parts to hand on. Described in docs/files.md. Reading is strict and whole
 * or not at all; SI throughout.
 */
import * as z from 'zod/mini';
import '../schema';
import { byId } from '../by-id';
import { faultyField, readPlainJson, type PlainJsonProblem } from '../plain-data';
import { partSchema, type Part } from './part';

export const PARTS_FILE_FORMAT = 'mazurka-parts';
export const PARTS_FILE_VERSION = 1;
/** A part is about 500 bytes; a wholesaler's list of 20,000 is about 10 MB. */
export const PARTS_FILE_MAX_BYTES = 96 * 1024 * 1024;
export const MOST_PARTS = 50_000;

const partsFileSchema = z.strictObject({
  format: z.literal(PARTS_FILE_FORMAT),
  version: z.literal(PARTS_FILE_VERSION),
  parts: z.array(partSchema).check(z.minLength(1), z.maxLength(MOST_PARTS)),
});

export type PartsFileProblem =
  | PlainJsonProblem
  | { readonly code: 'notAPartsFile' }
  | { readonly code: 'fromTheFuture'; readonly version: number; readonly known: number }
  | { readonly code: 'faultyField'; readonly path: string; readonly message: string };

export type PartsFileReading =
  { readonly ok: true; readonly parts: readonly Part[] } | { readonly ok: false; readonly problem: PartsFileProblem };

/**
 * The file's text: parts sorted by id and their fields in the schema's order, so that the same parts always give the same
 * file.
 */
export function writePartsFile(parts: readonly Part[]): string {
  const sorted = [...parts].sort((a, b) => byId(a.id, b.id));
  const lines = sorted.map((part) => `    ${JSON.stringify(partSchema.parse(part))}`).join(',\n');
  const head = `{\n  "format": "${PARTS_FILE_FORMAT}",\n  "version": ${PARTS_FILE_VERSION},\n  "parts": [\n`;
  return `${head}${lines}\n  ]\n}\n`;
}

/** Reads a parts file, or names the first thing wrong with it. Never throws on text. */
export function readPartsFile(text: string): PartsFileReading {
  // UTF-8 takes at least one byte for each UTF-16 unit, so this bound never lets a larger file through unseen.
  const read = readPlainJson(text, text.length, PARTS_FILE_MAX_BYTES);
  if (!read.ok) return read;
  const { raw } = read;
  const head = headSchema.safeParse(raw);
  if (!head.success) return refuse({ code: 'notAPartsFile' });
  const { version } = head.data;
  if (version > PARTS_FILE_VERSION) return refuse({ code: 'fromTheFuture', version, known: PARTS_FILE_VERSION });
  const parsed = partsFileSchema.safeParse(raw);
  if (parsed.success) return { ok: true, parts: parsed.data.parts };
  return refuse(faultyField(parsed.error.issues));
}

const headSchema = z.object({
  format: z.literal(PARTS_FILE_FORMAT),
  version: z.int().check(z.positive()),
});

function refuse(problem: PartsFileProblem): PartsFileReading {
  return { ok: false, problem };
}
