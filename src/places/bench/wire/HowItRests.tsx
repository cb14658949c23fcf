'use client';

import { RESTS, type Rest } from '@/core/geometry/stack';
import type { Build } from '@/core/lure/lure';
import { LurePicture } from '@/drawing/LurePicture';
import { Fold } from '@/ui/Fold';

const WORDS: Readonly<Record<Rest, { readonly name: string; readonly why: string }>> = {
  towed: { name: 'Drawn through the water', why: 'All that slides lies back on what is behind it.' },
  slack: { name: 'Slack', why: 'Nothing holds it anywhere: it lies spread along the line.' },
  hung: { name: 'Hung up by its last hook', why: 'All that slides runs down to the rod end.' },
};

/** What is on a line slides: where it lies, drawn for each way in which the line can lie. */
export function HowItRests({ build }: { readonly build: Build }) {
  return (
    <Fold title="How its beads rest" gist="three ways">
      <ul className="flex flex-col gap-2">
        {RESTS.map((rest) => (
          <li key={rest} className="flex flex-col">
            <span className="rounded bg-stage">
              <LurePicture build={build} rest={rest} width={280} height={64} scale={2.4} label={WORDS[rest].name} />
            </span>
            <span className="text-sm">
              <span className="font-semibold">{WORDS[rest].name}.</span> {WORDS[rest].why}
            </span>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
