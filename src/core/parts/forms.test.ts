import { describe, expect, it } from 'vitest';
import { partsOfKind } from './catalogue';
import { deltaLobeArea, deltaSweep, DELTA_TIPS_AT } from './delta-form';
import { headProfile, headVolume, HEAD_SHAPES } from './head-form';
import { massFromGeometry } from './mass';
import { wireMass } from './stock';
import { keeperWire } from './kinds/keeper';
import { TRAILER_STYLES } from './kinds/trailer';
import { formedLength } from './formed-wire';

describe('heads', () => {
  const heads = partsOfKind('head');

  it('come in every shape and in several metals, their outside as large as they measure, never behind their collar', () => {
    expect(new Set(heads.map(({ shape }) => shape))).toEqual(new Set(HEAD_SHAPES));
    expect(new Set(heads.map(({ material }) => material)).size).toBeGreaterThanOrEqual(3);
    for (const head of heads) {
      const stations = headProfile(head);
      expect(stations[0]?.xM).toBe(0);
      expect(stations.at(-1)?.xM).toBeCloseTo(head.lengthM, 12);
      const tall = Math.max(...stations.map(({ upM }) => upM)) + Math.max(...stations.map(({ downM }) => downM));
      expect(tall).toBeGreaterThan(head.heightM * 0.7);
      expect(tall).toBeLessThanOrEqual(head.heightM * 1.0001);
      expect(stations.at(-1)?.upM).toBeGreaterThanOrEqual(head.collarDiameterM / 2 - 1e-12);
      expect(head.wireAtM).toBeLessThan(head.lengthM);
      expect(head.hookAtM).toBeLessThan(head.lengthM);
    }
  });

  it('a ball is the ball it measures; twice as large, eight times the metal', () => {
    const ball = heads.find(({ shape }) => shape === 'ball');
    if (!ball) throw new Error('there are ball heads');
    const round = { ...ball, lengthM: 0.01, heightM: 0.01, widthM: 0.01, collarDiameterM: 0.0001 };
    expect(headVolume(round) / ((Math.PI / 6) * 0.01 ** 3)).toBeCloseTo(1, 1);
    const twice = { ...round, lengthM: 0.02, heightM: 0.02, widthM: 0.02, collarDiameterM: 0.0002 };
    expect(headVolume(twice) / headVolume(round)).toBeCloseTo(8, 9);
  });
});

describe('delta blades', () => {
  it('come with two, three and four lobes and in either hand, and sweep just the circle they measure', () => {
    const blades = partsOfKind('deltaBlade');
    expect(new Set(blades.map(({ lobes }) => lobes))).toEqual(new Set([2, 3, 4]));
    expect(new Set(blades.map(({ hand }) => hand))).toEqual(new Set(['left', 'right']));
    for (const blade of blades) {
      const sweep = deltaSweep(blade);
      const widest = sweep.reduce((most, each) => (each.radiusM > most.radiusM ? each : most));
      expect(widest.radiusM).toBeCloseTo(blade.spanM / 2, 12);
      expect(widest.xM / blade.lengthM).toBeCloseTo(DELTA_TIPS_AT, 12);
      expect(sweep.at(-1)?.xM).toBeCloseTo(blade.lengthM, 12);
      sweep.slice(1).forEach(({ xM }, i) => expect(xM).toBeGreaterThan(sweep[i]?.xM ?? 0));
      expect(deltaLobeArea(blade)).toBeLessThan((blade.spanM / 2) * blade.lengthM);
      expect(massFromGeometry({ ...blade, lobes: 4 })).toBeCloseTo(2 * massFromGeometry({ ...blade, lobes: 2 }), 9);
    }
  });
});

describe('frames, tails, skirts and wires', () => {
  it('a frame weighs what its wire, head and hook weigh', () => {
    for (const frame of partsOfKind('frame')) {
      const parts =
        massFromGeometry(frame.head) +
        massFromGeometry(frame.hook) +
        wireMass(frame.wire, formedLength(frame.form, frame.wire.diameterM));
      expect(massFromGeometry(frame)).toBeCloseTo(parts, 12);
    }
  });

  it('tails of every style kick from within their length', () => {
    const tails = partsOfKind('trailer');
    expect(new Set(tails.map(({ style }) => style))).toEqual(new Set(TRAILER_STYLES));
    for (const { kicksFromM, lengthM, bodyM } of tails) {
      expect(kicksFromM).toBeGreaterThan(lengthM * 0.2);
      expect(kicksFromM).toBeLessThan(lengthM);
      expect(bodyM).toBeLessThan(lengthM / 3);
    }
  });

  it('makers disagree about the same number of a swivel and a ring, too', () => {
    for (const kind of ['swivel', 'splitRing'] as const) {
      const sizes = new Map<string, Set<number>>();
      for (const each of partsOfKind(kind)) {
        const key = `${each.kind === 'swivel' ? each.style : ''} ${each.label ?? ''}`;
        const size = each.kind === 'swivel' ? each.lengthM : each.outerDiameterM;
        sizes.set(key, new Set([...(sizes.get(key) ?? []), size]));
      }
      expect([...sizes.values()].some((each) => each.size > 1)).toBe(true);
    }
  });

  it('a longer leg or a barb that stands further off asks for more keeper wire', () => {
    const [keeper] = partsOfKind('keeper');
    if (!keeper) throw new Error('there are keepers');
    expect(keeperWire({ ...keeper, legM: keeper.legM + 0.002 }) - keeperWire(keeper)).toBeCloseTo(0.002, 12);
    expect(keeperWire({ ...keeper, standM: keeper.standM + 0.001 })).toBeGreaterThan(keeperWire(keeper));
  });
});
