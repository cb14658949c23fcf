/** A bent wire as bent: flat, in line, long enough for what is on it, its end loop closed. */
import type { Section } from '../../parts/wire-form';
import type { Edit } from '../../lure/edit';
import { noRepairs, type Finding, type Repair } from '../finding';
import { stateOf } from '../../lure/item-state';
import type { Layout } from '../../geometry/layout';
import { childrenOf, itemOf, spotOf, type Build, type CarrierId } from '../../lure/lure';
import type { BentWire } from '../../carriers/bent-wire';
import { walkWire } from '../../carriers/wire-path';
import { USUAL_ROOM_M } from './clevises';

/** A bend twisted further than this is seen, and turns the lure over. Trade estimate. */
const MOST_TWIST_RAD = (3 * Math.PI) / 180;
/** How far beside the hook's plane the end of the arm may stand. Trade estimate. */
const MOST_OFFSET_M = 0.002;
/** What slips through an end loop is stopped by a gap smaller than itself and this. Trade estimate. */
const SNUG_M = 0.0001;

/** Of a bent wire; nothing of a straight one. */
export function armFindings(build: Build, layout: Layout): Finding[] {
  const { carrier } = build;
  if (carrier.kind !== 'bentWire' || !layout.path) return [];
  return [
    ...tooShort(build, layout, carrier),
    ...twisted(layout, carrier),
    ...outOfLine(layout, carrier),
    ...endLoop(build, layout.id, carrier),
  ];
}

function tooShort(build: Build, { stackM }: Layout, { armM }: BentWire): Finding[] {
  if (stackM <= armM) return [];
  const toM = Math.ceil((stackM + USUAL_ROOM_M) * 1000) / 1000;
  const edits: Edit[] = [{ kind: 'carrier', changes: { armM: toM } }];
  return [
    {
      code: 'armTooShort',
      key: 'armTooShort',
      severity: 'fault',
      items: build.strand.slice(0, 1).map(({ item }) => item),
      stackM,
      armM,
      repairs: () => [{ code: 'lengthenArm', toM, edits }],
    },
  ];
}

function twisted({ path }: Layout, carrier: BentWire): Finding[] {
  const sideRad = path?.armSideRad ?? 0;
  const isOff = Math.abs(sideRad) > MOST_TWIST_RAD;
  const flat = () => carrier.sections.map((each) => (each.section === 'bend' ? { ...each, sideRad: 0 } : each));
  return [
    {
      code: 'armTwisted',
      key: 'armTwisted',
      severity: isOff ? 'fault' : 'good',
      items: [],
      sideRad,
      mostRad: MOST_TWIST_RAD,
      repairs: isOff ? () => [{ code: 'straighten', edits: [sections(flat())] }] : noRepairs,
    },
  ];
}

/** The arm may be flat and yet stand beside the hook: a small bend near the head brings it and its blades back into line. */
function outOfLine({ path }: Layout, carrier: BentWire): Finding[] {
  if (!path) return [];
  const offsetM = path.armEndZM;
  const isOff = Math.abs(offsetM) > MOST_OFFSET_M;
  return [
    {
      code: 'armOutOfLine',
      key: 'armOutOfLine',
      severity: isOff ? 'caution' : 'good',
      items: [],
      offsetM,
      mostM: MOST_OFFSET_M,
      repairs: isOff ? () => bendNearHead(carrier) : noRepairs,
    },
  ];
}

/** The bend nearest the head, twisted so far that the end of the arm stands over the hook again. */
function bendNearHead(carrier: BentWire): Repair[] {
  const index = carrier.sections.findIndex(({ section }) => section === 'bend');
  const bend = carrier.sections[index];
  if (bend?.section !== 'bend') return [];
  const offsetAt = (sideRad: number) => {
    const tried = replaced(carrier.sections, index, { ...bend, sideRad });
    return walkWire({ ...carrier, sections: tried }, carrier.wire.diameterM, { xM: 0, yM: 0 }).armEndZM;
  };
  // The offset is all but straight in the twist: a few secant steps settle it.
  let [a, b] = [bend.sideRad, bend.sideRad + 0.05];
  for (let round = 0; round < 8; round++) {
    const [fa, fb] = [offsetAt(a), offsetAt(b)];
    if (Math.abs(fb) < 1e-7 || fa === fb) break;
    [a, b] = [b, b - (fb * (b - a)) / (fb - fa)];
  }
  const isWithin = Number.isFinite(b) && Math.abs(b) < 0.6;
  if (!isWithin) return [];
  const edits = [sections(replaced(carrier.sections, index, { ...bend, sideRad: b }))];
  return [{ code: 'bendNearHead', sideRad: b - bend.sideRad, edits }];
}

/** The tube slid up over the loop's end closes a gap that pliers did not. */
function endLoop(build: Build, id: CarrierId, carrier: BentWire): Finding[] {
  const { tail, wire } = carrier;
  const hung = childrenOf(build, spotOf(id, 'tail'));
  const [held] = hung;
  if (tail.form !== 'bentLoop' || !held) return [];
  const last = build.strand.at(-1);
  const plug = last ? itemOf(build, last.item) : null;
  const isTube = plug?.part.kind === 'sleeve';
  const isUp = plug?.part.kind === 'sleeve' && stateOf(plug, 'sleeve').slidUp;
  const slips = tail.gapM > thicknessOf(held.part) - SNUG_M;
  const goesOver = plug?.part.kind === 'sleeve' && plug.part.boreM >= 2 * wire.diameterM;
  const is = !slips ? 'closed' : !isUp ? 'open' : goesOver ? 'plugged' : 'plugTooTight';
  const close = { code: 'closeLoop', edits: [{ kind: 'carrier', changes: { tail: { ...tail, gapM: 0 } } }] } as const;
  const slide =
    isTube && !isUp && goesOver
      ? [
          {
            code: 'slideTubeUp',
            edits: [{ kind: 'adjust', item: plug.id, changes: { state: { of: 'sleeve', slidUp: true } } }],
          } as const,
        ]
      : [];
  const isGood = is === 'closed' || is === 'plugged';
  return [
    {
      code: 'endLoop',
      key: 'endLoop',
      severity: isGood ? 'good' : 'fault',
      items: [held.id],
      is,
      gapM: tail.gapM,
      repairs: isGood ? noRepairs : () => [...slide, close],
    },
  ];
}

function thicknessOf(part: ReturnType<typeof itemOf>['part']): number {
  switch (part.kind) {
    case 'swivel':
      return part.eyeWireM;
    case 'splitRing':
      return 2 * part.wireDiameterM;
    case 'blade':
      return part.thicknessM;
    default:
      return 0;
  }
}

function sections(next: readonly Section[]): Edit {
  return { kind: 'carrier', changes: { sections: [...next] } };
}

function replaced(all: readonly Section[], index: number, section: Section): Section[] {
  return all.map((each, i) => (i === index ? section : each));
}
