'use client';

import { useCallback, useEffect, useState, type ComponentType, type ReactNode } from 'react';
import type { KeptPicture } from '@/data/kept-picture';
import { Boundary } from '@/ui/Boundary';
import { useAfterPaint } from '@/ui/use-after-paint';
import { findPicture } from './first-picture';

export interface WholeProps {
  /** Its drawing stands: until then it is laid out unseen, behind the picture of it. */
  readonly isSeen: boolean;
  /** Called when its drawing is painted, or had the time to be. */
  readonly onStands: () => void;
}

export interface PictureFirstProps {
  /** Where the picture is that a newcomer sees. */
  readonly firstPicture: string;
  /** Of the place, for when it fails. */
  readonly name: string;
  /** The place before it is there; null where there is no picture for it. */
  readonly before: (picture: KeptPicture | null, onPainted: () => void) => ReactNode;
  readonly Whole: ComponentType<WholeProps>;
}

/**
 * The lure as it was last painted stands first, at once; the rest of the app loads behind it and takes its place as soon as it
 * has painted the same.
 */
export function PictureFirst({ firstPicture, name, before, Whole }: PictureFirstProps) {
  const [found, setFound] = useState<{ readonly picture: KeptPicture | null } | null>(null);
  const [isPainted, setPainted] = useState(false);
  const [stands, setStands] = useState(false);
  useEffect(() => {
    let isShown = true;
    void findPicture(firstPicture).then((picture) => {
      if (isShown) setFound({ picture });
    });
    return () => {
      isShown = false;
    };
  }, [firstPicture]);
  const [hasHadTime, setHadTime] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setHadTime(true), UNSEEN_MS);
    return () => clearTimeout(timer);
  }, []);
  const hasBeenSeen = useAfterPaint(isPainted);
  const mayLoad = hasBeenSeen || hasHadTime || (found !== null && found.picture === null);
  const onStands = useCallback(() => setStands(true), []);
  const onPainted = useCallback(() => setPainted(true), []);
  return (
    <>
      {!stands && before(found?.picture ?? null, onPainted)}
      {mayLoad && (
        <Boundary name={name} isOver>
          <Whole isSeen={stands} onStands={onStands} />
        </Boundary>
      )}
    </>
  );
}

/** A picture that is not painted in this time keeps nobody waiting longer. */
const UNSEEN_MS = 4_000;
