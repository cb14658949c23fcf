'use client';

import { useRef } from 'react';
import { nailsOf, type PlacedNail } from '@/core/geometry/knocker';
import type { Layout } from '@/core/geometry/layout';
import type { Build } from '@/core/lure/lure';
import { nailLengthM } from '@/core/parts/kinds/nail-weight';
import { showLength, type UnitSystem } from '@/core/units/write';
import type { StageView } from '@/drawing/stage-view';
import { pick, showDraft } from '../desk-state';
import { doDraft } from '../open-lure';
import { KnobSheet, StageKnob } from './StageKnob';

export interface NailHandlesProps {
  readonly build: Build;
  readonly layout: Layout;
  readonly view: StageView;
  readonly system: UnitSystem;
}

/** Beyond its end, px. */
const BELOW_PX = 26;
const STEP_M = 1e-4;

/** A handle below each nail weight: drawn it screws the nail out and in; an arrow key by a tenth of a millimetre. */
export function NailHandles({ build, layout, view, system }: NailHandlesProps) {
  const nails = nailsOf(build, layout);
  if (nails.length === 0) return null;
  return (
    <KnobSheet view={view}>
      {nails.map((nail) => (
        <Handle key={nail.nail.id} placed={nail} view={view} system={system} />
      ))}
    </KnobSheet>
  );
}

function Handle({
  placed: { nail, part, state, end, outRad },
  view,
  system,
}: {
  readonly placed: PlacedNail;
  readonly view: StageView;
  readonly system: UnitSystem;
}) {
  const held = useRef<{ readonly fromPx: number; readonly outM: number } | null>(null);
  const px = 1000 * view.pxPerMm;
  const at = { x: view.originX + end.xM * px, y: view.originY - end.yM * px };
  const out = { x: Math.cos(outRad), y: -Math.sin(outRad) };
  const mostM = nailLengthM(part, state);
  const words = `${showLength(state.outM, system)} out`;
  const set = (outM: number) =>
    showDraft([
      {
        kind: 'adjust',
        item: nail.id,
        changes: { state: { ...state, outM: Math.min(Math.max(Math.round(outM / STEP_M) * STEP_M, 0), mostM) } },
      },
    ]);
  const along = ({ x, y }: { readonly x: number; readonly y: number }) => x * out.x + y * out.y;
  return (
    <StageKnob
      at={at}
      grip={{ x: at.x + BELOW_PX * out.x, y: at.y + BELOW_PX * out.y }}
      label="Nail weight, on the drawing"
      min={0}
      max={Math.round(mostM * 1e4) / 10}
      now={Math.round(state.outM * 1e4) / 10}
      words={words}
      hint={`Nail weight: ${words}. Draw it out or in, or use the arrow keys.`}
      onHold={(pointer) => {
        held.current = { fromPx: along(pointer), outM: state.outM };
        pick(nail.id);
      }}
      onDraw={(pointer) => {
        if (held.current) set(held.current.outM + (along(pointer) - held.current.fromPx) / px);
      }}
      // Down and to the right is out of the belly.
      onStep={(steps) => set(state.outM - steps * STEP_M)}
      onSettle={() => {
        held.current = null;
        doDraft('nail');
      }}
    />
  );
}
