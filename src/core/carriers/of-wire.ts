import { wireMass } from '../parts/stock';
import { WIRE_DRAG } from '../parts/kinds/room';
import { densityOf } from '../parts/material';
import type { Wire } from '../parts/kinds/wire';
import type { Line } from '../parts/kinds/line';
import type { CarrierPiece, Lie } from './room';
import { ALONG_X } from './wire-path';

/** A piece of wire or line: how long, where its middle is, and of its length what stands across the stream, m. */
export interface PieceOfWire {
  readonly lengthM: number;
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  readonly acrossM: number;
}

/** Pieces of this wire or line in the water. */
export function piecesOf(wire: Wire | Line, pieces: readonly PieceOfWire[]): CarrierPiece[] {
  const density = densityOf(wire.material);
  return pieces.map(({ lengthM, xM, yM, zM, acrossM }) => {
    const massKg = wireMass(wire, lengthM);
    return {
      kind: 'wire',
      massKg,
      volumeM3: massKg / density,
      xM,
      yM,
      zM,
      axialM2: WIRE_DRAG * wire.diameterM * acrossM,
      strandM2: 0,
      sideM2: WIRE_DRAG * wire.diameterM * lengthM,
      slopeM2: 0,
    };
  });
}

/** What wire and line say alike. */
export const ofWire = {
  hasEyes: false,
  strandM: ({ wire }: { readonly wire: Wire | Line }) => wire.diameterM,
  massKg: ({ wire }: { readonly wire: Wire | Line }, inLureM: number) => wireMass(wire, inLureM),
  skinM: null,
} as const;

/** How wire or line lies that is not bent: all its lines are one. */
export const STRAIGHT: Lie = {
  lines: { run: ALONG_X, trail: ALONG_X, head: ALONG_X, tie: ALONG_X, skin: ALONG_X },
  path: null,
  pulledAt: null,
  outline: null,
};
