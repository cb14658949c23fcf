/** Two bodies on one line: against a slow chain of rods, against the line with one body, and as a troller expects it. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measured } from '@/testing/measured';
import { fishingLine, LINE_KINDS } from './outfit';
import { rigShapes, sinkerPull, upTheLeader, type Rig, type RigShape } from './sinker-line';
import { cylinderDrag, lineShapes, lineWeight, type FishingLine, type LinePull, type LineSetting } from './towed-line';

const RHO = 998;
const LEAD = 11_300;
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyLine = (min: number, max: number) =>
  fc.record({ kind: fc.constantFrom(...LINE_KINDS), diameterM: between(min, max) }).map(fishingLine);
const anyRig: fc.Arbitrary<Rig> = fc.record({
  line: anyLine(0.00012, 0.00035),
  sinker: fc.record({ massKg: between(0.005, 0.04), densityKgM3: fc.constantFrom(LEAD, 7850, 17_500) }),
  leader: anyLine(0.0002, 0.00035),
  leaderM: between(0.5, 2),
  // From one that floats up to one that sinks.
  bait: fc.record({ aftN: between(0.02, 0.2), downN: between(-0.02, 0.08) }),
});
const anySetting: fc.Arbitrary<LineSetting> = between(0.3, 1.5).map((speedMps) => ({
  waterDensityKgM3: RHO,
  speedMps,
  tipHeightM: 1,
}));

function sunk(shape: RigShape | undefined) {
  return shape?.outcome === 'sinks' ? shape : null;
}

/** A chain of rods whose slopes are those of the pulls, found by doing it again and again; above the surface nothing pulls. */
function chain(
  rods: readonly { readonly of: FishingLine; readonly lengthM: number }[],
  rig: Rig,
  setting: LineSetting,
) {
  const { speedMps, tipHeightM, waterDensityKgM3 } = setting;
  const leaderRods = rods.filter(({ of }) => of === rig.leader).length;
  const slopes = rods.map(() => 0.4);
  const depths = rods.map(() => 1);
  const added = sinkerPull(rig.sinker, setting);
  for (let round = 0; round < 600; round++) {
    let { aftN: h, downN: v }: LinePull = rig.bait;
    rods.forEach(({ of, lengthM }, i) => {
      if (i === leaderRods) [h, v] = [h + added.aftN, v + added.downN];
      const wanted = Math.atan2(v, h);
      slopes[i] = (slopes[i] ?? 0) + 0.3 * (wanted - (slopes[i] ?? 0));
      if ((depths[i] ?? 0) < 0) return;
      const [cos, sin] = [Math.cos(slopes[i] ?? 0), Math.sin(slopes[i] ?? 0)];
      const dynamic = 0.5 * waterDensityKgM3 * speedMps ** 2 * lengthM * of.diameterM;
      const reynolds = (speedMps * of.diameterM * Math.abs(sin)) / (of.viscosityM2S ?? 1);
      const across = dynamic * of.normalDrag * cylinderDrag(reynolds) * sin * Math.abs(sin);
      const along = dynamic * Math.PI * of.skinDrag * cos * Math.abs(cos);
      h += across * sin + along * cos;
      v += lineWeight(of, waterDensityKgM3) * lengthM - across * cos + along * sin;
    });
    let depth = -tipHeightM;
    for (let i = rods.length - 1; i >= 0; i--) {
      const drop = (rods[i]?.lengthM ?? 0) * Math.sin(slopes[i] ?? 0);
      depths[i] = depth + drop / 2;
      depth += drop;
    }
  }
  const dropOf = (from: number, to: number) =>
    rods.slice(from, to).reduce((sum, { lengthM }, i) => sum + lengthM * Math.sin(slopes[from + i] ?? 0), 0);
  const sinkerM = dropOf(leaderRods, rods.length) - tipHeightM;
  return { sinkerM, baitM: sinkerM + dropOf(0, leaderRods) };
}

describe('two bodies on one line', () => {
  it('run as deep as a slow chain of rods says, within 1 %', () => {
    let [compared, worst] = [0, 0];
    fc.assert(
      fc.property(anyRig, anySetting, between(8, 25), (rig, setting, lengthOutM) => {
        const found = sunk(rigShapes(rig, setting, [lengthOutM])[0]);
        // One that is nearly level at the surface hangs on the last rod.
        fc.pre(found !== null && found.sinkerDepthM > 0.8 && found.baitDepthM > 0.2);
        if (!found) return;
        const pieces = (of: FishingLine, lengthM: number, count: number) =>
          Array.from({ length: count }, () => ({ of, lengthM: lengthM / count }));
        const slow = chain(
          [...pieces(rig.leader, rig.leaderM, 120), ...pieces(rig.line, lengthOutM, 500)],
          rig,
          setting,
        );
        compared++;
        for (const [one, other] of [
          [found.sinkerDepthM, slow.sinkerM],
          [found.baitDepthM, slow.baitM],
        ] as const)
          worst = Math.max(worst, Math.abs(one - other) / other);
      }),
      { numRuns: 60, seed: 1818 },
    );
    expect(compared).toBeGreaterThan(50);
    measured(
      'Second implementations',
      `depths of sinker and bait on one line, ${compared} rigs, against a chain of rods`,
      `${(100 * worst).toFixed(2)} % at worst`,
      'within 1 %',
    );
    expect(worst).toBeLessThan(0.01);
  });

  it('are one body on one line where the sinker is next to nothing', () => {
    fc.assert(
      fc.property(anyRig, anySetting, between(8, 25), ({ line, leaderM, bait }, setting, lengthOutM) => {
        const rig: Rig = { line, leader: line, leaderM, bait, sinker: { massKg: 1e-9, densityKgM3: LEAD } };
        const found = sunk(rigShapes(rig, setting, [lengthOutM])[0]);
        const [whole] = lineShapes(line, bait, setting, [lengthOutM + leaderM]);
        fc.pre(found !== null && whole?.outcome === 'sinks' && whole.depthM > 0.3 && found.sinkerDepthM > 0.05);
        if (whole?.outcome === 'sinks') expect(found?.baitDepthM).toBeCloseTo(whole.depthM, 2);
      }),
      { numRuns: 200, seed: 7 },
    );
  });

  it('run deeper with a heavier sinker, with a thinner line, and with more of it', () => {
    let compared = 0;
    fc.assert(
      fc.property(anyRig, anySetting, between(8, 20), (rig, setting, lengthOutM) => {
        const depth = (changed: Partial<Rig>, lengthM = lengthOutM) =>
          sunk(rigShapes({ ...rig, ...changed }, setting, [lengthM])[0])?.sinkerDepthM ?? 0;
        const now = depth({});
        const heavier = { ...rig.sinker, massKg: 1.3 * rig.sinker.massKg };
        const thinner = { ...rig.line, diameterM: 0.8 * rig.line.diameterM };
        expect(depth({ sinker: heavier })).toBeGreaterThanOrEqual(now - 1e-9);
        // A line that sinks by itself sinks the better the thicker it is.
        if (rig.line.densityKgM3 < RHO) expect(depth({ line: thinner })).toBeGreaterThanOrEqual(now - 1e-9);
        expect(depth({}, 1.2 * lengthOutM)).toBeGreaterThanOrEqual(now - 1e-9);
        if (now > 0) compared++;
      }),
      { numRuns: 200, seed: 11 },
    );
    expect(compared).toBeGreaterThan(150);
  });

  it('stand to each other as the leader alone decides: a bait that floats above its sinker, a heavy one below it', () => {
    const setting = { waterDensityKgM3: RHO, speedMps: 0.4, tipHeightM: 1 };
    const line = fishingLine({ kind: 'braid', diameterM: 0.00015 });
    const leader = fishingLine({ kind: 'fluorocarbon', diameterM: 0.00028 });
    const rig = (downN: number): Rig => ({
      line,
      leader,
      leaderM: 1.2,
      sinker: { massKg: 0.02, densityKgM3: LEAD },
      bait: { aftN: 0.04, downN },
    });
    const over = (downN: number, lengthM: number) =>
      sunk(rigShapes(rig(downN), setting, [lengthM])[0])?.baitOverSinkerM ?? NaN;
    expect(over(-0.02, 15)).toBeGreaterThan(0.3);
    expect(over(0.03, 15)).toBeLessThan(-0.3);
    expect(over(0.03, 25)).toBeCloseTo(over(0.03, 15), 9);
    expect(upTheLeader(leader, { aftN: 0.04, downN: 0.03 }, setting, 0).gainM).toBe(0);
    // On the bottom the floating bait stays as high over it.
    const lying = sunk(rigShapes(rig(-0.02), setting, [60], 3)[0]);
    expect(lying).toMatchObject({ isOnBottom: true, sinkerDepthM: 3 });
    expect(lying?.baitOverSinkerM).toBeCloseTo(over(-0.02, 15), 9);
    expect(rigShapes({ ...rig(-1), sinker: { massKg: 0.005, densityKgM3: LEAD } }, setting, [10])[0]?.outcome).toBe(
      'rises',
    );
  });
});
