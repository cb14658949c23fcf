/** Wire forms whose ends are known from compass and rule: all in wire of 0.9 mm, so that a middle line lies 0.45 mm outside a bend. */
import type { WireForm } from '@/core/parts/wire-form';

const QUARTER = Math.PI / 2;
const straight = (lengthM: number) => ({ section: 'straight', lengthM }) as const;
const bend = (angleRad: number, insideRadiusM: number) =>
  ({ section: 'bend', angleRad, sideRad: 0, insideRadiusM, isTie: false }) as const;

function form(startRad: number, ...sections: WireForm['sections']): WireForm {
  return { startRad, sections, armM: 0.05, tail: { form: 'plain' } };
}

export const FIXED_FORMS = [
  { name: 'straight wire to the nose', form: form(Math.PI, straight(0.03)), endMm: { x: -30, y: 0 }, headingDeg: 180 },
  {
    // 30 to the nose, a quarter turn clockwise about R = 2 + 0.45, then 10 straight up.
    name: 'a quarter turn up',
    form: form(Math.PI, straight(0.03), bend(-QUARTER, 0.002), straight(0.01)),
    endMm: { x: -32.45, y: 12.45 },
    headingDeg: 90,
  },
  {
    // Half a turn: back over itself at twice the radius.
    name: 'a half turn back',
    form: form(Math.PI, straight(0.03), bend(-2 * QUARTER, 0.002), straight(0.03)),
    endMm: { x: 0, y: 4.9 },
    headingDeg: 0,
  },
  {
    name: 'a closed tie, which leaves place and heading as they were',
    form: form(Math.PI, straight(0.03), { section: 'coil', insideDiameterM: 0.003, turns: 1 }, bend(-QUARTER, 0.002)),
    endMm: { x: -32.45, y: 2.45 },
    headingDeg: 90,
  },
  {
    name: 'there and back: two bends that undo each other',
    form: form(0, bend(QUARTER, 0.00155), bend(-QUARTER, 0.00155), straight(0.02)),
    endMm: { x: 24, y: 4 },
    headingDeg: 0,
  },
];
