'use client';

import Pause from 'lucide-react/icons/square';
import Play from 'lucide-react/icons/play';
import { useMemo, useRef } from 'react';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { BladeState } from '@/core/in-water/bearing';
import type { Build, Lure } from '@/core/lure/lure';
import type { Movers } from '@/core/predict/movers';
import type { ContactPrediction, SoundAsked, SoundOutput } from '@/core/predict/sound';
import { BOTTOMS } from '@/core/sound/contact';
import { FISH_GROUPS } from '@/core/sound/fish-ears';
import { MANNERS } from '@/core/sound/motion';
import { SoundPicture } from '@/drawing/SoundPicture';
import { BandedReadout } from '@/ui/BandedReadout';
import { Button } from '@/ui/Button';
import { saveFile } from '@/ui/save-file';
import { SelectField } from '@/ui/SelectField';
import { Sheet } from '@/ui/Sheet';
import { SlideField } from '@/ui/SlideField';
import { useSize } from '@/ui/use-media';
import { capital } from '@/words/capital';
import { noRideWords, type MovesShown } from '@/words/ride-words';
import {
  BOTTOM_WORDS,
  contactTitle,
  contactWords,
  earsWords,
  FISH_WORDS,
  MANNER_WORDS,
  soundCaption,
  soundFigures,
  type SoundFigure,
  type Sounded,
} from '@/words/sound-words';
import { askCore } from '@/workers/core-client';
import { tell, useDesk } from '../desk-state';
import { shownOf, useCore } from '../figures/use-core';
import { changeSettings } from '../settings';
import { oneSpeedInWords, speedUnitOf } from '../speed';
import { AgainstRow } from './AgainstRow';
import {
  hearAlone,
  hearHow,
  isHeard,
  leaveOut,
  togglePlaying,
  useHoursWorkedIn,
  useSound,
  type SoundAnswer,
} from './sound-state';

const WHOLE: readonly SoundOutput[] = [
  'levelDb',
  'centroidHz',
  'knocksPerS',
  'regular',
  'noteHz',
  'impulseN',
  'fishShare',
  'lateralShare',
];
const OF_CONTACT: readonly SoundOutput[] = ['levelDb', 'centroidHz', 'knocksPerS'];
const SHOWN_S = 2;
/** Of the picture, until its place is measured. */
const USUAL_PX = 640;
const LONGEST_WORN_H = 40;

export interface SoundSheetProps {
  readonly lure: Lure;
  readonly onClose: () => void;
}

/** All of how a lure sounds at the present retrieve: heard, seen, in words and in figures, each contact by itself. */
export function SoundSheet({ lure, onClose }: SoundSheetProps) {
  const { retrieve, fish, soundVolume } = useDesk((state) => state.settings);
  const { isPlaying, manner, bottom, now } = useSound();
  const answer = now && shownOf(now);
  return (
    <Sheet
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title="How it sounds"
      description={`${lure.name} at ${oneSpeedInWords(retrieve)}, ${MANNER_WORDS[manner]}, heard a metre off under water. Trade estimates: each with its spread.`}
    >
      <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto pr-1">
        <div className="flex flex-wrap items-end gap-3">
          <Button look="main" data-focus-first aria-pressed={isPlaying} onClick={togglePlaying}>
            {isPlaying ? <Pause aria-hidden size={18} /> : <Play aria-hidden size={18} />}
            {isPlaying ? 'Stop' : 'Hear it'}
          </Button>
          <div className="w-28">
            <SlideField
              label="Volume"
              value={soundVolume}
              words={`${Math.round(soundVolume * 100)} %`}
              min={0}
              max={1}
              step={0.05}
              onSlide={(volume) => changeSettings({ soundVolume: volume })}
            />
          </div>
          <SelectField
            label="Drawn"
            value={manner}
            options={MANNERS.map((value) => ({ value, name: MANNER_WORDS[value] }))}
            onChange={(value) => hearHow({ manner: value })}
          />
          <SelectField
            label="Over"
            value={bottom}
            options={BOTTOMS.map((value) => ({ value, name: BOTTOM_WORDS[value] }))}
            onChange={(value) => hearHow({ bottom: value })}
          />
          <SelectField
            label="For"
            value={fish}
            options={FISH_GROUPS.map((value) => ({ value, name: FISH_WORDS[value] }))}
            onChange={(value) => changeSettings({ fish: value })}
          />
        </div>
        {now?.state === 'failed' && <p role="alert">It could not be worked out ({now.reason}).</p>}
        {!answer && now?.state !== 'failed' && <p className="text-ink-soft">Working out how it sounds…</p>}
        {answer && <Answer lure={lure} answer={answer} />}
      </div>
    </Sheet>
  );
}

function Answer({ lure, answer }: { readonly lure: Lure; readonly answer: SoundAnswer }) {
  const hours = useHoursWorkedIn();
  const { prediction, build, speedMps } = answer;
  const moved = useMoved(build, speedMps);
  if (!('heard' in prediction)) return <p role="alert">{noRideWords(prediction)}</p>;
  const hasRivet = prediction.contacts.some(({ heard }) => heard.contact.kind === 'bladeOnRivet');
  return (
    <>
      <PictureOf lure={lure} answer={answer} sound={prediction} />
      <section aria-label="All of it" className="flex flex-wrap gap-x-2">
        {soundFigures(prediction.whole, WHOLE, build, moved).map((figure) => (
          <Figure key={figure.output} figure={figure} testId={`sound ${figure.output}`} />
        ))}
      </section>
      <AgainstRow lure={lure} />
      <section aria-label="What strikes" className="flex flex-col gap-1">
        <h3 className="font-semibold">What strikes and rubs</h3>
        {prediction.contacts.length === 0 && <p className="text-ink-soft">No two hard parts of it can meet.</p>}
        <ul className="divide-y divide-line">
          {prediction.contacts.map((contact) => (
            <ContactRow key={contact.heard.contact.id} contact={contact} answer={answer} />
          ))}
        </ul>
        {hasRivet && (
          <SlideField
            label="Rivet worn in"
            value={hours}
            words={hours === 0 ? 'new' : `${hours} h`}
            min={0}
            max={Math.max(LONGEST_WORN_H, hours)}
            step={1}
            onSlide={(value) => hearHow({ hours: value })}
          />
        )}
      </section>
    </>
  );
}

interface MovedQuestion {
  readonly build: Build;
  readonly water: Water;
  readonly outfit: Outfit;
  readonly state: BladeState;
  readonly speedMps: number;
  readonly sound: SoundAsked;
}

const askMoved = ({ build, water, outfit, state, speedMps, sound }: MovedQuestion): Promise<Movers> =>
  askCore('moversOf', [build, water, speedMps, { outfit, state, sound }]);

/** What moves the sound most; null until that is worked out. */
function useMoved(build: Build, speedMps: number): MovesShown | null {
  const { water, outfit, system, retrieve, fish } = useDesk((state) => state.settings);
  const state = useDesk(({ bladeState }) => bladeState);
  const { manner, bottom } = useSound();
  const hours = useHoursWorkedIn();
  const question = useMemo(
    () => ({ build, water, outfit, state, speedMps, sound: { manner, bottom, hours, fish } }),
    [build, water, outfit, state, speedMps, manner, bottom, hours, fish],
  );
  const movers = shownOf(useCore(askMoved, question));
  return movers && { build, movers, system, speedUnit: speedUnitOf(retrieve, system) };
}

function Figure({ figure, testId }: { readonly figure: SoundFigure; readonly testId?: string }) {
  const { name, value, unit, band, why, moves, unsure } = figure;
  return (
    <BandedReadout
      look="rows"
      name={name}
      value={value}
      unit={unit}
      band={band}
      why={why}
      more={[moves, unsure].filter((each) => each !== '')}
      {...(testId === undefined ? {} : { testId })}
    />
  );
}

function PictureOf({
  lure,
  answer,
  sound,
}: {
  readonly lure: Lure;
  readonly answer: SoundAnswer;
  readonly sound: Sounded;
}) {
  const { retrieve, fish } = useDesk((state) => state.settings);
  const { manner } = useSound();
  const alone = useSound((state) => state.alone);
  const without = useSound((state) => state.without);
  const frame = useRef<HTMLElement>(null);
  const size = useSize(frame);
  const { build } = answer;
  const loop = useSound((state) => state.nowLoop?.loop);
  const caption = soundCaption(sound, build);
  const names = useMemo(
    () =>
      new Map(
        sound.contacts.map(({ heard: { contact } }) => [
          contact.id,
          { name: contactTitle(contact, build), isHeard: isHeard({ alone, without }, contact.id) },
        ]),
      ),
    [sound, build, alone, without],
  );
  const version = lure.versions.find((each) => each.build === build)?.name ?? 'as it is now';
  const drawn = `${oneSpeedInWords(retrieve)}, ${MANNER_WORDS[manner]}`;
  const fileName = `${lure.id}-sound`;
  const saveSound = () =>
    void import('@/paper/write-wav')
      .then(({ writeWav }) => {
        if (loop) saveFile(`${fileName}.wav`, writeWav(loop, { lure: lure.name, version, drawn }), 'audio/wav');
      })
      .catch(() => tell('trouble', 'The sound could not be written. Try again once the app is all there.'));
  return (
    <figure ref={frame} className="flex flex-col gap-2">
      <SoundPicture
        widthPx={size?.width ?? USUAL_PX}
        heard={sound.heard}
        seconds={SHOWN_S}
        fish={fish}
        fishName={capital(FISH_WORDS[fish])}
        names={names}
        label={caption}
      />
      <figcaption data-testid="sound in words">
        {caption} <span className="text-ink-soft">{earsWords(fish)}</span>
      </figcaption>
      <div className="flex flex-wrap gap-2">
        <Button disabled={loop === undefined} onClick={saveSound}>
          Sound as a file (WAV)
        </Button>
        <Button
          onClick={() => {
            const svg = frame.current?.querySelector('svg');
            if (svg) saveFile(`${fileName}.svg`, new XMLSerializer().serializeToString(svg), 'image/svg+xml');
          }}
        >
          Picture as a file (SVG)
        </Button>
      </div>
    </figure>
  );
}

function ContactRow({ contact, answer }: { readonly contact: ContactPrediction; readonly answer: SoundAnswer }) {
  const { id } = contact.heard.contact;
  const state = useSound();
  const isSounding = contact.heard.outcome === 'sounds';
  const title = contactTitle(contact.heard.contact, answer.build);
  return (
    <li className="flex flex-wrap items-center gap-x-3 py-1" data-contact={id}>
      <div className="min-w-64 flex-1">
        <p className={isHeard(state, id) ? '' : 'text-ink-soft'}>{title}</p>
        <div className="flex items-center gap-1 text-sm text-ink-soft">
          <p className="mr-2">{contactWords(contact)}</p>
          {isSounding && (
            <>
              <Button
                dense
                look="quiet"
                className={PRESSED}
                aria-pressed={state.alone === id}
                aria-label={`${title} alone`}
                onClick={() => hearAlone(id)}
              >
                Alone
              </Button>
              <Button
                dense
                look="quiet"
                className={PRESSED}
                aria-pressed={state.without.includes(id)}
                aria-label={`${title} left out`}
                onClick={() => leaveOut(id)}
              >
                Left out
              </Button>
            </>
          )}
        </div>
      </div>
      {contact.said &&
        soundFigures(contact.said, OF_CONTACT, answer.build).map((figure) => (
          <Figure key={figure.output} figure={figure} />
        ))}
    </li>
  );
}

const PRESSED = 'aria-pressed:bg-accent-soft aria-pressed:font-semibold';
