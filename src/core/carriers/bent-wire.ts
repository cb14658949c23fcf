import * as z from 'zod/mini';
import { lastPer } from '../once';
import { shortText } from '../schema';
import { formedLength, wireIn, wireInEnd } from '../parts/formed-wire';
import { partIdSchema } from '../parts/kinds/common';
import type { Frame } from '../parts/kinds/frame';
import { wireSchema } from '../parts/kinds/wire';
import { wireFormSchema, type Section } from '../parts/wire-form';
import type { LengthTerm } from './length-term';
import { ALONG_X, pointOn, walkWire } from './wire-path';
import { ofWire, piecesOf } from './of-wire';
import type { CarrierRoom } from './room';

/** A bent wire: its nose is cast in a head, its arm carries the strand. */
export const bentWireSchema = z.strictObject({
  kind: z.literal('bentWire'),
  wire: wireSchema,
  ...wireFormSchema.def.shape,
  /** The bought frame it came as; null for wire the builder bends. */
  bought: z.nullable(z.strictObject({ id: partIdSchema, name: shortText, maker: shortText })),
});
export type BentWire = z.infer<typeof bentWireSchema>;

/** Wire that a builder casts into a head. Trade estimate. */
const IN_HEAD_M = 0.012;

/** A bend moved along a wire asks for this little more or less. Trade estimate. */
const SPARE_WIRE_M = 0.001;

/** A bought frame as the carrier it is. */
export function carrierOfFrame({ wire, form, id, name, maker }: Frame): BentWire {
  return { kind: 'bentWire', wire, ...form, bought: { id, name, maker } };
}

/** Whether the line is tied in this section: a coil, or a bend that is one. */
export function isTie(section: Section): boolean {
  return section.section === 'coil' || (section.section === 'bend' && section.isTie);
}

function termOf(section: Section, wireM: number): LengthTerm {
  switch (section.section) {
    case 'straight':
      return { code: 'straight', lengthM: section.lengthM };
    case 'bend': {
      const { angleRad, insideRadiusM } = section;
      return { code: 'bend', angleRad, insideRadiusM, lengthM: wireIn(section, wireM) };
    }
    case 'coil': {
      const { turns, insideDiameterM } = section;
      return { code: 'coil', turns, insideDiameterM, lengthM: wireIn(section, wireM) };
    }
  }
}

function tieInsideM({ sections }: BentWire): number | null {
  const tie = sections.find(isTie);
  return tie?.section === 'coil' ? tie.insideDiameterM : tie?.section === 'bend' ? 2 * tie.insideRadiusM : null;
}

/** The way of a wire: while parts on it change it stays as it is. */
const pathOf = lastPer((carrier: BentWire, headWireAtM: number) =>
  walkWire(carrier, carrier.wire.diameterM, { xM: headWireAtM, yM: 0 }),
);

export const bentWireRoom: CarrierRoom<BentWire> = {
  ...ofWire,
  // Its nose is in its head and has no form of its own.
  end: ({ tail }, end) => (end === 'tail' ? tail : { form: 'plain' }),
  forms: ['plain', 'wrappedLoop', 'bentLoop', 'bentOver'],
  castsNose: true,
  hangsBy: 'tie',
  tieInsideM,
  isLimp: false,
  isAsLongAsItsStack: false,
  runM: ({ armM }) => armM,
  lie: (carrier, tailM, { wireAtM, eye }) => {
    const path = pathOf(carrier, wireAtM);
    // A jig head has the eye, a spinnerbait's wire the tie.
    const pulledAt = path.tie ?? (eye && { ...eye, angleRad: 0 });
    const at = pointOn(path.arm, tailM);
    const trail = { xM: at.xM - tailM, yM: at.yM, angleRad: 0 };
    return {
      path,
      pulledAt,
      outline: null,
      lines: { run: path.arm, trail, head: ALONG_X, tie: pulledAt ?? ALONG_X, skin: ALONG_X },
    };
  },
  terms: ({ sections, armM, wire }) => [
    { code: 'inHead', lengthM: IN_HEAD_M },
    ...sections.map((section) => termOf(section, wire.diameterM)),
    { code: 'arm', lengthM: armM },
  ],
  isCut: ({ bought }) => bought === null,
  pieces: ({ armM, wire }, { path }, terms) => {
    if (!path) return [];
    const bent = path.sections.map(({ fromM, toM, start, end, points }) => {
      const middle = points[Math.floor(points.length / 2)];
      return {
        lengthM: toM - fromM,
        xM: middle?.xM ?? start.xM,
        yM: middle?.yM ?? start.yM,
        zM: middle?.zM ?? 0,
        acrossM: Math.abs(end.yM - start.yM),
      };
    });
    const middle = pointOn(path.arm, armM / 2);
    const end = pointOn(path.arm, armM);
    const arm = {
      lengthM: armM,
      ...middle,
      zM: (path.armStartZM + path.armEndZM) / 2,
      acrossM: armM * Math.abs(Math.sin(path.arm.angleRad)),
    };
    const start = path.sections[0]?.start ?? path.arm;
    // What is in the head and in the end's loop is in the length of the wire and in none of its sections.
    const ends = terms.flatMap((term) => {
      const { lengthM } = term;
      if (term.code === 'inHead') return [{ lengthM, xM: start.xM, yM: start.yM, zM: 0, acrossM: 0 }];
      return 'end' in term || term.code === 'turnedDown' ? [{ lengthM, ...end, zM: path.armEndZM, acrossM: 0 }] : [];
    });
    return piecesOf(wire, [...bent, arm, ...ends]);
  },
  spring: (carrier) => {
    const { armM, sections, wire } = carrier;
    if (armM <= 0) return null;
    const tie = sections.find(isTie);
    return { wire, armM, bendWireM: tie ? wireIn(tie, wire.diameterM) : 0, bendInsideM: tieInsideM(carrier) };
  },
  bought: ({ bought }) => bought,
  threadedOver: ['tail'],
  unworked: (carrier) =>
    carrier.sections.length === 0 ? { lengthM: carrier.armM, at: (armM) => ({ ...carrier, armM }) } : null,
  stock: ['frame', 'wire'],
  bare: (carrier, cutM) => ({
    ...carrier,
    startRad: 0,
    sections: [],
    armM: cutM,
    tail: { form: 'plain' },
    bought: null,
  }),
  bends: ({ sections }) =>
    sections.length > 0 ? sections.filter(({ section }) => section !== 'straight').length : null,
  settled: (now, wanted) => {
    if (now.sections.length < wanted.sections.length) return now;
    const isOpen = now.tail.form === 'plain' && wanted.tail.form !== 'plain';
    return { ...now, armM: wanted.armM + (isOpen ? wireInEnd(wanted.tail, wanted.wire.diameterM) : 0) };
  },
  playM: () => null,
  lengthened: (carrier, by) => ({ ...carrier, armM: carrier.armM * by }),
  // One whose end is not wrapped comes open again, as long as no more wire is wanted than there is.
  opensAgain: (from, to) => {
    const isSameWire = from.wire.id === to.wire.id && from.wire.diameterM === to.wire.diameterM;
    const isEnough = formedLength(to, to.wire.diameterM) <= formedLength(from, from.wire.diameterM) + SPARE_WIRE_M;
    return isSameWire && isEnough && from.tail.form !== 'wrappedLoop';
  },
  formed: ({ startRad, sections, armM }) => [startRad, sections, armM],
};
