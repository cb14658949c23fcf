/** What the families share: the wire they begin with, and what every one of them needs. */
import { partsOfKind } from '../../parts/catalogue';
import type { Wire } from '../../parts/kinds/wire';
import { noRepairs, type Finding } from '../finding';
import { trailingHooks, type Layout } from '../../geometry/layout';
import type { End, Lure } from '../../lure/lure';
import type { Carrier } from '../../carriers/carrier';
import { deltaSeats, filmSeats, spinSeats } from '../../geometry/seats';

/** The catalogue's wire of this diameter, else its first. @throws Error when it has none at all. */
export function wireOf(diameterM: number): Wire {
  const wires = partsOfKind('wire');
  const wire = wires.find((each) => Math.abs(each.diameterM - diameterM) < 1e-6) ?? wires[0];
  if (!wire) throw new Error('wireOf: the catalogue needs at least one wire');
  return wire;
}

/** A lure of this family stands on this kind of carrier and no other. */
export function onWrongWire({ build }: Lure, wants: Carrier['kind']): Finding[] {
  return build.carrier.kind === wants
    ? []
    : [{ code: 'wrongWire', key: 'wrongWire', severity: 'fault', items: [], repairs: noRepairs, wants }];
}

/** An end that nothing is formed or tied into yet. */
export function endNotFormed(end: End): Finding {
  return { code: 'endNotFormed', key: `endNotFormed ${end}`, severity: 'caution', items: [], end, repairs: noRepairs };
}

const CAUTION = { severity: 'caution', items: [], repairs: noRepairs } as const;

export const noBlade: Finding = { ...CAUTION, code: 'noTurningBlade', key: 'noTurningBlade' };

/** No blade that turns. */
export function noTurningBlade({ build }: Lure, layout: Layout): Finding[] {
  const turning = spinSeats(build, layout).length + filmSeats(layout).length + deltaSeats(layout).length;
  return turning === 0 ? [noBlade] : [];
}

/** No hook that trails behind. */
export function noHook(layout: Layout): Finding[] {
  return trailingHooks(layout).length === 0 ? [{ ...CAUTION, code: 'noHook', key: 'noHook' }] : [];
}

/** A blade that turns, and a hook. */
export function lacking(lure: Lure, layout: Layout): Finding[] {
  return [...noTurningBlade(lure, layout), ...noHook(layout)];
}
