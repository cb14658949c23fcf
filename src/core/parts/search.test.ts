import { describe, expect, it } from 'vitest';
import { CATALOGUE } from './catalogue';
import { matches, readQuery, searchable } from './search';

const found = (typed: string) => {
  const query = readQuery(typed);
  return CATALOGUE.filter((part) => matches(query, searchable(part))).map(({ id }) => id);
};

describe('finding parts by what people type', () => {
  it.each([
    ['#3 colorado copper', ['blade-colorado-k3']],
    ['5mm glass', ['bead-glass-5-green', 'bead-glass-5-facet']],
    ['glass 5 mm', ['bead-glass-5-green', 'bead-glass-5-facet']],
    ['.035', ['wire-stainless-090', 'frame-spin-k10', 'frame-spin-o14-closed', 'frame-underspin-o7']],
    ['0.9mm wire', ['wire-stainless-090']],
    ['1/4 oz lead egg', ['weight-egg-lead-7']],
    ['3/8 oz keel', ['head-flat-10-black']],
    ['1/0 hook octopus', ['hook-octopus-1-0']],
    ['treble 4', ['hook-treble-4']],
    ['kestrand french #2', ['blade-french-k2']],
    ['hammered willow', ['blade-willow-o3h', 'blade-willow-o5h']],
    ['two left bright', ['delta-2-left-36-bright']],
    ['quick-change smoke', ['clevis-quick-2', 'clevis-quick-3-smoke']],
    ['hollow bead 6mm', ['bead-brass-6-hollow']],
    ['bead-washer-3', ['bead-washer-3']],
  ])('%s', (typed, ids) => {
    expect(found(typed)).toEqual(ids);
  });

  it('fewer words show more; nothing typed shows all; nonsense shows none and throws nothing', () => {
    expect(found('')).toHaveLength(CATALOGUE.length);
    expect(found('colorado').length).toBeGreaterThan(found('colorado #3').length);
    for (const typed of ['zzz', '#', '5 5 5', '½', '1/0/0', '   #3   ', '"']) expect(() => found(typed)).not.toThrow();
    expect(found('zzz')).toEqual([]);
  });

  it('a word matches from its start, wherever it stands', () => {
    expect(found('colo').every((id) => id.includes('colorado'))).toBe(true);
    expect(found('orado')).toEqual([]);
  });

  it('every part is found by its own name, maker and size', () => {
    for (const part of CATALOGUE) expect(found(`${part.name} ${part.maker} ${part.label ?? ''}`)).toContain(part.id);
  });
});
