'use client';

import { memo } from 'react';
import type { SpinPrediction } from '@/core/predict/spin';
import { decimalText } from '@/core/units/write';
import { BandedReadout } from '@/ui/BandedReadout';
import { Button } from '@/ui/Button';
import { glanceOf, headlineOf } from '@/words/glance-words';
import { noRideWords, type RideShown } from '@/words/ride-words';
import { READOUT_WHY } from '@/words/spin-words';
import { askAgain, openSheet } from '../desk-state';
import { ReadingForm } from './ReadingForm';
import type { Asked, RideAnswer } from './use-core';

export interface LureLineProps {
  readonly asked: Asked<RideAnswer>;
  /** The last answer, while a new one is worked out. */
  readonly shown: RideShown | null;
  readonly beats: SpinPrediction['beats'];
  /** Length and mass as written. */
  readonly size: string;
  readonly hasBlade: boolean;
  /** Only what matters most. */
  readonly isBrief: boolean;
}

/** The whole lure at the chosen retrieve, on one line: what matters most first. */
export const LureLine = memo(function LureLine({ asked, shown, beats, size, isBrief, hasBlade }: LureLineProps) {
  return (
    <div className="@container" data-testid="ride" aria-busy={asked.state === 'working'}>
      <div className="flex flex-wrap items-center gap-x-1 @min-[40rem]:flex-nowrap">
        <Figures asked={asked} shown={shown} beats={beats} isBrief={isBrief} hasBlade={hasBlade} />
        <span className="flex-1" />
        {!isBrief && <p className={`px-1.5 text-sm whitespace-nowrap text-ink-soft ${SHOWN_FROM[5]}`}>{size}</p>}
        <Button look="quiet" className="whitespace-nowrap" onClick={() => openSheet('ride')}>
          Ride and line
        </Button>
      </div>
    </div>
  );
});

/** What stands n-th on the line is left out where that is not so wide: what matters less goes first. */
const SHOWN_FROM: readonly string[] = [
  '',
  '@max-[20rem]:hidden',
  '@max-[32rem]:hidden',
  '@max-[41rem]:hidden',
  '@max-[50rem]:hidden',
  '@max-[58rem]:hidden',
];
/** A sentence takes the room of three figures. */
const HEADLINE_PLACES = 3;

const NO_BLADE = { text: 'No blade turns on this wire yet', isAmiss: false };

function Figures({ asked, shown, beats, isBrief, hasBlade }: Omit<LureLineProps, 'size'>) {
  if (asked.state === 'failed') {
    return (
      <div role="alert" className="flex items-center gap-2 px-2 text-sm">
        <p className="text-fault">How it rides could not be worked out ({asked.reason}).</p>
        <Button onClick={askAgain}>Work it out again</Button>
      </div>
    );
  }
  if (!shown) return <p className="px-2 text-sm text-ink-soft">Working out how it rides…</p>;
  const [ride] = shown.prediction.rides;
  if (ride && ride.outcome !== 'rides') return <p className="px-2 text-sm">{noRideWords(ride)}</p>;
  const headline = hasBlade ? headlineOf(shown) : NO_BLADE;
  // Of a wire that turns nothing yet there is nothing to tell.
  const figures = hasBlade ? glanceOf(shown) : [];
  return (
    <>
      {headline !== null && (
        <p
          className={`px-1.5 leading-tight font-semibold whitespace-nowrap @max-[30rem]:whitespace-normal ${headline.isAmiss ? 'text-caution' : ''}`}
          data-testid="headline"
        >
          {headline.text}
        </p>
      )}
      {(isBrief ? figures.slice(0, headline === null ? 1 : 0) : figures).map(
        ({ output, name, value, unit, band, why, moves, unsure }, i) => (
          <span key={output} className={SHOWN_FROM[i + (headline === null ? 0 : HEADLINE_PLACES)]}>
            <BandedReadout
              look="rows"
              name={name}
              value={value}
              unit={unit}
              band={band}
              why={why}
              more={[moves, unsure].filter((each) => each !== '')}
              testId={`ride ${output}`}
            >
              {output === 'depthM' && <ReadingForm kind="depth" />}
            </BandedReadout>
          </span>
        ),
      )}
      {!isBrief && headline === null && (
        <span className={SHOWN_FROM[4]}>
          <Beats beats={beats} />
        </span>
      )}
    </>
  );
}

/** Two blades at their own rates fall in and out of step. */
function Beats({ beats }: Pick<LureLineProps, 'beats'>) {
  return beats.map(({ stations, at: [beat] }) =>
    beat ? (
      <BandedReadout
        key={stations.join(' ')}
        look="rows"
        name="Beat"
        value={decimalText(beat.value, 1)}
        unit="a second"
        band={`${decimalText(beat.low, 1)} to ${decimalText(beat.high, 1)}`}
        why={READOUT_WHY.beat}
        testId="beat"
      />
    ) : null,
  );
}
