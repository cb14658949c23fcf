/** The target file, `.mazurka-target.json`: what is wanted of a lure, under a name. Described in docs/files.md. SI throughout. */
import * as z from 'zod/mini';
import '../schema';
import { faultyField, readPlainJson, type PlainJsonProblem } from '../plain-data';
import { targetSchema, type Target } from './target';

const FORMAT = 'mazurka-target';
const VERSION = 1;
const MAX_BYTES = 64 * 1024;

export const targetFileSchema = z.extend(targetSchema, { format: z.literal(FORMAT), version: z.literal(VERSION) });
const headSchema = z.object({ format: z.literal(FORMAT), version: z.int().check(z.positive()) });

export type TargetFileProblem =
  | PlainJsonProblem
  | { readonly code: 'notATargetFile' }
  | { readonly code: 'fromTheFuture'; readonly version: number; readonly known: number }
  | { readonly code: 'faultyField'; readonly path: string; readonly message: string };

export type TargetFileReading =
  { readonly ok: true; readonly target: Target } | { readonly ok: false; readonly problem: TargetFileProblem };

export function writeTargetFile({ name, wants }: Target): string {
  return `${JSON.stringify(targetFileSchema.parse({ format: FORMAT, version: VERSION, name, wants }), null, 2)}\n`;
}

/** Whole, or not at all with what would be right. */
export function readTargetFile(text: string): TargetFileReading {
  const refuse = (problem: TargetFileProblem): TargetFileReading => ({ ok: false, problem });
  const read = readPlainJson(text, text.length, MAX_BYTES);
  if (!read.ok) return read;
  const { raw } = read;
  const head = headSchema.safeParse(raw);
  if (!head.success) return refuse({ code: 'notATargetFile' });
  if (head.data.version > VERSION) return refuse({ code: 'fromTheFuture', version: head.data.version, known: VERSION });
  const parsed = targetFileSchema.safeParse(raw);
  if (parsed.success) return { ok: true, target: { name: parsed.data.name, wants: parsed.data.wants } };
  return refuse(faultyField(parsed.error.issues));
}
