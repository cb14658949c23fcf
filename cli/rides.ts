/** What `head`, `troll` and `retrieve` answer with. */
import { fishingLine } from '../src/core/hydro/outfit';
import { rigShapes } from '../src/core/hydro/sinker-line';
import { waterDensity } from '../src/core/hydro/water';
import { CATALOGUE } from '../src/core/parts/catalogue';
import { densityOf, MATERIAL_IDS } from '../src/core/parts/material';
import type { Lure } from '../src/core/lure/lure';
import { lightestHead } from '../src/core/predict/head-finder';
import { retrievePath } from '../src/core/predict/retrieve-path';
import { pullOnLine } from '../src/core/predict/ride';
import { prepare } from '../src/core/prepared/prepared';
import { readQuantity } from '../src/core/units/read';
import { readingProblemWords } from '../src/words/problem-words';
import {
  CommandError,
  readNumber,
  readOneSpeed,
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

/** How deep a sinker and the lure behind it run, each length of line out. */
export function trollJson(lure: Lure, options: CommandOptions, readText: ReadText) {
  const speedMps = readOneSpeed('troll', options.speed);
  const weight = readQuantity('mass', options.sinker ?? '', { bare: 'g', minSi: 0.0005, maxSi: 1 });
  if (!weight.ok) throw new CommandError('badSinker', `For --sinker: ${readingProblemWords(weight.problem)}`);
  const leaderM = readNumber('badLeader', options.leader ?? '1', 'm', 0.05, 10);
  const metal = options.metal ?? 'lead';
  const [water, outfit] = [readWater(options, readText), readOutfit(options, readText)];
  const material = MATERIAL_IDS.find((each) => each === metal);
  if (!material) throw new CommandError('unknownMetal', `“${metal}” is none of ${MATERIAL_IDS.join(', ')}.`);
  const bottomM = options.depth === undefined ? Infinity : readNumber('badDepth', options.depth, 'm', 0.2, 300);
  const { trim } = prepare(lure, { water, outfit, speedMps }).figures;
  if (!trim) return { outcome: 'outsideModel' };
  const line = fishingLine(outfit.line);
  const sinker = { massKg: weight.si, densityKgM3: densityOf(material) };
  const setting = { waterDensityKgM3: waterDensity(water), tipHeightM: outfit.tipHeightM, speedMps };
  const rig = { line, leader: line, leaderM, sinker, bait: pullOnLine(trim) };
  const [shape] = rigShapes(rig, setting, [outfit.lineOutM], bottomM);
  if (shape?.outcome !== 'sinks') return { outcome: shape?.outcome };
  return {
    outcome: shape.outcome,
    sinker_depth_m: shape.sinkerDepthM,
    lure_depth_m: shape.baitDepthM,
    lure_over_sinker_m: shape.baitOverSinkerM,
    ...(options.depth === undefined
      ? {}
      : { lure_over_bottom_m: bottomM - shape.baitDepthM, sinker_is_on_bottom: shape.isOnBottom }),
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
