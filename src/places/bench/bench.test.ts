import { describe, expect, it, vi } from 'vitest';
import { edited, itemId, part, plainBait, plainSpinner, spinner } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { seatPart, stepItem, takeOff, threadParts } from '@/core/lure/editing';
import { USUAL_SETTINGS } from '@/data/settings';
import type { PickerAim } from '@/desk/picker/picker-state';
import { partCommands } from './string/part-commands';
import { retrieveSpeed, sayBy, speedInWords, SPEED_WAYS } from '@/desk/speed';
import { stringUnits } from './string/string-units';

describe('the string', () => {
  it('holds every part of every demo lure once, nose first, what hangs behind what holds it', () => {
    for (const { build } of DEMO_LURES) {
      const units = stringUnits(build);
      expect(units.map(({ key }) => key)).toEqual([...new Set(units.map(({ key }) => key))]);
      // A clevis that shares its stretch of wire stands there with each of its legs.
      const items = [...new Set(units.flatMap(({ item }) => (item ? [item.id] : [])))];
      expect([...items].sort()).toEqual(Object.keys(build.items).sort());
      expect(units[0]?.end).toBe('nose');
      const froms = units.flatMap(({ strand }) => (strand ? [strand.from] : []));
      expect(froms).toEqual([...froms].sort((a, b) => a - b));
      for (const { item, isHeld } of units) {
        if (!item || !isHeld || item.seat.on !== 'item') continue;
        expect(items.indexOf(item.seat.item)).toBeLessThan(items.indexOf(item.id));
      }
      const covered = units.reduce((sum, { strand }) => sum + (strand?.length ?? 0), 0);
      expect(covered).toBe(build.strand.length);
    }
  });

  it('shows a clevis as one while its legs are together, and leg by leg when something lies inside', () => {
    const lure = plainSpinner();
    expect(stringUnits(lure.build).filter(({ item }) => item?.part.kind === 'clevis')).toMatchObject([
      { leg: null, strand: { from: 0, length: 2 } },
    ]);
    const apart = edited(lure, ...stepItem(lure.build, itemId('clevis-1'), 1, 'aft'));
    const units = stringUnits(apart.build);
    expect(units.filter(({ item }) => item?.part.kind === 'clevis').map(({ leg }) => leg)).toEqual(['fore', 'aft']);
    expect(units.map(({ key }) => key).slice(0, 5)).toEqual([
      'nose',
      'clevis-1 fore',
      'blade-1',
      'bead-1',
      'clevis-1 aft',
    ]);
  });
});

describe('what can be done to a bait', () => {
  const bare = plainBait();
  const units = stringUnits(bare.build);
  const commandsFor = (key: string) => {
    const aims: PickerAim[] = [];
    const unit = units.find((each) => each.key === key) ?? null;
    const commands = partCommands(unit, units, bare.build, (aim) => aims.push(aim));
    for (const { seat } of commands.holds) commands.hold(seat);
    return { commands, holds: commands.holds.map(({ word }, i) => [word, aims[i]?.kinds.join(' ')]) };
  };

  it('stands in the string from its head along its arm to what hangs at its end', () => {
    expect(units.map(({ key }) => key)).toEqual([
      'nose',
      'head-1',
      'hook-1',
      'skirt-1',
      'skirtLayer-1',
      'skirtLayer-2',
      'tie',
      'bead-1',
      'tail',
      'swivel-1',
      'splitRing-1',
      'blade-1',
    ]);
  });

  it('offers each thing in the words of the work, and nothing where there is no room', () => {
    expect(commandsFor('nose').holds).toEqual([]);
    expect(commandsFor('head-1').holds).toEqual([]);
    expect(commandsFor('tie').holds).toEqual([['Force a ring over it', 'splitRing']]);
    expect(commandsFor('hook-1').holds).toEqual([
      ['Hang a stinger', 'hook'],
      ['Tie on it', 'dressing keeper link'],
      ['Push a trailer or bait on', 'trailer bait'],
    ]);
    expect(commandsFor('skirt-1').holds).toEqual([
      ['Tie on it', 'softWire'],
      ['Pull a strip in', 'skirtLayer'],
    ]);
    expect(commandsFor('swivel-1').holds).toEqual([]);
    expect(commandsFor('splitRing-1').holds).toEqual([['Hang on it', 'blade splitRing hook swivel snap body']]);
    const headless = edited(bare, takeOff(bare.build, itemId('head-1')));
    const bareUnits = stringUnits(headless.build);
    const nose = bareUnits.find(({ key }) => key === 'nose') ?? null;
    expect(partCommands(nose, bareUnits, headless.build, vi.fn()).holds).toMatchObject([{ word: 'Cast a head on' }]);
  });

  it('threads along the arm between the tie and its end, and swaps the wire for wire or a frame', () => {
    const inserts = (key: string) => {
      const { commands } = commandsFor(key);
      return [commands.canInsertBefore, commands.canInsertAfter];
    };
    expect(inserts('tie')).toEqual([false, true]);
    expect(inserts('bead-1')).toEqual([true, true]);
    expect(inserts('tail')).toEqual([true, false]);
    expect(inserts('blade-1')).toEqual([false, false]);
    const aims: PickerAim[] = [];
    const tie = units.find(({ key }) => key === 'tie') ?? null;
    partCommands(tie, units, bare.build, (aim) => aims.push(aim)).swap();
    expect(aims).toEqual([{ placement: { put: 'wire' }, kinds: ['frame', 'wire'], slot: null }]);
  });
});

describe('what can be done to a part', () => {
  const lure = plainSpinner();
  const units = stringUnits(lure.build);
  const commandsFor = (key: string | null) => {
    const aims: PickerAim[] = [];
    const unit = units.find((each) => each.key === key) ?? null;
    return { aims, commands: partCommands(unit, units, lure.build, (aim) => aims.push(aim)) };
  };

  it('inserts where the hand would: before and after, past a whole clevis and its blade, never beyond the ends', () => {
    const places = (key: string) => {
      const { aims, commands } = commandsFor(key);
      commands.insertBefore();
      commands.insertAfter();
      return [
        commands.canInsertBefore,
        commands.canInsertAfter,
        ...aims.map(({ placement }) => (placement.put === 'thread' ? placement.index : null)),
      ];
    };
    expect(places('nose')).toEqual([false, true, 0]);
    expect(places('clevis-1')).toEqual([true, true, 0, 2]);
    expect(places('blade-1')).toEqual([true, true, 0, 2]);
    expect(places('weight-1')).toEqual([true, true, 3, 4]);
    expect(places('tail')).toEqual([true, false, 4]);
    expect(places('hook-1')).toEqual([false, false]);
  });

  it('offers on each thing only what it can hold', () => {
    const holding = (key: string) => {
      const { aims, commands } = commandsFor(key);
      for (const { seat } of commands.holds) commands.hold(seat);
      return commands.holds.map(({ word }, i) => [word, aims[i]?.kinds]);
    };
    expect(holding('clevis-1')).toEqual([]);
    const bare = edited(lure, takeOff(lure.build, itemId('blade-1')));
    const bareUnits = stringUnits(bare.build);
    const clevis = bareUnits.find(({ key }) => key === 'clevis-1') ?? null;
    expect(partCommands(clevis, bareUnits, bare.build, vi.fn()).holds.map(({ word }) => word)).toEqual(['Hang on it']);
    expect(holding('hook-1')).toEqual([
      ['Hang a stinger', ['hook']],
      ['Tie on it', ['dressing', 'keeper', 'link']],
      ['Push a trailer or bait on', ['trailer', 'bait']],
    ]);
    expect(holding('tail')).toEqual([['Hang on the loop', ['blade', 'splitRing', 'hook', 'swivel', 'snap']]]);
    expect(holding('bead-1')).toEqual([]);
  });

  it('swaps a part for its own kind, and the wire when an end or nothing is picked', () => {
    for (const [key, kinds] of [
      ['blade-1', ['blade']],
      ['hook-1', ['hook']],
      ['tail', ['wire']],
      [null, ['wire']],
    ] as const) {
      const { aims, commands } = commandsFor(key);
      commands.swap();
      expect(aims[0]?.kinds).toEqual(kinds);
      expect(commands.canTakeOff).toBe(key !== null && key !== 'tail');
    }
  });

  it('moves threaded parts only, and only where there is somewhere to go', () => {
    expect(commandsFor('clevis-1').commands.canMove(-1)).toBe(false);
    expect(commandsFor('clevis-1').commands.canMove(1)).toBe(true);
    expect(commandsFor('weight-1').commands.canMove(1)).toBe(false);
    expect(commandsFor('hook-1').commands.canMove(1)).toBe(false);
    const sleeve = spinner(['sleeve-brass-8']);
    const belled = edited(
      sleeve,
      seatPart(sleeve.build, part('bell-brass-8'), { on: 'item', item: itemId('sleeve-1'), how: 'over' }),
    );
    const bellUnits = stringUnits(belled.build);
    const bell = bellUnits.find(({ item }) => item?.part.kind === 'bell') ?? null;
    expect(partCommands(bell, bellUnits, belled.build, vi.fn()).canMove(-1)).toBe(false);
    expect(threadParts(belled.build, part('bead-brass-3'), 0).kind).toBe('insert');
  });
});

describe('the retrieve', () => {
  it('keeps its speed however it is said', () => {
    const { retrieve } = USUAL_SETTINGS;
    expect(retrieveSpeed(retrieve)).toBeCloseTo(0.66, 12);
    for (const { by } of SPEED_WAYS) {
      expect(retrieveSpeed(sayBy(retrieve, by))).toBeCloseTo(0.66, 3);
      expect(retrieveSpeed(sayBy(sayBy(retrieve, by), 'reel'))).toBeCloseTo(0.66, 3);
    }
    expect(speedInWords(sayBy(retrieve, 'mph'))).toBe('0.66 m/s  ·  2.38 km/h');
    expect(speedInWords(retrieve)).toBe('0.66 m/s  ·  2.38 km/h  ·  1.48 mph');
  });
});
