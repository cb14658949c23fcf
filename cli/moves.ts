/** What `moves` answers with: the changes that bring a lure nearer to a target, the best for its trouble first. */
import type { Lure } from '../src/core/lure/lure';
import { CATALOGUE } from '../src/core/parts/catalogue';
import type { Part } from '../src/core/parts/part';
import { readPartsFile } from '../src/core/parts/parts-file';
import { cardOf } from '../src/core/tune/card';
import { chancesOf } from '../src/core/tune/chance';
import { bestOfEachPlace, withPromises } from '../src/core/tune/best-moves';
import { rank } from '../src/core/tune/rank';
import { moveWords, reasonWords } from '../src/words/move-words';
import { partsFileProblemWords } from '../src/words/problem-words';
import { chancesJson, linesJson, readTarget } from './card';
import {
  CommandError,
  readOneSpeed,
  readSource,
  readOutfit,
  readState,
  readWater,
  type CommandOptions,
  type ReadText,
} from './options';

/** So many are told with their whole card. */
const TOLD = 10;
const MEASURES = { system: 'metric', speedUnit: 'mps' } as const;

/** @param options with one `speed` and a `target` file, and a file of one's own `parts` where there is one */
export function movesJson(lure: Lure, options: CommandOptions, readText: ReadText) {
  const speedMps = readOneSpeed('moves', options.speed);
  if (options.target === undefined)
    throw new CommandError('noTarget', 'Give --target with a target file as docs/files.md shows.');
  const target = readTarget(options.target, readText);
  const own = options.parts === undefined ? [] : readOwn(options.parts, readText);
  const water = readWater(options, readText);
  const outfit = readOutfit(options, readText);
  const asked = { outfit, state: readState(options.state) };
  const { wants } = target;
  const before = cardOf(lure.build, water, speedMps, asked);
  const setting = { water, outfit, speedMps };
  const ranking = rank({ lure, setting, card: before, wants, parts: { own, catalogue: CATALOGUE } });
  const best = bestOfEachPlace(ranking.ranked).slice(0, TOLD);
  const told = withPromises(best, { lure, water, speedMps, wants, rules: [], asked, before });
  return {
    lure: lure.id,
    speed_m_s: speedMps,
    target: { name: target.name, ...chancesJson(chancesOf(before, wants)) },
    moves_tried: ranking.tried,
    moves: told.map(({ ranked: { move, effort, isBought }, promised, isTied }) => ({
      key: move.key,
      words: moveWords(move, lure.build, 'metric'),
      edits: move.edits,
      also: move.twins.map(({ id }) => id),
      reason: promised.reason && reasonWords(promised.reason, MEASURES),
      minutes: effort.minutes,
      tools: effort.tools,
      undoing: effort.undoing,
      needs_part: isBought,
      tied_with_the_one_before: isTied,
      worsens: promised.worsens,
      makes: promised.makes.map(({ code }) => code),
      mends: promised.mends.map(({ code }) => code),
      ...chancesJson(promised.chances),
      lines: linesJson(promised.card),
    })),
  };
}

function readOwn(source: string, readText: ReadText): readonly Part[] {
  const reading = readPartsFile(readSource(source, 'A parts file', readText));
  if (!reading.ok) throw new CommandError(reading.problem.code, partsFileProblemWords(reading.problem));
  return reading.parts;
}
