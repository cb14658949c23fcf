'use client';

import { capital } from '@/words/capital';
import { useRef } from 'react';
import { bendTo } from '@/core/lure/bending';
import type { Layout } from '@/core/geometry/layout';
import type { Build } from '@/core/lure/lure';
import type { PlacedSection } from '@/core/carriers/wire-path';
import type { Point } from '@/drawing/path';
import type { StageView } from '@/drawing/stage-view';
import { bendAngle, bendName } from '@/words/bend-words';
import { pick, showDraft, useDesk } from '../desk-state';
import { doDraft } from '../open-lure';
import { KnobSheet, StageKnob } from './StageKnob';

export interface BendHandlesProps {
  readonly build: Build;
  readonly layout: Layout;
  readonly view: StageView;
}

/** How far from its bend a handle stands, px: far enough to be turned with care. */
const LEVER_PX = 34;
const KEY_STEP_RAD = Math.PI / 180;
const MOST_DEGREES = 215;

/** A handle at each bend of the wire: drawn round its bend it bends what lies beyond; arrow keys bend by a degree. */
export function BendHandles({ build, layout, view }: BendHandlesProps) {
  const { carrier } = build;
  if (carrier.kind !== 'bentWire' || !layout.path) return null;
  return (
    <KnobSheet view={view}>
      {layout.path.sections
        .filter(({ section }) => section.section === 'bend')
        .map((placed) => (
          <Handle key={placed.index} placed={placed} name={bendName(carrier, placed.index)} view={view} />
        ))}
    </KnobSheet>
  );
}

function Handle({
  placed,
  name,
  view,
}: {
  readonly placed: PlacedSection;
  readonly name: string;
  readonly view: StageView;
}) {
  const held = useRef<{ readonly fromRad: number; readonly angleRad: number } | null>(null);
  const { section, start, end, index } = placed;
  if (section.section !== 'bend') return null;
  const px = 1000 * view.pxPerMm;
  const at = { x: view.originX + ((start.xM + end.xM) / 2) * px, y: view.originY - ((start.yM + end.yM) / 2) * px };
  const words = bendAngle(section.angleRad);
  const bend = (angleRad: number) => {
    // The wire as it is done, not as it is drawn under the hand: else every step would build on the last.
    const carrier = useDesk.getState().history?.lure.build.carrier;
    if (carrier?.kind === 'bentWire') showDraft(bendTo(carrier, index, angleRad));
  };
  const angleOf = ({ x, y }: Point) => Math.atan2(at.y - y, x - at.x);
  return (
    <StageKnob
      at={at}
      grip={{ x: at.x + LEVER_PX * Math.cos(end.angleRad), y: at.y - LEVER_PX * Math.sin(end.angleRad) }}
      label={`${capital(name)}, on the drawing`}
      min={-MOST_DEGREES}
      max={MOST_DEGREES}
      now={Math.round((section.angleRad * 180) / Math.PI)}
      words={words}
      hint={`${capital(name)}: ${words}. Draw it round, or use the arrow keys.`}
      onHold={(pointer) => {
        held.current = { fromRad: angleOf(pointer), angleRad: section.angleRad };
        pick('wire');
      }}
      onDraw={(pointer) => {
        if (!held.current) return;
        const { fromRad, angleRad } = held.current;
        const turnedRad = angleOf(pointer) - fromRad;
        bend(angleRad + Math.atan2(Math.sin(turnedRad), Math.cos(turnedRad)));
      }}
      onStep={(steps) => bend(section.angleRad + steps * KEY_STEP_RAD)}
      onSettle={() => {
        held.current = null;
        doDraft('bend');
      }}
    />
  );
}
