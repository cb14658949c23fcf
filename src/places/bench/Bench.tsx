'use client';

import { PictureFirst } from '@/desk/PictureFirst';
import { latePart } from '@/ui/late-part';
import { FirstScreen } from './FirstScreen';

const WholeBench = latePart(() => import('./WholeBench').then((room) => room.WholeBench));

export interface BenchProps {
  /** Where the picture is that a newcomer sees. */
  readonly firstPicture: string;
}

/** The Bench: a lure is put together. */
export function Bench({ firstPicture }: BenchProps) {
  return (
    <PictureFirst
      firstPicture={firstPicture}
      name="The Bench"
      before={(picture, onPainted) => <FirstScreen picture={picture} onPainted={onPainted} />}
      Whole={WholeBench}
    />
  );
}
