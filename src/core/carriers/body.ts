import * as z from 'zod/mini';
import { bodyAt, bodyCentre, bodyProfile, isPlate, lipOf, type PlanePoint } from '../parts/body-form';
import { lureBodySchema, type LureBody } from '../parts/kinds/lure-body';
import type { WireEnd } from '../parts/wire-form';
import type { BodySide, CarrierRoom } from './room';
import { ALONG_X, type Pose } from './wire-path';

/**
 * The body of a hard bait. Nothing is threaded on it: what it carries hangs from its eyes, the one at its nose and the one
 * at its tail as from the loops of a wire, and from hangers that sit along its belly and its back.
 */
export const bodyCarrierSchema = z.strictObject({ kind: z.literal('body'), wire: lureBodySchema });
export type BodyCarrier = z.infer<typeof bodyCarrierSchema>;

const PLAIN: WireEnd = { form: 'plain' };

/** Its ballast lies low: so far below the middle of its volume, of its height. Trade estimate. */
const BALLAST_LOW = 0.14;
/** Along the stream on its section; across, on its side as seen from above; a slender body twice its base (Munk). Trade estimates. */
const AXIAL_DRAG = {
  diver: 0.22,
  minnow: 0.18,
  lipless: 0.25,
  popper: 0.6,
  walker: 0.22,
  swimmer: 0.22,
  spoon: 0.5,
  bladeBait: 0.3,
};
const ACROSS_DRAG = 0.9;

function eyeLoop({ eyeInnerDiameterM }: LureBody): WireEnd {
  return { form: 'bentLoop', insideDiameterM: eyeInnerDiameterM, gapM: 0 };
}

/** From the front of its nose eye to its nose, m. */
function frontM(body: LureBody): number {
  return body.tieOn === 'nose' ? body.eyeInnerDiameterM + 2 * body.eyeWireM : 0;
}

/** Middle of the eye that the line is tied to, from the body's nose; null of one at its nose. */
function tieFrom(body: LureBody): PlanePoint | null {
  const outM = body.eyeInnerDiameterM / 2 + body.eyeWireM;
  if (body.tieOn === 'back') return { xM: body.tieAtM, yM: bodyAt(body, body.tieAtM).upM + outM };
  const lip = body.tieOn === 'lip' ? lipOf(body) : null;
  if (!lip) return null;
  const share = body.tieAtM / body.lipLengthM;
  return {
    xM: lip.root.xM + share * (lip.tip.xM - lip.root.xM),
    yM: lip.root.yM + share * (lip.tip.yM - lip.root.yM) + outM,
  };
}

/** The outline of a body and its lip from its nose, once about, m. */
export function bodyOutline(body: LureBody): PlanePoint[] {
  const stations = bodyProfile(body);
  const lip = lipOf(body);
  return [
    ...stations.map(({ xM, upM }) => ({ xM, yM: upM })),
    ...stations.toReversed().map(({ xM, downM }) => ({ xM, yM: -downM })),
    ...(lip ? [lip.root, lip.tip] : []),
  ];
}

/** On the skin of a body this far from its nose, above its axis, m. */
export function skinM(body: LureBody, atM: number, side: BodySide): number {
  const { upM, downM } = bodyAt(body, atM);
  return side === 'back' ? upM : -downM;
}

export const bodyCarrierRoom: CarrierRoom<BodyCarrier> = {
  end: ({ wire }, end) =>
    end === 'nose' ? (wire.tieOn === 'nose' ? eyeLoop(wire) : PLAIN) : wire.hasTailEye ? eyeLoop(wire) : PLAIN,
  forms: ['plain', 'bentLoop'],
  castsNose: false,
  hasEyes: true,
  hangsBy: 'tie',
  tieInsideM: ({ wire }) => (wire.tieOn === 'nose' ? null : wire.eyeInnerDiameterM),
  strandM: ({ wire }) => wire.eyeWireM,
  massKg: ({ wire }) => wire.massKg,
  isLimp: false,
  isAsLongAsItsStack: false,
  runM: ({ wire }) => wire.lengthM,
  lie: ({ wire }) => {
    const noseM = frontM(wire);
    const from = tieFrom(wire);
    const at = (place: PlanePoint): Pose => ({ xM: noseM + place.xM, yM: place.yM, angleRad: 0 });
    const pulledAt = from ? at(from) : { xM: noseM / 2, yM: 0, angleRad: 0 };
    return {
      path: null,
      pulledAt,
      outline: bodyOutline(wire).map(at),
      lines: { run: ALONG_X, trail: ALONG_X, head: ALONG_X, tie: pulledAt, skin: at({ xM: 0, yM: 0 }) },
    };
  },
  skinM: ({ wire }, atM, side) => skinM(wire, atM, side),
  terms: () => [],
  isCut: () => false,
  pieces: ({ wire }, { lines: { skin } }) => {
    const middle = bodyCentre(wire);
    const xM = skin.xM + middle.xM;
    const yM = skin.yM + middle.yM;
    const frontM2 = (Math.PI / 4) * wire.heightM * wire.widthM;
    const lip = lipOf(wire);
    const still = {
      massKg: 0,
      volumeM3: 0,
      zM: 0,
      kind: 'hard',
      axialM2: 0,
      strandM2: 0,
      sideM2: 0,
      slopeM2: 0,
    } as const;
    return [
      { ...still, massKg: wire.massKg, xM, yM: yM - (isPlate(wire) ? 0 : BALLAST_LOW) * wire.heightM },
      {
        ...still,
        volumeM3: wire.volumeM3,
        xM,
        yM,
        axialM2: AXIAL_DRAG[wire.shape] * frontM2,
        sideM2: ACROSS_DRAG * wire.lengthM * wire.widthM,
        slopeM2: 2 * frontM2,
      },
      ...(lip
        ? [
            {
              ...still,
              xM: skin.xM + (lip.root.xM + lip.tip.xM) / 2,
              yM: skin.yM + (lip.root.yM + lip.tip.yM) / 2,
              plate: {
                areaM2: wire.lipLengthM * wire.lipWidthM,
                aspect: wire.lipWidthM / wire.lipLengthM,
                downRad: wire.lipDownRad,
              },
            },
          ]
        : []),
    ];
  },
  spring: () => null,
  bought: ({ wire }) => wire,
  threadedOver: ['nose'],
  unworked: () => null,
  stock: ['lureBody'],
  bare: (carrier) => carrier,
  bends: () => null,
  settled: (now) => now,
  playM: () => null,
  lengthened: null,
  opensAgain: () => false,
  formed: ({ wire: { id } }) => [id],
};
