/** The bands against random draws of all factors together, over every blade of the catalogue, where it may stop and above. */
import { describe, expect, it } from 'vitest';
import { drawnRide } from '@/testing/drawn-ride';
import { plainSpinner } from '@/testing/lures';
import { measured, percent } from '@/testing/measured';
import { normals } from '@/core/random';
import { seeded } from '@/testing/seeded';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { LAKE_WATER } from '../hydro/water';
import { partsOfKind } from '../parts/catalogue';
import { HALF_WIDTHS_A_SIGMA } from './band';
import { factorsOf } from './factors';
import { predict } from './predict';
import { lureInWater } from './lure-in-water';

const DRAWS = 100;
const KEYS = ['keeps', 'thumpNs', 'depthM'] as const;

describe.each([0.6, 0.9])('at %d m/s, every catalogue blade on an inline lure', (speedMps) => {
  it('stall, thump and depth lie in their bands in nine of ten joint draws', () => {
    const inside: Record<(typeof KEYS)[number], number[]> = { keeps: [], thumpNs: [], depthM: [] };
    for (const { id } of partsOfKind('blade')) {
      const { build } = plainSpinner(id);
      const inWater = lureInWater(build, LAKE_WATER, USUAL_OUTFIT);
      const prediction = predict(build, LAKE_WATER, [speedMps]);
      const [ride] = prediction.rides;
      const keeps = prediction.spin.blades[0]?.keeps;
      const [spinner] = inWater.spinners;
      if (ride?.outcome !== 'rides' || !keeps || !spinner) throw new Error(`${id} is predicted`);
      const factors = factorsOf([spinner.station]);
      const normal = normals(seeded(11));
      const count = { keeps: 0, thumpNs: 0, depthM: 0 };
      for (let n = 0; n < DRAWS; n++) {
        const at = factors.map(() => normal() / HALF_WIDTHS_A_SIGMA);
        const { keptMps, thumpNs, depthM } = drawnRide(inWater, speedMps, factors, at);
        const isIn = (value: number | null, band: { low: number; high: number } | null | undefined) =>
          value !== null && band && value >= band.low - 1e-9 && value <= band.high + 1e-9;
        if (isIn(keptMps, keeps.mps)) count.keeps++;
        if (isIn(thumpNs, ride.said.thumpNs)) count.thumpNs++;
        if (isIn(depthM, ride.said.depthM)) count.depthM++;
      }
      for (const key of KEYS) inside[key].push(count[key] / DRAWS);
    }
    for (const key of KEYS) {
      const all = inside[key];
      const [least, mean] = [Math.min(...all), all.reduce((sum, each) => sum + each, 0) / all.length];
      // A hundred draws of a share of nine tenths come out up to a tenth less for one blade of all.
      expect(least, key).toBeGreaterThanOrEqual(0.8);
      expect(mean, key).toBeGreaterThan(0.86);
      measured(
        'Bands and readings',
        `Share of ${DRAWS} joint draws inside the band at ${speedMps} m/s, ${all.length} catalogue blades: ${{ keeps: 'where it stops', thumpNs: 'thump', depthM: 'depth' }[key]}`,
        `${percent(mean)} on the mean, ${percent(least)} at worst`,
        'mean above 86 %, each at least 80 %',
      );
    }
  });
});
