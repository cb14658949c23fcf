/** A body taken as the carrier, with the hangers that are moulded into it. */
import type { LureBody } from '../parts/kinds/lure-body';
import { isMouldedEye, type ScrewEye } from '../parts/kinds/screw-eye';
import { partIdSchema } from '../parts/kinds/common';
import type { Edit } from './edit';
import { seatPart } from './editing';
import { FIRST_CARRIER, type Build, type CarrierId, type Item, type Seat } from './lure';
import { carriersOf, hangingOn } from './strung';

/** A moulded eye reaches so far into the body, of its height; what it weighs is weighed with the body. */
const IN_BODY = 0.4;

/** The eye that stands moulded in a body of this kind. */
export function mouldedEye(body: LureBody): ScrewEye {
  return {
    kind: 'screwEye',
    style: 'moulded',
    id: partIdSchema.parse('eye-moulded'),
    name: 'Moulded eye',
    maker: body.maker,
    label: null,
    material: 'stainless',
    finish: { name: 'bright steel', hex: '#a7adb2', sheen: 'metal' },
    massKg: MOULDED_KG,
    eyeInnerDiameterM: body.eyeInnerDiameterM,
    wireDiameterM: body.eyeWireM,
    threadLengthM: IN_BODY * body.heightM,
  };
}

/** What an eye of this size weighs on its own. Trade estimate; on a body it counts nothing. */
const MOULDED_KG = 0.0001;

/** The hangers that sit in a carrier's body, from its nose. */
export function hangersOf({ items }: Build, carrier: CarrierId = FIRST_CARRIER): (Item & { seat: OnBody })[] {
  return Object.values(items)
    .filter((item): item is Item & { seat: OnBody } => isOn(item.seat, carrier))
    .sort((a, b) => a.seat.atM - b.seat.atM);
}

/** Eyes are screwed in between here and there, of the length of the body. Trade estimates. */
const EYES_FROM = 0.12;
const EYES_TO = 0.92;
const FIRST_EYE_AT = 0.35;

/** Where on its belly a new eye has most room, m behind the nose. */
export function freestPlace(build: Build, { lengthM }: LureBody): number {
  const taken = hangersOf(build).flatMap(({ seat }) => (seat.side === 'belly' ? [seat.atM] : []));
  if (taken.length === 0) return FIRST_EYE_AT * lengthM;
  const edges = [EYES_FROM * lengthM, ...taken, EYES_TO * lengthM];
  let [widestM, atM] = [0, FIRST_EYE_AT * lengthM];
  for (let i = 1; i < edges.length; i++) {
    const [from, to] = [edges[i - 1] as number, edges[i] as number];
    if (to - from > widestM) [widestM, atM] = [to - from, (from + to) / 2];
  }
  return Math.round(atM * 1e4) / 1e4;
}

type OnBody = Extract<Seat, { on: 'body' }>;

function isOn(seat: Seat, carrier: CarrierId): seat is OnBody {
  return seat.on === 'body' && (seat.carrier ?? FIRST_CARRIER) === carrier;
}

/**
 * The edits that take this body in place of what the line pulls now. What hung from a moulded eye hangs from the eye that
 * stands in its place, as far as the new body has one; what has none comes off, and so does what is screwed in behind its end.
 */
export function takeBody(build: Build, body: LureBody): Edit[] {
  const hangers = hangersOf(build);
  const moulded = hangers.filter(({ part }) => isMouldedEye(part));
  const beyond = hangers.filter((each) => !moulded.includes(each) && each.seat.atM > body.lengthM);
  const eye = mouldedEye(body);
  const edits: Edit[] = [{ kind: 'carry', carrier: { kind: 'body', wire: body } }];
  const gone = [...moulded.slice(body.bellyEyesM.length), ...beyond].map(({ id }) => hangingOn(build, id));
  const [items, carriers] = [gone.flatMap((each) => each.items), gone.flatMap((each) => each.carriers)];
  if (items.length > 0) edits.push({ kind: 'remove', items, ...(carriers.length > 0 ? { carriers } : {}) });
  let grown = build;
  body.bellyEyesM.forEach((atM, i) => {
    const seat: OnBody = { on: 'body', side: 'belly', atM };
    const standing = moulded[i];
    if (standing) {
      edits.push({ kind: 'reseat', item: standing.id, seat }, { kind: 'swapPart', item: standing.id, part: eye });
      return;
    }
    const put = seatPart(grown, eye, seat);
    const [item] = put.kind === 'insert' ? put.items : [];
    if (item) grown = { ...grown, items: { ...grown.items, [item.id]: item } };
    edits.push(put);
  });
  return edits;
}

/** A build of this body with nothing hung on it. */
export function bareBody(body: LureBody): Build {
  const items: Build['items'] = {};
  const build: Build = { carrier: { kind: 'body', wire: body }, items, strand: [], joined: [] };
  for (const edit of takeBody(build, body)) {
    if (edit.kind === 'insert') for (const item of edit.items) items[item.id] = item;
  }
  return build;
}

/** Whether a hard bait hangs on the line, alone or behind something. */
export function hasBody(build: Build): boolean {
  return carriersOf(build).some(({ carrier }) => carrier.kind === 'body');
}
