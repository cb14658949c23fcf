/** A kind of part or of carrier that is added is asked for by the compiler wherever something has to be said of it. */
import { resolve } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const ROOT = resolve(import.meta.dirname, '../..');
const PART = resolve(ROOT, 'src/core/parts/part.ts');
const OWN = resolve(ROOT, 'src/core/parts/kinds/spoon.ts');
const SPOON = `
import * as z from 'zod/mini';
import { common } from './common';
export const spoonSchema = z.strictObject({ kind: z.literal('spoon'), ...common });
export const spoonStateSchema = z.strictObject({ of: z.literal('spoon'), bentRad: z.number() });
`;

function filesWithFaults(changed: ReadonlyMap<string, string>): string[] {
  const configPath = resolve(ROOT, 'tsconfig.json');
  const { config } = ts.readConfigFile(configPath, ts.sys.readFile) as { config: unknown };
  const { fileNames, options } = ts.parseJsonConfigFileContent(config, ts.sys, ROOT);
  const host = ts.createCompilerHost({ ...options, noEmit: true });
  const { fileExists, readFile, getSourceFile } = host;
  host.fileExists = (name) => changed.has(name) || fileExists.call(host, name);
  host.readFile = (name) => changed.get(name) ?? readFile.call(host, name);
  host.getSourceFile = (name, ...how) => {
    const text = changed.get(name);
    return text === undefined
      ? getSourceFile.call(host, name, ...how)
      : ts.createSourceFile(name, text, ts.ScriptTarget.ES2023, true);
  };
  const ownCode = fileNames.filter((name) => name.includes('/src/') && !name.includes('.test.'));
  const program = ts.createProgram(
    [...ownCode, ...changed.keys()],
    { ...options, incremental: false, noEmit: true },
    host,
  );
  const faults = [...program.getSyntacticDiagnostics(), ...program.getSemanticDiagnostics()];
  return [...new Set(faults.map(({ file }) => file?.fileName.replace(`${ROOT}/`, '') ?? 'no file'))].sort();
}

describe('a kind of part that is new', () => {
  it('is asked for in its list, in drawing, in words and in what the hand does to it: four files beside its own', () => {
    const before = ts.sys.readFile(PART) ?? '';
    const added = before
      .replace(
        "from './kinds/bead';",
        "from './kinds/bead';\nimport { spoonSchema, spoonStateSchema } from './kinds/spoon';",
      )
      .replace('  wireSchema,\n', '  wireSchema,\n  spoonSchema,\n')
      .replace('  filmStateSchema,\n', '  filmStateSchema,\n  spoonStateSchema,\n');
    expect(added.match(/spoon/g)).toHaveLength(5);
    expect(
      filesWithFaults(
        new Map([
          [PART, added],
          [OWN, SPOON],
        ]),
      ),
    ).toEqual([
      'src/core/parts/part.ts',
      'src/drawing/drawn-kinds.ts',
      'src/places/bench/picked/PieceFields.tsx',
      'src/words/part-words.ts',
    ]);
  }, 180_000);
});

const CARRIER = resolve(ROOT, 'src/core/carriers/carrier.ts');
const SHANK = `
import * as z from 'zod/mini';
import { wireSchema } from '../parts/kinds/wire';
import { wireEndSchema } from '../parts/wire-form';
export const shankSchema = z.strictObject({ kind: z.literal('shank'), wire: wireSchema, tail: wireEndSchema });
`;

describe('a kind of carrier that is new', () => {
  it('is asked for in its list, in words and where its fields stand: three files beside its own', () => {
    const before = ts.sys.readFile(CARRIER) ?? '';
    const added = before
      .replace("from './straight-wire';", "from './straight-wire';\nimport { shankSchema } from './shank';")
      .replace('  bodyCarrierSchema,\n]', '  bodyCarrierSchema,\n  shankSchema,\n]');
    expect(added.match(/shankSchema/g)).toHaveLength(2);
    expect(
      filesWithFaults(
        new Map([
          [CARRIER, added],
          [resolve(ROOT, 'src/core/carriers/shank.ts'), SHANK],
        ]),
      ),
    ).toEqual(['src/core/carriers/carrier.ts', 'src/places/bench/wire/WireFields.tsx', 'src/words/carrier-words.ts']);
  }, 180_000);
});
