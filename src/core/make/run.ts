/** One lure being made: which build, how far, what was noted. Kept after every step, so that nothing of it is lost. */
import * as z from 'zod/mini';
import { daySchema, noteText, shortText } from '../schema';
import { buildSchema, itemIdSchema, lureIdSchema, type Lure } from '../lure/lure';
import { CLOSING } from './closing-checks';

const stepName = z.string().check(z.minLength(1), z.maxLength(4000));
/** Letters in the note of one step. */
const MOST_NOTE = 2000;

export const runSchema = z.strictObject({
  id: z.string().check(z.regex(/^run-[a-z0-9-]+$/, 'a run id like run-12ab'), z.maxLength(60)),
  lureId: lureIdSchema,
  lureName: shortText,
  /** As it was when the run began: a later change of the design does not move the steps under the hand. */
  build: buildSchema,
  startedAt: z.number(),
  stage: z.enum(['before', 'steps', 'checks', 'made']),
  /** The step that is looked at; null before the first. */
  at: z.nullable(stepName),
  done: z.array(stepName).check(z.maxLength(600)),
  notes: z.record(stepName, noteText(MOST_NOTE)),
  spoiled: z
    .array(
      z.strictObject({
        piece: z.union([itemIdSchema, z.literal('wire')]),
        name: shortText,
        step: stepName,
        at: z.number(),
      }),
    )
    .check(z.maxLength(200)),
  /** Waits that were started: when each is over, ms. */
  timers: z.array(z.strictObject({ step: stepName, endsAt: z.number() })).check(z.maxLength(50)),
  checks: z.partialRecord(z.enum(CLOSING), z.enum(['good', 'wrong'])),
  /** Given when it is finished; every piece has its own. */
  number: z.nullable(z.int().check(z.positive())),
  madeOn: z.nullable(daySchema),
});
export type Run = z.infer<typeof runSchema>;

/** What a run needs of a lure. */
export type ToMake = Pick<Lure, 'id' | 'name' | 'build'>;

/** A run of this lure from its first step. @param startedAt ms since 1970 */
export function startRun(lure: ToMake, id: string, startedAt: number): Run {
  return {
    id,
    lureId: lure.id,
    lureName: lure.name,
    build: lure.build,
    startedAt,
    stage: 'before',
    at: null,
    done: [],
    notes: {},
    spoiled: [],
    timers: [],
    checks: {},
    number: null,
    madeOn: null,
  };
}

/** Goes to the step after this one; after the last come the checks. */
export function stepDone(run: Run, names: readonly string[]): Run {
  const { at } = run;
  if (at === null || !names.includes(at)) return begin(run, names);
  const done = run.done.includes(at) ? run.done : [...run.done, at];
  const next = names[names.indexOf(at) + 1];
  if (next !== undefined) return { ...run, done, at: next };
  const left = names.find((name) => !done.includes(name));
  return left === undefined ? { ...run, done, stage: 'checks' } : { ...run, done, at: left };
}

/** The step before this one, to look at again; from the checks the last. */
export function stepBack(run: Run, names: readonly string[]): Run {
  if (run.stage === 'checks') return { ...run, stage: 'steps', at: names.at(-1) ?? null };
  const index = run.at === null ? 0 : names.indexOf(run.at);
  if (index <= 0) return { ...run, stage: 'before' };
  return { ...run, at: names[index - 1] ?? null };
}

/** To the first step that is not done yet; to the checks when all are. */
export function begin(run: Run, names: readonly string[]): Run {
  const first = names.find((name) => !run.done.includes(name));
  if (first === undefined) return { ...run, stage: 'checks' };
  return { ...run, stage: 'steps', at: first };
}
