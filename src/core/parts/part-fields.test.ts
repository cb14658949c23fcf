/** Parts of one's own: every catalogue part can be copied, each of its fields changed, and what cannot be is said. */
import { describe, expect, it } from 'vitest';
import { copyProblemWords } from '@/words/part-field-words';
import { part } from '@/testing/lures';
import { CATALOGUE } from './catalogue';
import { massFromGeometry } from './mass';
import { copyOf, partFields, startOf } from './part-fields';
import { PART_KINDS, type Part } from './part';

describe('a part copied and changed', () => {
  it('without a change is the same part, but for whose it is', () => {
    for (const each of CATALOGUE) {
      const copied = copyOf(each, {}, 'own-part', 'Mine');
      expect(copied, each.id).toEqual({
        ok: true,
        part: { ...each, id: 'own-part', name: 'Mine', maker: 'measured by you', label: null },
      });
    }
  });

  it('takes each of its measures a little larger; its mass follows as its geometry does, until it is weighed', () => {
    let changed = 0;
    for (const each of CATALOGUE) {
      for (const { key, of } of partFields(each).filter((field) => field.of === 'length')) {
        const now = Number(each[key as keyof Part]);
        if (now === 0) continue;
        const copied = copyOf(each, { [key]: now * 1.01 }, 'own-part', 'Mine');
        // Next to another measure there may be no room for one in a hundred more: that is said.
        if (!copied.ok) {
          expect(copied.problem.code, `${each.id} ${key}`).toBe('cannotStandTogether');
          continue;
        }
        changed++;
        // A body is held against the volume it was found to have: of one that is hollow its measures tell no mass.
        if (each.kind === 'lureBody') continue;
        const share = massFromGeometry(copied.part) / massFromGeometry(each);
        expect(copied.part.massKg / each.massKg, `${each.id} ${key} ${of}`).toBeCloseTo(share, 6);
        const weighed = copyOf(each, { [key]: now * 1.01, massKg: 0.0021 }, 'own-part', 'Mine');
        expect(weighed.ok && weighed.part.massKg).toBe(0.0021);
      }
    }
    expect(changed).toBeGreaterThan(300);
  });

  it('takes every choice it is given', () => {
    for (const each of CATALOGUE) {
      for (const { key, values } of partFields(each).filter((field) => field.of === 'choice')) {
        for (const value of values)
          expect(copyOf(each, { [key]: value }, 'own', 'Mine').ok, `${each.id} ${key}`).toBe(true);
      }
    }
  });

  it('says what cannot be: a hole wider than its bead, a length no part has', () => {
    const bead = part('bead-brass-4');
    const wide = copyOf(bead, { boreM: 0.01 }, 'own-bead', 'Mine');
    expect(wide).toMatchObject({ ok: false, problem: { code: 'cannotStandTogether' } });
    if (!wide.ok) expect(copyProblemWords(wide, bead, 'metric')).toContain('has to be smaller');
    expect(copyOf(bead, { lengthM: 4 }, 'own-bead', 'Mine')).toEqual({
      ok: false,
      problem: { code: 'notPossible', key: 'lengthM' },
    });
  });

  it('of every kind there is one to start from', () => {
    for (const kind of PART_KINDS) expect(startOf(kind, CATALOGUE)?.kind, kind).toBe(kind);
  });
});
