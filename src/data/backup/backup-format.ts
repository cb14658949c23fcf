/**
 * The backup: one zip of open JSON files and pictures, described in docs/files.md. Every file in it says what it is and of
 * which version; reading is strict, each file by itself.
 */
import * as z from 'zod/mini';
import '../../core/schema';
import { lureRuleSchema } from '../../core/judgement/lure-rule';
import { LURE_VERSION } from '../../core/files/migrate';
import type { LureHistory } from '../../core/lure/history';
import type { LureRule } from '../../core/judgement/lure-rule';
import type { Run } from '../../core/make/run';
import type { Part } from '../../core/parts/part';
import type { SetAside, StoredPhoto } from '../stored';
import type { RecordHead } from '../lure-rows';
import type { Settings } from '../settings';

export const BACKUP_FORMAT = 'mazurka-backup';
export const BACKUP_VERSION = 1;

/** Where each thing lies in the zip. */
export const ENTRIES = {
  head: 'mazurka-backup.json',
  lures: 'lures/',
  runs: 'runs/',
  damaged: 'damaged/',
  pictures: 'pictures/',
  pictureList: 'pictures.json',
  parts: 'parts.mazurka-parts.json',
  rules: 'rules.json',
  settings: 'settings.json',
} as const;

export interface LureRecord extends RecordHead {
  readonly history: LureHistory;
}

export interface RunRecord {
  readonly birth: string;
  readonly rev: number;
  readonly changedAt: number;
  readonly run: Run;
}

/** What a backup holds, read and checked. */
export interface BackupContents {
  readonly madeAt: string;
  readonly lures: readonly LureRecord[];
  readonly runs: readonly RunRecord[];
  readonly pictures: readonly StoredPhoto[];
  readonly parts: readonly Part[];
  readonly rules: readonly LureRule[];
  readonly settings: Settings | null;
  readonly damaged: readonly SetAside[];
}

const birth = z.string().check(z.minLength(1), z.maxLength(100));
const count = z.int().check(z.nonnegative());
const version = z.int().check(z.minimum(1), z.maximum(LURE_VERSION));

export const headSchema = z.object({
  format: z.literal(BACKUP_FORMAT),
  version: z.int().check(z.positive()),
  madeAt: z.string().check(z.maxLength(40)),
});

/** Lures of any version: their history is read by `readHistory`. */
export const lureRecordSchema = z.strictObject({
  format: z.literal('mazurka-lure-record'),
  version,
  birth,
  rev: count,
  changedAt: z.number(),
  awayAt: z.nullable(z.number()),
  history: z.unknown(),
});

export const runRecordSchema = z.strictObject({
  format: z.literal('mazurka-run-record'),
  version,
  birth,
  rev: count,
  changedAt: z.number(),
  run: z.unknown(),
});

export const damagedSchema = z.strictObject({
  format: z.literal('mazurka-damaged-record'),
  version,
  id: z.string().check(z.maxLength(200)),
  history: z.unknown(),
});

export const pictureListSchema = z.strictObject({
  format: z.literal('mazurka-pictures'),
  version: z.literal(1),
  pictures: z.array(
    z.strictObject({
      id: z.string().check(z.maxLength(120)),
      runId: z.string().check(z.maxLength(60)),
      step: z.string().check(z.maxLength(4000)),
      takenAt: z.number(),
      type: z.string().check(z.regex(/^image\/[a-z0-9.+-]+$/)),
      file: z.string().check(z.maxLength(200)),
    }),
  ),
});

export const rulesFileSchema = z.strictObject({
  format: z.literal('mazurka-rules'),
  version: z.literal(1),
  rules: z.array(lureRuleSchema).check(z.maxLength(500)),
});

export const settingsFileSchema = z.strictObject({
  format: z.literal('mazurka-settings'),
  version: z.literal(1),
  settings: z.unknown(),
});
