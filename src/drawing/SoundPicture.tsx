import type { ContactHeard, Heard } from '@/core/sound/heard';
import { FISH_EARS, LATERAL_LINE_HZ, type FishGroup } from '@/core/sound/fish-ears';
import { centroidOf, PEOPLE_HZ } from '@/core/sound/radiation';

export interface SoundPictureProps {
  readonly widthPx: number;
  readonly heard: Heard;
  /** Shown of it, s. */
  readonly seconds: number;
  readonly fish: FishGroup;
  readonly fishName: string;
  /** Name of each contact that sounds, by its id, and whether it is heard now. */
  readonly names: ReadonlyMap<string, { readonly name: string; readonly isHeard: boolean }>;
  /** All of it in words. */
  readonly label: string;
}

const HEIGHT = 300;
const LEFT = 54;
const RIGHT = 12;
const TOP = 12;
const BOTTOM = 28;
const LOW_HZ = 2;
const HIGH_HZ = 20_000;
const TICKS_HZ = [2, 10, 100, 1000, 10_000];
/** What is this much weaker than the strongest is not shown, dB. */
const SHOWN_DB = 40;
/** A mark for each contact in turn: seen apart without colour. */
const MARKS = ['circle', 'square', 'diamond', 'triangle', 'cross'] as const;

const y = (hz: number) => {
  const share = Math.log(Math.min(HIGH_HZ, Math.max(LOW_HZ, hz)) / LOW_HZ) / Math.log(HIGH_HZ / LOW_HZ);
  return TOP + (1 - share) * (HEIGHT - TOP - BOTTOM);
};

/** The colours it has by itself, where it stands outside the app. */
const STYLE = `
  .sound-text { font: 14px 'Atkinson Hyperlegible Next', sans-serif; fill: var(--ink-soft, #51606a); }
  .sound-line { stroke: var(--line, #d5dadd); fill: none; }
  .sound-fish { fill: var(--accent, #0a6a74); fill-opacity: 0.1; }
  .sound-mark { fill: var(--ink, #16202a); stroke: var(--ink, #16202a); }
  .sound-beat { stroke: var(--accent, #0a6a74); fill: none; }
`;

/** A sound over time and pitch: knocks as marks, notes and rubs as bands, the blades' beat as a wave, who hears what at the side. */
export function SoundPicture({ widthPx, heard, seconds, fish, fishName, names, label }: SoundPictureProps) {
  const x = (s: number) => LEFT + (s / seconds) * (widthPx - LEFT - RIGHT);
  const [, fishHz] = FISH_EARS[fish].upToHz;
  const sounding = heard.contacts.flatMap((each, i) => (each.outcome === 'sounds' ? [{ each, i }] : []));
  const powers = sounding.map(({ each }) => powerOf(each));
  const most = Math.max(...powers, 0);
  const shown = sounding
    .map((each, k) => ({ ...each, power: powers[k] ?? 0 }))
    .filter(({ power }) => power > most * 10 ** (-SHOWN_DB / 10))
    .sort((a, b) => b.power - a.power);
  // The loudest is named first; a name that would lie on another is left to the list.
  const named: number[] = [];
  const isNamed = new Set(
    shown.flatMap(({ each }) => {
      const at = y(pitchOf(each));
      if (named.some((other) => Math.abs(other - at) < NAME_PX)) return [];
      named.push(at);
      return [each.contact.id];
    }),
  );
  return (
    <svg
      role="img"
      aria-label={label}
      width={widthPx}
      height={HEIGHT}
      className="rounded-md bg-stage"
      data-testid="picture of the sound"
      xmlns="http://www.w3.org/2000/svg"
    >
      <style>{STYLE}</style>
      <rect
        className="sound-fish"
        x={LEFT}
        y={y(fishHz)}
        width={widthPx - LEFT - RIGHT}
        height={y(LOW_HZ) - y(fishHz)}
      />
      <rect
        className="sound-fish"
        x={LEFT}
        y={y(LATERAL_LINE_HZ)}
        width={widthPx - LEFT - RIGHT}
        height={y(LOW_HZ) - y(LATERAL_LINE_HZ)}
      />
      {TICKS_HZ.map((hz) => (
        <g key={hz}>
          <line className="sound-line" x1={LEFT} x2={widthPx - RIGHT} y1={y(hz)} y2={y(hz)} />
          <text className="sound-text" x={LEFT - 6} y={y(hz) + 4} textAnchor="end">
            {hz >= 1000 ? `${hz / 1000} kHz` : `${hz} Hz`}
          </text>
        </g>
      ))}
      <line
        className="sound-line"
        x1={LEFT}
        x2={widthPx - RIGHT}
        y1={y(PEOPLE_HZ[0])}
        y2={y(PEOPLE_HZ[0])}
        strokeDasharray="4 4"
      />
      <text className="sound-text" x={widthPx - RIGHT - 4} y={y(PEOPLE_HZ[0]) - 4} textAnchor="end">
        people hear above this
      </text>
      <text className="sound-text" x={widthPx - RIGHT - 4} y={y(fishHz) + 15} textAnchor="end">
        {fishName} hear below this
      </text>
      <text className="sound-text" x={widthPx - RIGHT - 4} y={y(LATERAL_LINE_HZ) + 15} textAnchor="end">
        felt by the side of a fish
      </text>
      {Array.from({ length: Math.floor(seconds * 2) + 1 }, (_, i) => (
        <text key={i} className="sound-text" x={x(i / 2)} y={HEIGHT - 8} textAnchor={i === 0 ? 'start' : 'middle'}>
          {i === 0 ? '0 s' : i / 2}
        </text>
      ))}
      {heard.beats.map(({ station, hz }, i) =>
        i % 2 === 0 ? <path key={station} className="sound-beat" strokeWidth={2} d={wave(x, hz, seconds)} /> : null,
      )}
      {shown.map(({ each, i }) => (
        <Marks
          key={each.contact.id}
          each={each}
          mark={MARKS[i % MARKS.length] ?? 'circle'}
          x={x}
          seconds={seconds}
          names={names}
          isNamed={isNamed.has(each.contact.id)}
        />
      ))}
    </svg>
  );
}

/** A name and its marks take so much, px. */
const NAME_PX = 26;

/** Where it lies: what squeaks at its note, all else about the middle of its power. */
function pitchOf({ squeak, bands }: Extract<ContactHeard, { outcome: 'sounds' }>): number {
  return squeak?.hz ?? centroidOf(bands) ?? 1000;
}

function powerOf({ bands }: Extract<ContactHeard, { outcome: 'sounds' }>): number {
  return bands.reduce((sum, each) => sum + each, 0);
}

/** The beat of a blade, as high as its rate. */
function wave(x: (s: number) => number, hz: number, seconds: number): string {
  const steps = Math.ceil(seconds * 120);
  return Array.from({ length: steps + 1 }, (_, i) => {
    const s = (i / steps) * seconds;
    return `${i === 0 ? 'M' : 'L'}${x(s).toFixed(1)} ${(y(hz) - 7 * Math.sin(2 * Math.PI * hz * s)).toFixed(1)}`;
  }).join('');
}

interface MarksProps extends Pick<SoundPictureProps, 'names' | 'seconds'> {
  readonly each: Extract<ContactHeard, { outcome: 'sounds' }>;
  readonly mark: (typeof MARKS)[number];
  readonly x: (s: number) => number;
  readonly isNamed: boolean;
}

/** One contact: its knocks at their pitch, what it rubs or squeaks as a band; fainter while it is left out. */
function Marks({ each, mark, x, seconds, names, isNamed }: MarksProps) {
  const { contact, knocks, rub, squeak } = each;
  const known = names.get(contact.id);
  const hz = pitchOf(each);
  const count = knocks ? Math.floor(seconds * knocks.perS) : 0;
  // Each begins where another does not, so that no mark hides another.
  const first = (0.15 + 0.13 * (contact.id.length % 5)) / (knocks?.perS ?? 1);
  return (
    <g className="sound-mark" opacity={known?.isHeard === false ? 0.25 : 1} data-contact={contact.id}>
      <title>{known?.name}</title>
      {isNamed && (
        <text className="sound-text" x={x(0) + 4} y={y(hz) + 18} stroke="none">
          {known?.name}
        </text>
      )}
      {Array.from({ length: count }, (_, k) => (
        <Mark key={k} mark={mark} x={x(first + k / (knocks?.perS ?? 1))} y={y(hz)} />
      ))}
      {squeak && <rect x={x(0)} width={x(seconds) - x(0)} y={y(hz) - 2} height={4} fillOpacity={0.6} stroke="none" />}
      {rub && !squeak && (
        <rect x={x(0)} width={x(seconds) - x(0)} y={y(rub.upToHz)} height={18} fillOpacity={0.15} stroke="none" />
      )}
    </g>
  );
}

function Mark({ mark, x: atX, y: atY }: { readonly mark: MarksProps['mark']; readonly x: number; readonly y: number }) {
  switch (mark) {
    case 'circle':
      return <circle cx={atX} cy={atY} r={4} />;
    case 'square':
      return <rect x={atX - 3.5} y={atY - 3.5} width={7} height={7} fillOpacity={0.2} />;
    case 'diamond':
      return <path d={`M${atX} ${atY - 5}l5 5l-5 5l-5 -5z`} />;
    case 'triangle':
      return <path d={`M${atX} ${atY - 5}l5 9h-10z`} fillOpacity={0.2} />;
    case 'cross':
      return <path d={`M${atX - 4} ${atY - 4}l8 8m0 -8l-8 8`} strokeWidth={2} />;
  }
}
