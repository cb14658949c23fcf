/** `3°`, `0.4°`: the size of an angle, whichever way it goes. */
export function degrees(angleRad: number): string {
  const value = Math.abs((angleRad * 180) / Math.PI);
  return `${value < 2 ? value.toFixed(1) : Math.round(value)}°`;
}
