/** Paints: how a finish takes the light on a turned piece, as gradient stops. */
import type { Finish } from '../core/parts/kinds/common';
import { darker, lighter } from './colour';

export interface Stop {
  readonly at: number;
  readonly colour: string;
  readonly opacity: number;
}

export interface Paint {
  readonly id: string;
  readonly form: 'across' | 'ball';
  readonly stops: readonly Stop[];
}

function stop(at: number, colour: string, opacity = 1): Stop {
  return { at, colour, opacity };
}

/** The paint of a finish on a cylinder (`across`, lit from above) or on a ball. */
export function paintOf(finish: Finish, form: Paint['form']): Paint {
  const { hex, sheen } = finish;
  return {
    id: `paint-${form}-${sheen}-${hex.slice(1)}`,
    form,
    stops: form === 'ball' ? ball(finish) : across(hex, sheen),
  };
}

function across(hex: string, sheen: Finish['sheen']): Stop[] {
  switch (sheen) {
    case 'metal':
      return [
        stop(0, darker(hex, 0.35)),
        stop(0.14, hex),
        stop(0.26, lighter(hex, 0.75)),
        stop(0.38, lighter(hex, 0.15)),
        stop(0.62, darker(hex, 0.2)),
        stop(0.82, darker(hex, 0.55)),
        stop(0.92, darker(hex, 0.3)),
        stop(1, darker(hex, 0.6)),
      ];
    case 'gloss':
      return [
        stop(0, darker(hex, 0.18)),
        stop(0.16, hex),
        stop(0.24, lighter(hex, 0.6)),
        stop(0.32, hex),
        stop(0.7, darker(hex, 0.18)),
        stop(1, darker(hex, 0.45)),
      ];
    case 'matte':
      return [stop(0, darker(hex, 0.1)), stop(0.3, lighter(hex, 0.14)), stop(0.6, hex), stop(1, darker(hex, 0.4))];
    case 'clear':
      return [
        stop(0, darker(hex, 0.2), 0.85),
        stop(0.25, lighter(hex, 0.55), 0.55),
        stop(0.6, hex, 0.6),
        stop(1, darker(hex, 0.35), 0.9),
      ];
  }
}

function ball({ hex, sheen }: Finish): Stop[] {
  const glint = sheen === 'metal' ? 0.9 : sheen === 'matte' ? 0.25 : 0.75;
  const body = sheen === 'clear' ? 0.78 : 1;
  return [
    stop(0, lighter(hex, glint), 1),
    stop(0.18, lighter(hex, 0.25), body),
    stop(0.6, hex, body),
    stop(1, darker(hex, sheen === 'metal' ? 0.65 : 0.45), sheen === 'clear' ? 0.92 : 1),
  ];
}
