/** The lure file's JSON Schema, from the Zod schema that reads it. */
import * as z from 'zod/mini';
import '../src/core/schema';
import { lureFileSchema } from '../src/core/files/lure-file';

export function lureFileJsonSchema() {
  return z.toJSONSchema(lureFileSchema, { target: 'draft-2020-12', io: 'input', reused: 'ref' });
}
