/** Colours as sRGB hex, mixed for light and shade. */

function channels(hex: string): [number, number, number] {
  const value = Number.parseInt(hex.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}

/** `share` of `b` in `a`, 0…1. */
export function mix(a: string, b: string, share: number): string {
  const [from, to] = [channels(a), channels(b)];
  const t = Math.min(1, Math.max(0, share));
  const mixed = from.map((channel, i) => Math.round(channel + ((to[i] ?? 0) - channel) * t));
  return `#${mixed.map((channel) => channel.toString(16).padStart(2, '0')).join('')}`;
}

export const darker = (hex: string, share: number) => mix(hex, '#0c1210', share);
export const lighter = (hex: string, share: number) => mix(hex, '#ffffff', share);

/** Blacker than this a piece would be lost on the dark stage without a rim that takes the light. */
const BLACK = 0.22;

/** The edge of a piece: darker than it, and of a black one lighter, as its rim takes the light. */
export function edgeOf(hex: string, share: number): string {
  const [r, g, b] = channels(hex);
  const brightness = (0.299 * r + 0.587 * g + 0.114 * b) / 255;
  return brightness < BLACK ? lighter(hex, 0.38) : darker(hex, share);
}
