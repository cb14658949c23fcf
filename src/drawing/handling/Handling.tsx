import { PaintDefs, Shapes } from '../Shapes';
import type { Frame, Moment } from './frame';

export interface HandlingProps {
  readonly frames: readonly Frame[];
  /** The moment this step is at; the others are there to be read before and after it. */
  readonly now: Moment | null;
  readonly words: (moment: Moment) => string;
  readonly lengthWords: (lengthM: number) => string;
  readonly height: number;
}

/** Moments of handling side by side, at one scale, each with its words. */
export function Handling({ frames, now, words, lengthWords, height }: HandlingProps) {
  return (
    <ol className="flex flex-wrap gap-2" aria-label="How it is done">
      {frames.map(({ moment, layers, box, measure }) => {
        const [wide, high] = [box.x1 - box.x0, box.y1 - box.y0];
        const type = high * 0.1;
        return (
          <li
            key={moment}
            aria-current={moment === now ? 'step' : undefined}
            className="flex min-w-28 flex-1 basis-0 flex-col gap-1 rounded-md border-2 border-line bg-panel p-1.5 aria-[current]:border-accent"
          >
            <svg viewBox={`${box.x0} ${box.y0} ${wide} ${high}`} height={height} className="w-full" aria-hidden>
              {layers.map(({ shapes, at, scale }, i) => (
                <g key={i} transform={`translate(${at.x} ${at.y}) scale(${scale})`}>
                  <PaintDefs shapes={shapes} />
                  <Shapes shapes={shapes} />
                </g>
              ))}
              {measure && (
                <g stroke="var(--ink)" strokeWidth={type * 0.09}>
                  <path fill="none" d={wayOf(measure, type * 0.4)} />
                  <text
                    x={isUpright(measure) ? measure.to.x + type * 0.5 : (measure.from.x + measure.to.x) / 2}
                    y={
                      isUpright(measure)
                        ? (measure.from.y + measure.to.y) / 2 + type * 0.35
                        : measure.from.y - type * 0.35
                    }
                    fontSize={type}
                    textAnchor={isUpright(measure) ? 'start' : 'middle'}
                    fill="var(--ink)"
                    stroke="none"
                  >
                    {lengthWords(measure.lengthM)}
                  </text>
                </g>
              )}
            </svg>
            <span className="text-center text-base leading-tight">{words(moment)}</span>
          </li>
        );
      })}
    </ol>
  );
}

type Measure = NonNullable<Frame['measure']>;

function isUpright({ from, to }: Measure): boolean {
  return from.x === to.x;
}

/** The line of a measure with a dash across where it begins; an upright one at both ends. */
function wayOf(measure: Measure, half: number): string {
  const { from, to } = measure;
  return isUpright(measure)
    ? `M${from.x - half} ${from.y}H${from.x + half}M${to.x - half} ${to.y}H${to.x + half}M${from.x} ${from.y}V${to.y}`
    : `M${from.x} ${from.y - half}V${from.y + half}M${from.x} ${from.y}H${to.x}`;
}
