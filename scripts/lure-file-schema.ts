/** JSON Schemas of the files, from the Zod schemas that read them. */
import * as z from 'zod/mini';
import '../src/core/schema';
import { lureFileSchema } from '../src/core/files/lure-file';
import { targetFileSchema } from '../src/core/tune/target-file';

export function lureFileJsonSchema() {
  return z.toJSONSchema(lureFileSchema, { target: 'draft-2020-12', io: 'input', reused: 'ref' });
}

export function targetFileJsonSchema() {
  return z.toJSONSchema(targetFileSchema, { target: 'draft-2020-12', io: 'input' });
}
