/** Which of a lure's readings are of it as it is. */
import { oncePer } from '../once';
import type { Build, Lure } from './lure';
import { markOf, type KeptReading, type Reading } from './reading';

/** The reading as it is kept, marked with what it was taken on. @param onDay the day it was taken */
export function keptReading(build: Build, reading: Reading, onDay: string): KeptReading {
  return { reading, onDay, of: markFor(build, reading) };
}

/** Those of its readings that are of the lure as it is now. */
export function readingsInUse({ build, readings = [] }: Pick<Lure, 'build' | 'readings'>): readonly Reading[] {
  return readings.filter((kept) => isOf(build, kept)).map(({ reading }) => reading);
}

/** Whether a reading was taken of this build, or of this blade of it. */
export function isOf(build: Build, { reading, of }: KeptReading): boolean {
  return markFor(build, reading) === of;
}

function markFor(build: Build, reading: Reading): string {
  if (reading.kind === 'depth' || reading.kind === 'sink') return markOfBuild(build);
  const item = build.items[reading.station];
  return item ? markOf(item.part) : '';
}

const markOfBuild = oncePer((build: Build) => markOf(build));
