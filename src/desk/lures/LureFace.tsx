'use client';

import { useEffect, useState } from 'react';
import type { Build, Family, LureId } from '@/core/lure/lure';
import { showLength, showMass, type UnitSystem } from '@/core/units/write';
import type { ShelfEntry } from '@/data/stored';
import { LurePicture } from '@/drawing/LurePicture';
import { useAfterPaint } from '@/ui/use-after-paint';
import { FAMILY_WORDS } from '@/words/family-words';
import { laidOf, massOf } from '../derived';
import { useDesk } from '../desk-state';
import { openStores } from '../stores';

const PICTURES = {
  large: { width: 240, height: 84, scale: 1.7 },
  small: { width: 112, height: 44, scale: 0.8 },
} as const;

export interface LureFaceProps {
  readonly lure: Pick<ShelfEntry, 'id' | 'name' | 'family' | 'isMade' | 'changedAt'>;
  readonly look: keyof typeof PICTURES;
}

/** What a lure is known by in a list: its drawing, name, kind, size, and whether it is made. Read when it comes into sight. */
export function LureFace({ lure: { id, name, family, isMade, changedAt }, look }: LureFaceProps) {
  const system = useDesk((state) => state.settings.system);
  const build = useBuild(id as LureId, changedAt, useAfterPaint(true));
  const { width, height } = PICTURES[look];
  const size = build ? sizeWords(build, system) : '';
  return (
    <>
      <span className="shrink-0 rounded bg-stage" style={{ width, height }}>
        {build && <LurePicture build={build} {...PICTURES[look]} />}
      </span>
      <span className="flex min-w-0 flex-col text-left">
        <span className="font-semibold break-words">{name}</span>
        <span className="text-sm text-ink-soft">
          {FAMILY_WORDS[family as Family]}
          {size}, {isMade ? 'made' : 'a design'}
        </span>
      </span>
    </>
  );
}

function sizeWords(build: Build, system: UnitSystem): string {
  const { x0M, x1M } = laidOf(build).layout;
  return `, ${showLength(x1M - x0M, system)}, ${showMass(massOf(build), system)}`;
}

/** Read once its row is painted, so that names can be read and pressed at once. */
function useBuild(id: LureId, changedAt: number, isPainted: boolean): Build | null {
  const [build, setBuild] = useState<Build | null>(null);
  useEffect(() => {
    if (!isPainted) return;
    let isHere = true;
    void openStores()
      .then((stores) => stores.lures.readBuild(id))
      .then((read) => isHere && read.ok && setBuild(read.value));
    return () => {
      isHere = false;
    };
  }, [id, changedAt, isPainted]);
  return build;
}
