/** The edits behind what a builder does to a bent wire: bend, straighten, put a bend in, take one out. */
import type { Section } from '../parts/wire-form';
import type { Edit } from './edit';
import type { BentWire } from '../carriers/bent-wire';

type Bend = Extract<Section, { section: 'bend' }>;

/** A fresh bend before anyone sets it: enough to see. */
const NEW_BEND: Bend = { section: 'bend', angleRad: 0.17, sideRad: 0, insideRadiusM: 0.003, isTie: false };
const MOST_ANGLE_RAD = (220 * Math.PI) / 180;

/** One section replaced. */
export function withSection({ sections }: BentWire, index: number, section: Section): Edit {
  return { kind: 'carrier', changes: { sections: sections.map((each, i) => (i === index ? section : each)) } };
}

/** A bend turned to this angle, held within what wire can be bent; nothing when there is no bend there. */
export function bendTo(carrier: BentWire, index: number, angleRad: number): Edit[] {
  const section = carrier.sections[index];
  if (section?.section !== 'bend') return [];
  const held = Math.max(-MOST_ANGLE_RAD, Math.min(MOST_ANGLE_RAD, angleRad));
  return held === section.angleRad ? [] : [withSection(carrier, index, { ...section, angleRad: held })];
}

/** A straight with a bend put into its middle. */
export function addBend({ sections }: BentWire, index: number): Edit[] {
  const straight = sections[index];
  if (straight?.section !== 'straight') return [];
  const half = { section: 'straight' as const, lengthM: straight.lengthM / 2 };
  return [{ kind: 'carrier', changes: { sections: sections.toSpliced(index, 1, half, NEW_BEND, half) } }];
}

/** A bend straightened out: the straights beside it and its own wire become one. */
export function straightenOut(carrier: BentWire, index: number, wireInBendM: number): Edit[] {
  const { sections } = carrier;
  if (sections[index]?.section !== 'bend') return [];
  const lengthAt = (i: number) => {
    const beside = sections[i];
    return beside?.section === 'straight' ? beside.lengthM : null;
  };
  const [before, after] = [lengthAt(index - 1), lengthAt(index + 1)];
  const from = before === null ? index : index - 1;
  const count = 1 + Number(before !== null) + Number(after !== null);
  const whole = { section: 'straight' as const, lengthM: (before ?? 0) + wireInBendM + (after ?? 0) };
  return [{ kind: 'carrier', changes: { sections: sections.toSpliced(from, count, whole) } }];
}
