/**
 * The outside of a turned part: radius against distance from its nose end. One profile serves drawing, mass and clearance.
 * Points run nose to tail; a step is two points at the same x.
 */
export interface ProfilePoint {
  readonly xM: number;
  readonly radiusM: number;
}

/** A profile by its radius along it, m. @param radius of x, 0 at the nose and 1 at the tail */
export function curve(lengthM: number, radius: (x: number) => number, steps = 28): ProfilePoint[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const x = (1 - Math.cos((i / steps) * Math.PI)) / 2;
    return { xM: x * lengthM, radiusM: radius(x) };
  });
}

/** A cylinder, m. */
export function box(lengthM: number, diameterM: number): ProfilePoint[] {
  return [
    { xM: 0, radiusM: diameterM / 2 },
    { xM: lengthM, radiusM: diameterM / 2 },
  ];
}

/** A bead cut to facets, m. */
export function facets(lengthM: number, diameterM: number, boreM: number): ProfilePoint[] {
  const end = Math.max(boreM / 2, diameterM * 0.32);
  return [
    { xM: 0, radiusM: end },
    { xM: lengthM * 0.3, radiusM: diameterM / 2 },
    { xM: lengthM * 0.7, radiusM: diameterM / 2 },
    { xM: lengthM, radiusM: end },
  ];
}

/** A body swelling from `endDiameter` to `diameter` and back; power 2 is elliptic, higher is fuller. */
export function roundOff(lengthM: number, diameterM: number, endDiameterM: number, power: number): ProfilePoint[] {
  const end = Math.min(endDiameterM, diameterM) / 2;
  return curve(lengthM, (x) => {
    const u = Math.abs(2 * x - 1);
    return end + (diameterM / 2 - end) * (1 - u ** power) ** (1 / power);
  });
}

/** Volume of what is solid about a bore, m³. */
export function solidVolume(profile: readonly ProfilePoint[], boreM: number): number {
  let volume = 0;
  for (let i = 1; i < profile.length; i++) {
    const [a, b] = [profile[i - 1], profile[i]];
    if (!a || !b) continue;
    const radiusM = (a.radiusM + b.radiusM) / 2;
    volume += Math.PI * Math.max(radiusM ** 2 - (boreM / 2) ** 2, 0) * (b.xM - a.xM);
  }
  return volume;
}

/** Volume of a thin wall that follows the profile, m³. */
export function shellVolume(profile: readonly ProfilePoint[], wallM: number): number {
  let volume = 0;
  for (let i = 1; i < profile.length; i++) {
    const [a, b] = [profile[i - 1], profile[i]];
    if (!a || !b) continue;
    const slantM = Math.hypot(b.xM - a.xM, b.radiusM - a.radiusM);
    volume += 2 * Math.PI * Math.max((a.radiusM + b.radiusM) / 2 - wallM / 2, 0) * slantM * wallM;
  }
  return volume;
}
