'use client';

import type { WholeProps } from '@/desk/PictureFirst';
import { WholeDesk } from '@/desk/WholeDesk';
import { OpenTank } from './OpenTank';

/** The Tank with all that can be done in it. */
export function WholeTank(props: WholeProps) {
  return (
    <WholeDesk {...props} name="The Tank">
      {(isDark) => <OpenTank isDark={isDark} onStands={props.onStands} />}
    </WholeDesk>
  );
}
