/** Writes the schemas in docs; a test fails while a committed one is not current. */
import { writeFileSync } from 'node:fs';
import { lureFileJsonSchema, targetFileJsonSchema } from './lure-file-schema';

for (const [name, schema] of [
  ['lure-file', lureFileJsonSchema()],
  ['target-file', targetFileJsonSchema()],
] as const) {
  writeFileSync(new URL(`../docs/${name}.schema.json`, import.meta.url), `${JSON.stringify(schema, null, 2)}\n`);
}
