/** A hard bait as it comes towards the eye: as wide and as high as it is, its lip below, its blade edge on. */
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId } from '@/testing/lures';
import { layOut } from '@/core/geometry/layout';
import { takeBody } from '@/core/lure/take-body';
import { partsOfKind } from '@/core/parts/catalogue';
import { frontView } from './front-view';

const glint = demoLure('halvane-glint');

describe('a hard bait from the front', () => {
  it.each(partsOfKind('lureBody'))('$id: its body stands whole in the view, the lip under its nose', (body) => {
    const { build } = edited(glint, ...takeBody(glint.build, body));
    const { parts, halfMm, middleMm } = frontView(layOut(build), []);
    const [front, lip] = parts;
    if (!front) throw new Error('its body is seen');
    expect(2 * front.halfWidthMm).toBeCloseTo(body.widthM * 1000, 6);
    expect(2 * front.halfHeightMm).toBeGreaterThan(body.heightM * 990);
    expect(2 * front.halfHeightMm).toBeLessThan(body.heightM * 1001);
    for (const { rightMm, upMm, halfWidthMm, halfHeightMm } of parts) {
      expect(Math.abs(rightMm) + halfWidthMm).toBeLessThanOrEqual(halfMm + 1e-9);
      expect(Math.abs(upMm - middleMm) + halfHeightMm).toBeLessThanOrEqual(halfMm + 1e-9);
    }
    const isLip = lip?.key.endsWith('lip') === true;
    expect(isLip).toBe(body.lipLengthM > 0);
    if (!isLip || !lip) return;
    expect(2 * lip.halfWidthMm).toBeCloseTo(body.lipWidthM * 1000, 6);
    expect(lip.upMm).toBeLessThan(front.upMm);
  });

  it('a blade under its belly lies back: seen edge on, below the body', () => {
    const { parts } = frontView(layOut(glint.build), []);
    const blade = parts.find(({ key }) => key === itemId('blade-1'));
    const [front] = parts;
    expect(blade && blade.halfHeightMm).toBeLessThan(2);
    expect(blade && blade.halfWidthMm).toBeGreaterThan(2);
    expect(blade && blade.upMm).toBeLessThan((front?.upMm ?? 0) - (front?.halfHeightMm ?? 0));
  });
});
