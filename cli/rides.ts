/** What `head` and `retrieve` answer with. */
import { CATALOGUE } from '../src/core/parts/catalogue';
import type { Lure } from '../src/core/lure/lure';
import { lightestHead } from '../src/core/predict/head-finder';
import { retrievePath } from '../src/core/predict/retrieve-path';
import {
  CommandError,
  readNumber,
  readOutfit,
  readSpeeds,
  readWater,
  withinModel,
  type CommandOptions,
  type ReadText,
} from './options';

/** The lightest head or weight for a depth at a speed. */
export function headJson(lure: Lure, options: CommandOptions, readText: ReadText) {
  const [speedMps = 0, second] = readSpeeds(options.speed);
  if (second !== undefined) throw new CommandError('badSpeed', 'A head is looked for at one speed: --speed 0.8.');
  const [from = '', to = ''] = (options.depth ?? '').split(',');
  const fromM = readNumber('badDepth', from, 'm', 0, 100);
  const toM = readNumber('badDepth', to, 'm', 0, 100);
  if (toM <= fromM) throw new CommandError('badDepth', 'Give --depth as two depths, the lesser first: --depth 1,1.5.');
  const found = lightestHead(
    lure.build,
    readWater(options, readText),
    { speedMps, fromM, toM },
    CATALOGUE,
    readOutfit(options, readText),
  );
  if (found.outcome === 'noHead') return found;
  return {
    outcome: found.outcome,
    mass_g: found.massKg * 1000,
    depth_m: found.depthM,
    ...(found.outcome === 'found'
      ? {
          station: found.station,
          part: found.part && {
            id: found.part.part.id,
            mass_g: found.part.part.massKg * 1000,
            depth_m: found.part.depthM,
          },
        }
      : {}),
  };
}

/** The way of a retrieve, as points. */
export function retrieveJson(lure: Lure, options: CommandOptions, readText: ReadText) {
  const path = retrievePath(
    lure.build,
    readWater(options, readText),
    {
      speedMps: withinModel(
        readNumber('badTurns', options.turns ?? '1', 'number', 0, 8) *
          readNumber('badPerTurn', options['per-turn'] ?? '0.66', 'm', 0.05, 3),
      ),
      countdownS: readNumber('badCountdown', options.countdown ?? '0', 'number', 0, 600),
    },
    readOutfit(options, readText),
  );
  if (path.outcome !== 'runs') return path;
  return {
    outcome: path.outcome,
    start_m: path.startM,
    hung: path.hung,
    deepest_m: path.deepestM,
    points: path.points.map(({ lineOutM, timeS, depthM }) => ({
      line_out_m: lineOutM,
      time_s: timeS,
      depth_m: depthM,
    })),
  };
}
