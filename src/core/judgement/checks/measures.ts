/** Pieces that cannot be as they are written down: measures that exclude each other, and a mass no such piece has. */
import { oncePer } from '../../once';
import { massFromGeometry } from '../../parts/mass';
import { measureFaults, type MeasureFault } from '../../parts/measure-faults';
import type { Part } from '../../parts/part';
import { noRepairs, type Finding } from '../finding';
import type { Build, Item } from '../../lure/lure';

/** A scale and a caliper may disagree by this factor before it is told; every catalogue mass is within 1.15. Trade estimate. */
const MASS_WITHIN_FACTOR = 2.5;
/** Beyond this one of the two is a slip of the keyboard. Trade estimate. */
const MASS_BEYOND_FACTOR = 8;

/** Of each piece whose measures exclude each other or whose mass none such has, kg. */
export function measureFindings(build: Build): Finding[] {
  const wire = build.carrier.wire;
  return [
    ...pieceFindings('wire', [], wire, []),
    ...Object.values(build.items).flatMap((item) => pieceFindings(item.id, [item.id], item.part, cutFaults(item))),
  ];
}

const geometryOf = oncePer(massFromGeometry);

function pieceFindings(name: string, items: Finding['items'], part: Part, more: readonly MeasureFault[]): Finding[] {
  const [fault] = [...measureFaults(part), ...more];
  if (fault) {
    return [
      {
        code: 'impossibleMeasure',
        key: `impossibleMeasure ${name}`,
        severity: 'fault',
        items,
        repairs: noRepairs,
        ...fault,
      },
    ];
  }
  const geometryKg = geometryOf(part);
  const factor = Math.max(part.massKg / geometryKg, geometryKg / part.massKg);
  if (!(factor > MASS_WITHIN_FACTOR)) return [];
  return [
    {
      code: 'doubtfulMass',
      key: `doubtfulMass ${name}`,
      severity: factor > MASS_BEYOND_FACTOR ? 'fault' : 'caution',
      items,
      repairs: noRepairs,
      massKg: part.massKg,
      geometryKg,
    },
  ];
}

/** What is cut off a piece must leave something of it. */
function cutFaults({ part, state }: Item): MeasureFault[] {
  if (part.kind === 'trailer' && state?.of === 'trailer' && state.cutM >= part.lengthM) {
    return [{ less: 'cut', lessM: state.cutM, than: 'length', thanM: part.lengthM }];
  }
  if (part.kind === 'shrinkTube' && state?.of === 'tube' && (state.cutLengthM ?? 0) > part.stockLengthM) {
    return [{ less: 'cut', lessM: state.cutLengthM ?? 0, than: 'length', thanM: part.stockLengthM }];
  }
  return [];
}
