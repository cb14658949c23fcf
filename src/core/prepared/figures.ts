/** What a prepared lure tells at its speed: the middle of each figure, some of them worked out when asked. */
import type { Trim } from '../hydro/trim';
import type { Misfit } from '../fits/misfit';
import type { ItemId } from '../lure/lure';
import type { Crossings } from '../predict/crossings';
import type { LineOutcome } from '../predict/outputs';
import type { Ride } from '../predict/ride';
import type { BladeOutcome } from '../predict/turned';

export interface BladeFigures {
  /** The blade's item: its station on this lure. */
  readonly station: ItemId;
  /** What it most likely does. */
  readonly outcome: BladeOutcome;
  /** The slowest water along a level axle that keeps it turning, m/s; null when none does. Worked out when asked. */
  readonly keepsMps: () => number | null;
}

/** What a lure does at the speed it is asked for. */
export interface Figures {
  readonly massKg: number;
  /** Weight in water, N; below zero for one that floats. */
  readonly sinkingN: number;
  /** Nose first. */
  readonly blades: readonly BladeFigures[];
  /** Null where a blade is outside its model: nothing that hangs on it can be said. */
  readonly trim: Trim | null;
  readonly line: LineOutcome;
  /** 0 at the surface, m. */
  readonly depthM: number;
  /** Impulse given to the water at each stroke, of the blade that gives most, N·s. */
  readonly thumpNs: number;
  /** What carries its blades can be worked out: without that nothing is said of its shake. */
  readonly isShaken: boolean;
  /** Area it shows to the water from the side, m². */
  readonly bulkM2: number;
  /** From which speed on its body swings, m/s; null of one that does not. Worked out when asked. */
  readonly wobbleStartMps: () => number | null;
  /** The slowest speed of the lure that keeps each blade turning, m/s, nose first; null of one that turns at none. Worked out when asked. */
  readonly keptDownToMps: () => readonly (number | null)[];
  /** Where it falls, comes to the surface and planes; worked out when asked. */
  readonly crossings: () => Crossings;
  /** What of the parts put in does not go with its place. */
  readonly misfits: readonly Misfit[];
  /** All else of the ride, worked out when asked: shake and pulse, lean, yaw, twist; null where there is no trim. */
  readonly ride: () => Ride | null;
}
