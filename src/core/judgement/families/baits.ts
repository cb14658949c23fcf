/** Spinnerbait and buzzbait: a bent wire with a head and hook on the lower arm, blades on the upper. */
import { bladeArea } from '../../parts/blade-area';
import type { WireForm } from '../../parts/wire-form';
import { noRepairs, type Finding } from '../finding';
import type { Layout } from '../../geometry/layout';
import type { Lure } from '../../lure/lure';
import type { Carrier } from '../../carriers/carrier';
import { lacking, onWrongWire, wireOf } from './common';

const DEGREE = Math.PI / 180;
const USUAL_WIRE_M = 0.0009;

/** An open R-bend between a lower arm that rises from the head and an upper arm that runs back over the hook. */
export const SPINNERBAIT_FORM: WireForm = {
  startRad: 142 * DEGREE,
  sections: [
    { section: 'straight', lengthM: 0.033 },
    { section: 'bend', angleRad: 38 * DEGREE, sideRad: 0, insideRadiusM: 0.0025, isTie: false },
    { section: 'straight', lengthM: 0.001 },
    { section: 'bend', angleRad: -162 * DEGREE, sideRad: 0, insideRadiusM: 0.0018, isTie: true },
  ],
  armM: 0.058,
  tail: { form: 'bentLoop', insideDiameterM: 0.003, gapM: 0.0012 },
};

/** The tie well ahead of the head, the arm level above it, so that the blade stands over the head. */
export const BUZZBAIT_FORM: WireForm = {
  startRad: 170 * DEGREE,
  sections: [
    { section: 'straight', lengthM: 0.036 },
    { section: 'bend', angleRad: -112 * DEGREE, sideRad: 0, insideRadiusM: 0.002, isTie: true },
    { section: 'straight', lengthM: 0.02 },
    { section: 'bend', angleRad: -58 * DEGREE, sideRad: 0, insideRadiusM: 0.004, isTie: false },
  ],
  armM: 0.034,
  tail: { form: 'bentOver', lengthM: 0.004 },
};

export const spinnerbait = {
  carrier: () => bent(SPINNERBAIT_FORM),
  check: checkBait,
};

export const buzzbait = {
  carrier: () => bent(BUZZBAIT_FORM),
  check: checkBait,
};

export function bent(form: WireForm): Carrier {
  return { kind: 'bentWire', wire: wireOf(USUAL_WIRE_M), ...form, bought: null };
}

function checkBait(lure: Lure, layout: Layout): Finding[] {
  const head = layout.off.find(({ item }) => item.part.kind === 'head');
  const found = [...onWrongWire(lure, 'bentWire'), ...lacking(lure, layout)];
  return [...found, ...(head ? headAndBlades(layout, head.item.part.massKg, head.item.id) : [noHead])];
}

export const noHead: Finding = { code: 'noHead', key: 'noHead', severity: 'caution', items: [], repairs: noRepairs };

/** Head mass to blade area, kg/m²: what builders keep between. Blades lift, and a head far from them rolls or drags. Trade estimates. */
const LEAST_HEAD_KGM2 = 4;
const MOST_HEAD_KGM2 = 34;

function headAndBlades(layout: Layout, headKg: number, head: Lure['build']['strand'][number]['item']): Finding[] {
  const turning = [...layout.off, ...layout.strand].map(({ item }) => item);
  const bladeM2 = turning.reduce((sum, { part }) => sum + bladeArea(part), 0);
  if (bladeM2 === 0) return [];
  const ratio = headKg / bladeM2;
  const is = ratio < LEAST_HEAD_KGM2 ? 'headTooLight' : ratio > MOST_HEAD_KGM2 ? 'headTooHeavy' : 'inKeeping';
  return [
    {
      code: 'headAndBlades',
      key: 'headAndBlades',
      severity: is === 'inKeeping' ? 'good' : 'caution',
      items: [head],
      headKg,
      bladeM2,
      is,
      repairs: noRepairs,
    },
  ];
}
