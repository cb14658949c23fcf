/**
 * What wears on a lure, and what of it is due first: its line tie in fish, and clocks that hours and fish move. Each clock
 * says what it takes from the lure, where the core can say it, and the edit that mends it, where there is one.
 */
import { isTie } from '../carriers/bent-wire';
import type { Water } from '../hydro/water';
import { holdsItself } from '../geometry/stack';
import type { Edit } from '../lure/edit';
import { stateOf } from '../lure/item-state';
import {
  childrenOf,
  itemOf,
  spotOf,
  UNUSED,
  type Build,
  type CarrierId,
  type Item,
  type ItemId,
  type Used,
} from '../lure/lure';
import { carriersOf } from '../lure/strung';
import { isGentleToKnot } from '../parts/gentle';
import type { SwivelCondition } from '../parts/kinds/swivel';
import { stallSpeeds } from '../predict/stalls';
import { wornIn } from '../sound/drive';
import type { Section } from '../parts/wire-form';
import { isTieMaterial, straightenings, tieLife, type Hinge, type Lives, type TieLife } from './line-tie';

export type TieWear =
  | {
      readonly outcome: 'open';
      readonly carrier: CarrierId;
      readonly isRinged: boolean;
      readonly life: TieLife;
      /** The same with a ring over it, or without the one that is on it. */
      readonly otherwise: TieLife;
      /** Of its life, what the fish so far have taken, and each straightening as one more; above 1 it is overdue. */
      readonly used: number;
    }
  /** A coil does not open: the wire goes at the head or at the bend of its arm. */
  | { readonly outcome: 'closed'; readonly carrier: CarrierId }
  | { readonly outcome: 'outsideModel'; readonly carrier: CarrierId; readonly material: string };

/** An arm that fish bend out of line, and that is bent back. */
export interface ArmWear {
  readonly carrier: CarrierId;
  /** How often until it breaks at its tightest bend. */
  readonly straightenings: Lives;
  /** Of these, what was done so far. */
  readonly used: number;
}

export type Clock =
  /** A fixed rivet wears in: its squeak, of all it will be. */
  | { readonly clock: 'squeak'; readonly item: ItemId; readonly wornIn: number; readonly edits: readonly Edit[] }
  | {
      readonly clock: 'swivel';
      readonly item: ItemId;
      readonly condition: SwivelCondition;
      /** By how much sooner a blade behind it stops than behind a free one, m/s; null where none turns behind it. */
      readonly stallsSoonerMps: number | null;
      readonly edits: readonly Edit[];
    }
  /** A rubber band, of its life. */
  | { readonly clock: 'band'; readonly item: ItemId; readonly used: number; readonly edits: readonly Edit[] }
  /** A knot or a snell of line that this item rests on, of its life: chafed by the hour, strained by fish. */
  | {
      readonly clock: 'knot';
      readonly item: ItemId;
      readonly used: number;
      readonly isGentle: boolean;
      readonly edits: readonly Edit[];
    }
  /** Soft bait, of the fish it takes. */
  | { readonly clock: 'bait'; readonly item: ItemId; readonly used: number; readonly edits: readonly Edit[] };

export interface Wear {
  /** Null of a lure without a bent line tie. */
  readonly tie: TieWear | null;
  /** Null where no bend lies between tie and arm, or nothing is known of the wire. */
  readonly arm: ArmWear | null;
  readonly clocks: readonly Clock[];
}

/** When a swivel that is not rinsed runs gritty, and when rusty, h. Trade estimates. */
const GRITTY_AFTER_H = 25;
const RUSTY_AFTER_H = 80;
/** How long a rubber band holds in sun and water, h. Trade estimate. */
const BAND_LASTS_H = 60;
/** Fish that a soft bait takes before it slides down. Trade estimate. */
const BAIT_LASTS_FISH = 4;

/** How long line lasts in a knot that a gentle bead rests on, and one that is chafed, h. Trade estimates. */
const KNOT_LASTS_H = { gentle: 25, chafed: 8 } as const;
/** Fish after which a knot is tied afresh. Trade estimate. */
const KNOT_LASTS_FISH = 6;

/** What is worn of a lure after so many hours and fish, as it stands. */
export function wearOf(build: Build, water: Water, used: Used): Wear {
  return { tie: tieWear(build, used), arm: armWear(build, used), clocks: clocksOf(build, water, used) };
}

function armWear(build: Build, { straightened }: Used): ArmWear | null {
  for (const { id, carrier } of carriersOf(build)) {
    if (carrier.kind !== 'bentWire') continue;
    const { material } = carrier.wire;
    const bends = carrier.sections
      .slice(carrier.sections.findIndex(isTie) + 1)
      .filter((each) => each.section === 'bend');
    if (!isTieMaterial(material) || bends.length === 0) return null;
    const lives = bends.map((bend) => straightenings(hingeAt(bend, carrier.wire.diameterM, material)));
    const least = lives.reduce((worst, each) => (each.value < worst.value ? each : worst));
    return { carrier: id, straightenings: least, used: straightened / least.value };
  }
  return null;
}

/** A bend as a hinge: one that is hardly bent works over a little wire all the same. */
function hingeAt(bend: Extract<Section, { section: 'bend' }>, wireM: number, material: Hinge['material']): Hinge {
  const { insideRadiusM, angleRad } = bend;
  return { wireM, material, insideRadiusM, roundRad: Math.max(LEAST_ROUND_RAD, Math.abs(angleRad)) };
}

const LEAST_ROUND_RAD = 0.2;

function tieWear(build: Build, { fish, straightened }: Used): TieWear | null {
  for (const { id, carrier } of carriersOf(build)) {
    if (carrier.kind !== 'bentWire') continue;
    const section = carrier.sections.find(isTie);
    if (!section) continue;
    if (section.section !== 'bend') return { outcome: 'closed', carrier: id };
    const { material, diameterM } = carrier.wire;
    if (!isTieMaterial(material)) return { outcome: 'outsideModel', carrier: id, material };
    const tie = hingeAt(section, diameterM, material);
    const isRinged = childrenOf(build, spotOf(id, 'tie')).some(({ part }) => part.kind === 'splitRing');
    const life = tieLife(tie, isRinged);
    return {
      outcome: 'open',
      carrier: id,
      isRinged,
      life,
      otherwise: tieLife(tie, !isRinged),
      used: (fish + straightened) / life.fish.value,
    };
  }
  return null;
}

/** Whether anything on it has a clock, however new it is. */
export function hasClocks(build: Build): boolean {
  return Object.values(build.items).some(wears) || onKnots(build).length > 0;
}

function wears(item: Item): boolean {
  switch (item.part.kind) {
    case 'rivet':
      return stateOf(item, 'rivet').fixing !== 'free';
    case 'skirt':
      return item.part.material === 'rubber';
    default:
      return item.part.kind === 'swivel' || item.part.kind === 'trailer';
  }
}

/** What rests on a snell or on the knot at the end of a line. */
function onKnots(build: Build): Item[] {
  return carriersOf(build).flatMap(({ carrier, strand }) => {
    if (carrier.kind !== 'line') return [];
    return strand.flatMap(({ item: id }, index) => {
      const item = itemOf(build, id);
      const behind = strand[index + 1];
      const isOnKnot = behind ? itemOf(build, behind.item).part.kind === 'hook' : carrier.tail.form === 'knot';
      return isOnKnot && holdsItself(item) === null ? [item] : [];
    });
  });
}

/** Since it was last renewed. */
function since({ hours, fish, renewed }: Used, id: ItemId): { readonly hours: number; readonly fish: number } {
  const { hours: hoursBefore, fish: fishBefore } = renewed?.[id] ?? UNUSED;
  return { hours: Math.max(0, hours - hoursBefore), fish: Math.max(0, fish - fishBefore) };
}

function knotClocks(build: Build, used: Used): Clock[] {
  return onKnots(build).map(({ id, part }) => {
    const { hours, fish } = since(used, id);
    const isGentle = isGentleToKnot(part);
    const lastsH = KNOT_LASTS_H[isGentle ? 'gentle' : 'chafed'];
    return { clock: 'knot', item: id, isGentle, used: hours / lastsH + fish / KNOT_LASTS_FISH, edits: [] };
  });
}

function clocksOf(build: Build, water: Water, used: Used): Clock[] {
  return [...knotClocks(build, used), ...itemClocks(build, water, used)];
}

function itemClocks(build: Build, water: Water, used: Used): Clock[] {
  return Object.values(build.items)
    .filter(wears)
    .flatMap((item): Clock[] => {
      const { id, part } = item;
      const { hours, fish } = since(used, id);
      const mended = (state: NonNullable<typeof item.state>): Edit[] => [
        { kind: 'adjust', item: id, changes: { state } },
      ];
      switch (part.kind) {
        case 'rivet': {
          const { fixing } = stateOf(item, 'rivet');
          return [
            {
              clock: 'squeak',
              item: id,
              wornIn: wornIn(fixing, hours),
              edits: mended({ of: 'rivet', fixing: 'free' }),
            },
          ];
        }
        case 'swivel': {
          const { condition: now } = stateOf(item, 'swivel');
          const by = worse(now, hours);
          if (by === 'free') return [];
          // Of one that hours have worn, the lure knows nothing yet.
          const free = now === 'free' ? [] : mended({ of: 'swivel', condition: 'free' });
          return [
            { clock: 'swivel', item: id, condition: by, stallsSoonerMps: soonerBy(build, water, id, by), edits: free },
          ];
        }
        case 'skirt':
          return [{ clock: 'band', item: id, used: hours / BAND_LASTS_H, edits: [] }];
        case 'trailer':
          return [{ clock: 'bait', item: id, used: fish / BAIT_LASTS_FISH, edits: [] }];
        default:
          return [];
      }
    });
}

/** The condition it is in, or the one that so many hours bring, whichever is worse. */
function worse(now: SwivelCondition, hours: number): SwivelCondition {
  if (now === 'rusty' || hours >= RUSTY_AFTER_H) return 'rusty';
  return now === 'gritty' || hours >= GRITTY_AFTER_H ? 'gritty' : 'free';
}

function soonerBy(build: Build, water: Water, swivel: ItemId, condition: SwivelCondition): number | null {
  const keeps = (each: SwivelCondition) => {
    const item = build.items[swivel];
    if (!item) return null;
    const state = { of: 'swivel', condition: each } as const;
    const stalls = stallSpeeds({ ...build, items: { ...build.items, [swivel]: { ...item, state } } }, water);
    return stalls.map(
      ({ station, stall }) => [station, stall.outcome === 'stalls' ? stall.keepsMps.value : null] as const,
    );
  };
  const [free, worn] = [keeps('free'), keeps(condition)];
  const sooner = (free ?? []).flatMap(([station, mps]) => {
    const then = worn?.find(([other]) => other === station)?.[1] ?? null;
    return mps === null || then === null || then - mps < LEAST_SOONER_MPS ? [] : [then - mps];
  });
  return sooner.length > 0 ? Math.max(...sooner) : null;
}

/** Less is no difference. */
const LEAST_SOONER_MPS = 0.005;
