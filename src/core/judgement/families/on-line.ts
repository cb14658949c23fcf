/**
 * What is built on line. Worm harness: hooks snelled on it, a blade and beads sliding ahead of them. Blade leader: a blade on a
 * short line, to go ahead of any lure. Blade ahead: the same between two stops, so far from the lure.
 */
import { partsOfKind } from '../../parts/catalogue';
import type { Line } from '../../parts/kinds/line';
import { noRepairs, type Finding } from '../finding';
import type { Layout } from '../../geometry/layout';
import { itemOf, USUAL_KNOT, USUAL_TIED_LOOP, type Build, type End, type Lure } from '../../lure/lure';
import { wireEnd, type Carrier } from '../../carriers/carrier';
import { spinSeats } from '../../geometry/seats';
import type { WireEnd } from '../../parts/wire-form';
import { endNotFormed, lacking, noTurningBlade, onWrongWire } from './common';

const USUAL_LINE = 'line-fluoro-33';
const USUAL_SPARE_M = 0.15;

/** The catalogue's line that leaders are commonly made of. @throws Error when it has no line at all */
export function usualLine(): Line {
  const lines = partsOfKind('line');
  const line = lines.find(({ id }) => id === USUAL_LINE) ?? lines[0];
  if (!line) throw new Error('usualLine: the catalogue needs at least one line');
  return line;
}

function line(lengthM: number, tail: WireEnd): Carrier {
  return { kind: 'line', wire: usualLine(), nose: USUAL_TIED_LOOP, tail, lengthM, spareM: USUAL_SPARE_M };
}

export const wormHarness = {
  carrier: () => line(0.9, { form: 'plain' }),
  check: (lure: Lure, layout: Layout) => [...onLine(lure), ...lacking(lure, layout)],
};

export const bladeLeader = {
  carrier: () => line(0.3, USUAL_KNOT),
  check: (lure: Lure, layout: Layout) => [...onLine(lure), ...noTurningBlade(lure, layout)],
};

export const bladeAhead = {
  carrier: () => line(1.2, USUAL_KNOT),
  check: (lure: Lure, layout: Layout) => [
    ...onLine(lure),
    ...noTurningBlade(lure, layout),
    ...aheadOfLure(lure, layout),
  ],
};

/** Nearer than this the lure is chased, further than that the blade is taken, m. Trade estimates. */
const NEAR_M = 0.15;
const FAR_M = 0.45;

/** How far ahead of the end of the line the last blade turns. */
function aheadOfLure({ build }: Lure, layout: Layout): Finding[] {
  const last = spinSeats(build, layout).at(-1) ?? null;
  if (!last) return [];
  const gapM = layout.tail.x1M - last.holeM;
  const is = gapM < NEAR_M ? 'near' : gapM > FAR_M ? 'far' : 'between';
  return [
    {
      code: 'aheadOfLure',
      key: 'aheadOfLure',
      severity: 'good',
      items: [last.item.id],
      gapM,
      is,
      repairs: noRepairs,
    },
  ];
}

/** What stands on line: both its ends made fast. */
function onLine(lure: Lure): Finding[] {
  const loose = (['nose', 'tail'] as const).filter((end) => isLoose(lure.build, end));
  return [...loose.map(endNotFormed), ...onWrongWire(lure, 'line')];
}

/** An end that nothing holds: neither a knot nor, at the tail, the snell of the last hook. */
function isLoose(build: Build, end: End): boolean {
  if (wireEnd(build.carrier, end).form !== 'plain') return false;
  const last = build.strand.at(-1);
  return end === 'nose' || !last || itemOf(build, last.item).part.kind !== 'hook';
}
