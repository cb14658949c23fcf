'use client';

import type { WholeProps } from '@/desk/PictureFirst';
import { WholeDesk } from '@/desk/WholeDesk';
import { OpenBench } from './OpenBench';

/** The Bench with all that can be done on it. */
export function WholeBench(props: WholeProps) {
  return (
    <WholeDesk {...props} name="The Bench">
      {(isDark) => <OpenBench isDark={isDark} onStands={props.onStands} />}
    </WholeDesk>
  );
}
