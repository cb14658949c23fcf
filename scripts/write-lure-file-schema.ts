/** Writes docs/lure-file.schema.json; a test fails while the committed one is not current. */
import { writeFileSync } from 'node:fs';
import { lureFileJsonSchema } from './lure-file-schema';

writeFileSync(
  new URL('../docs/lure-file.schema.json', import.meta.url),
  `${JSON.stringify(lureFileJsonSchema(), null, 2)}\n`,
);
