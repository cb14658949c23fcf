'use client';

import type { Lure } from '@/core/lure/lure';
import { frontView } from '@/drawing/front-view';
import { Sheet } from '@/ui/Sheet';
import { frontWords } from '@/words/front-words';
import { laidOf, motionsWith, predictionOf } from '../derived';
import { useDesk } from '../desk-state';
import { shownOf, useLearnt, useRide } from '../figures/use-core';
import { retrieveSpeed, oneSpeedInWords } from '../speed';
import { FrontDrawing } from './FrontDrawing';

/** The lure as it comes towards the eye, and what of it has a side. */
export function FrontSheet({ lure: { build }, onClose }: { readonly lure: Lure; readonly onClose: () => void }) {
  const bladeState = useDesk((state) => state.bladeState);
  const { retrieve, system, water, outfit } = useDesk((state) => state.settings);
  const speedMps = retrieveSpeed(retrieve);
  const ride = shownOf(useRide(build, water, outfit, bladeState, speedMps));
  const laid = laidOf(build);
  const motions = motionsWith(predictionOf(build, water, speedMps, bladeState, useLearnt(build)), laid);
  const view = frontView(laid.layout, motions);
  const sentences = frontWords(build, view, ride?.prediction ?? null, system);
  return (
    <Sheet
      open
      onOpenChange={(open) => !open && onClose()}
      title="From the front"
      description={`As it comes to you at ${oneSpeedInWords(retrieve)}: left and right are yours.`}
    >
      <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto">
        <FrontDrawing
          view={view}
          label={sentences.join(' ')}
          className="aspect-square w-full shrink-0 rounded-md bg-stage"
        />
        <ul className="flex flex-col gap-1.5" data-testid="from the front">
          {sentences.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      </div>
    </Sheet>
  );
}
