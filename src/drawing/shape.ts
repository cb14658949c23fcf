import type { Paint } from './paint';

/** One path with its paint, lengths in millimetres. */
export interface Shape {
  readonly d: string;
  readonly fill?: string | Paint;
  readonly stroke?: string;
  readonly strokeWidth?: number;
  readonly opacity?: number;
  readonly round?: boolean;
  /** On and off along the stroke. */
  readonly dash?: readonly [number, number];
}
