/** Changes of what is kept beside a build: versions of it, and what was measured of it. */
import * as z from 'zod/mini';
import { noteText } from '../schema';
import { LONGEST_NOTE, MOST_VERSIONS, versionSchema, type Lure } from './lure';
import { keptReadingSchema, MOST_READINGS, type KeptReading } from './reading';
import type { Refusal } from './structure';

const versionPlace = z.int().check(z.nonnegative(), z.maximum(MOST_VERSIONS));
const readingPlace = z.int().check(z.nonnegative(), z.maximum(MOST_READINGS));

export const keptEdits = [
  /** Keeps a build under a name, so that it ends up at `at` among the versions. */
  z.strictObject({ kind: z.literal('keepVersion'), at: versionPlace, version: versionSchema }),
  z.strictObject({ kind: z.literal('forgetVersion'), at: versionPlace }),
  z.strictObject({ kind: z.literal('noteVersion'), at: versionPlace, note: z.optional(noteText(LONGEST_NOTE)) }),
  /** Keeps a reading, so that it ends up at `at` among them. */
  z.strictObject({ kind: z.literal('keepReading'), at: readingPlace, reading: keptReadingSchema }),
  z.strictObject({ kind: z.literal('forgetReading'), at: readingPlace }),
] as const;
export type KeptEdit = z.infer<(typeof keptEdits)[number]>;

/** Does one of them; refused where there is no such version or reading. */
export function applyKept(
  lure: Lure,
  edit: KeptEdit,
): { readonly lure: Lure; readonly inverse: KeptEdit } | { readonly refusal: Refusal } {
  const { versions, readings = [] } = lure;
  const { at } = edit;
  const noVersion = { refusal: { code: 'noSuchVersion', index: at, length: versions.length } } as const;
  const noReading = { refusal: { code: 'noSuchReading', index: at, length: readings.length } } as const;
  switch (edit.kind) {
    case 'keepVersion':
      if (at > versions.length) return noVersion;
      return {
        lure: { ...lure, versions: versions.toSpliced(at, 0, edit.version) },
        inverse: { kind: 'forgetVersion', at },
      };
    case 'forgetVersion': {
      const version = versions[at];
      if (!version) return noVersion;
      return { lure: { ...lure, versions: versions.toSpliced(at, 1) }, inverse: { kind: 'keepVersion', at, version } };
    }
    case 'noteVersion': {
      const version = versions[at];
      if (!version) return noVersion;
      const { note: before, ...bare } = version;
      const noted = edit.note === undefined ? bare : { ...bare, note: edit.note };
      return {
        lure: { ...lure, versions: versions.with(at, noted) },
        inverse: { kind: 'noteVersion', at, ...(before === undefined ? {} : { note: before }) },
      };
    }
    case 'keepReading':
      if (at > readings.length) return noReading;
      return {
        lure: withReadings(lure, readings.toSpliced(at, 0, edit.reading)),
        inverse: { kind: 'forgetReading', at },
      };
    case 'forgetReading': {
      const reading = readings[at];
      if (!reading) return noReading;
      return { lure: withReadings(lure, readings.toSpliced(at, 1)), inverse: { kind: 'keepReading', at, reading } };
    }
  }
}

/** Where nothing was measured there is no field for it. */
function withReadings(lure: Lure, readings: KeptReading[]): Lure {
  const bare = { ...lure };
  delete bare.readings;
  return readings.length > 0 ? { ...bare, readings } : bare;
}
