'use client';

import { useCallback, useEffect, useState } from 'react';
import type { KeptPicture } from '@/data/kept-picture';
import { findPicture } from '@/desk/first-picture';
import { Boundary } from '@/ui/Boundary';
import { latePart } from '@/ui/late-part';
import { useAfterPaint } from '@/ui/use-after-paint';
import { FirstScreen } from './FirstScreen';

const WholeBench = latePart(() => import('./WholeBench').then((room) => room.WholeBench));

export interface BenchProps {
  /** Where the picture is that a newcomer sees. */
  readonly firstPicture: string;
}

/**
 * The Bench. The lure as it was last painted stands first, at once; the rest of the app loads behind it and takes its place
 * as soon as it has painted the same.
 */
export function Bench({ firstPicture }: BenchProps) {
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
      {!stands && <FirstScreen picture={found?.picture ?? null} onPainted={onPainted} />}
      {mayLoad && (
        <Boundary name="The Bench" isOver>
          <WholeBench isSeen={stands} onStands={onStands} />
        </Boundary>
      )}
    </>
  );
}

/** A picture that is not painted in this time keeps nobody waiting longer. */
const UNSEEN_MS = 4_000;
