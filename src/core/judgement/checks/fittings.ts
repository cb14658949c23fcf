/** Holes against what goes through them, the way a blade is hung, tube over the tail, bell on its sleeve, contacts. */
import { strandOf } from '../../carriers/carrier';
import type { PartOf } from '../../parts/part';
import { MATERIALS, type MaterialId } from '../../parts/material';
import { strandIndexes } from '../../lure/editing';
import { radiusProfile } from '../../parts/bored';
import { noRepairs, type Finding } from '../finding';
import { misfits, placeOf } from '../../fits/fit';
import { isLoose } from '../../fits/misfit';
import { laidWith, type Layout } from '../../geometry/layout';
import type { PlacedEntry } from '../../geometry/placed';
import { cutLengths } from '../../lengths/lengths';
import { itemOf, type Build, type Item, type ItemId } from '../../lure/lure';

/** A tube this much short still grips. */
const TUBE_TOLERANCE_M = 0.0005;
/** A striker further than this from the bell's mouth does not reach it. Trade estimate. */
const STRIKES_WITHIN_M = 0.002;
/** Room a bell needs along its sleeve to swing. Trade estimate. */
const BELL_PLAY_M = 0.001;
/** Metals ring; the density of what does not lies below. */
const LIGHTEST_METAL_KGM3 = 2600;

/** Of every joint, tube and bell, and of contacts that are wanted. */
export function fittingFindings(build: Build, layout: Layout): Finding[] {
  const items = Object.values(build.items);
  return [
    ...items.flatMap((item) => fits(build, layout, item)),
    ...items.filter(({ part, flipped }) => part.kind === 'blade' && flipped).map(hollowOutward),
    ...tubeCover(build, layout),
    ...items.flatMap((item) => (item.part.kind === 'bell' ? bell(build, layout, item, item.part) : [])),
    ...beadsInClevises(build, layout),
  ];
}

function fits(build: Build, layout: Layout, item: Item): Finding[] {
  return misfits(item.part, placeOf(build, item, layout))
    .filter(({ code }) => code !== 'noRoomInClevis')
    .filter((misfit) => !isToldByOther(build, item, misfit.code))
    .map((misfit) => ({
      ...misfit,
      key: `${misfit.code} ${item.id}`,
      severity: isLoose(misfit) ? 'caution' : 'fault',
      items: [item.id],
      repairs: noRepairs,
    }));
}

/** A blade and its clevis, a hook and its ring, find the same misfit from both sides; the one that hangs tells it. */
function isToldByOther(build: Build, { part }: Item, code: string): boolean {
  if (part.kind === 'clevis') return code === 'holeTooSmall' || code === 'rootMeetsWire';
  if (part.kind === 'splitRing') return code === 'eyeTooSmall';
  return part.kind === 'sleeve' && code === 'boreTooTight' && strandOf(build.carrier) < part.boreM;
}

function hollowOutward({ id }: Item): Finding {
  return {
    code: 'hollowOutward',
    key: `hollowOutward ${id}`,
    severity: 'caution',
    items: [id],
    repairs: () => [{ code: 'turnBlade', edits: [{ kind: 'adjust', item: id, changes: { flipped: false } }] }],
  };
}

function tubeCover(build: Build, layout: Layout): Finding[] {
  return cutLengths(build, layout).flatMap(({ item, totalM, cutM }): Finding[] => {
    if (item?.part.kind !== 'shrinkTube') return [];
    const left = 1 - item.part.lengthwiseShrink;
    const [coversM, neededM] = [cutM * left, totalM * left];
    const isShort = coversM < neededM - TUBE_TOLERANCE_M;
    return [
      {
        code: 'tubeCover',
        key: `tubeCover ${item.id}`,
        severity: isShort ? 'caution' : 'good',
        items: [item.id],
        coversM,
        neededM,
        repairs: isShort
          ? () => [
              {
                code: 'coverWithTube',
                edits: [{ kind: 'adjust', item: item.id, changes: { state: { of: 'tube', cutLengthM: null } } }],
              },
            ]
          : noRepairs,
      },
    ];
  });
}

function bell(build: Build, layout: Layout, item: Item, part: PartOf<'bell'>): Finding[] {
  const { id } = item;
  const found: Finding[] = [];
  const host = item.seat.on === 'item' ? itemOf(build, item.seat.item) : item;
  if (item.seat.on === 'strand') {
    const { boreM } = part;
    const wireM = laidWith(layout, id).wireDiameterM;
    found.push({
      code: 'bellWithoutSleeve',
      key: `bellWithoutSleeve ${id}`,
      severity: 'caution',
      items: [id],
      boreM,
      wireM,
      repairs: noRepairs,
    });
  }
  const striker = strikerOf(build, layout, host.id, part, item.flipped);
  if (item.seat.on === 'item' && host.part.kind === 'sleeve') {
    const sleeveM = host.part.lengthM;
    const neededM = neckToStriker(part, striker?.radiusM ?? null) + BELL_PLAY_M;
    found.push({
      code: 'sleeveInBell',
      key: `sleeveInBell ${id}`,
      severity: sleeveM < neededM ? 'fault' : 'good',
      items: [id, host.id],
      sleeveM,
      neededM,
      repairs: noRepairs,
    });
  }
  found.push(
    striker
      ? intended('bellAndStriker', [id, striker.item.id])
      : { code: 'silentBell', key: `silentBell ${id}`, severity: 'caution', items: [id], repairs: noRepairs },
  );
  return found;
}

/** What the bell's rim swings against: the hard thing at its mouth that the mouth can take in. */
function strikerOf(build: Build, layout: Layout, host: ItemId, bell: PartOf<'bell'>, flipped: boolean) {
  const [index = 0] = strandIndexes(build, host);
  const { strand } = laidWith(layout, host);
  const own = strand[index];
  const next = strand[flipped ? index - 1 : index + 1];
  if (!own || !next || !isHard(next)) return null;
  const gapM = flipped ? own.x0M - next.x1M : next.x0M - own.x1M;
  return gapM <= STRIKES_WITHIN_M && next.radiusM < bell.mouthDiameterM / 2 ? next : null;
}

/** How far a bell can slide over its striker: from its neck to where its inside is as wide. Half its length with none. */
function neckToStriker(bell: PartOf<'bell'>, strikerRadiusM: number | null): number {
  if (strikerRadiusM === null) return bell.lengthM / 2;
  const meets = radiusProfile(bell).find(({ radiusM }) => radiusM - bell.wallM >= strikerRadiusM);
  return meets?.xM ?? bell.lengthM;
}

function isHard({ item: { part } }: PlacedEntry): boolean {
  return part.kind === 'striker' || (part.kind === 'bead' && (part.material === 'glass' || isMetal(part.material)));
}

function isMetal(material: MaterialId): boolean {
  return MATERIALS[material].densityKgM3 > LIGHTEST_METAL_KGM3;
}

function beadsInClevises(build: Build, layout: Layout): Finding[] {
  return layout.carriers.flatMap(({ clevises, strand }) =>
    clevises.flatMap(({ item }) => {
      const [fore = 0, aft = 0] = strandIndexes(build, item.id);
      return strand.slice(fore + 1, aft).flatMap((entry): Finding[] => {
        const { part, id } = entry.item;
        return part.kind === 'bead' && isMetal(part.material) ? [intended('beadInClevis', [id, item.id])] : [];
      });
    }),
  );
}

function intended(between: 'bellAndStriker' | 'beadInClevis', items: readonly ItemId[]): Finding {
  return {
    code: 'intendedContact',
    key: `intendedContact ${items.join(' ')}`,
    severity: 'good',
    items,
    between,
    repairs: noRepairs,
  };
}
