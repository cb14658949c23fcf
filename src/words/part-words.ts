/** Names and measures of parts, as sentences and lists for people. */
import { never } from '../core/never';
import { PATTERNS } from '../core/parts/blade-pattern';
import { MATERIALS } from '../core/parts/material';
import type { Part, PartKind } from '../core/parts/part';
import { showLength, showMass, type UnitSystem } from '../core/units/write';

export const KIND_WORDS: Readonly<Record<PartKind, { readonly one: string; readonly many: string }>> = {
  wire: { one: 'wire', many: 'wires' },
  clevis: { one: 'clevis', many: 'clevises' },
  blade: { one: 'blade', many: 'blades' },
  filmBlade: { one: 'film blade', many: 'film blades' },
  bead: { one: 'bead', many: 'beads' },
  sleeve: { one: 'sleeve', many: 'sleeves' },
  bell: { one: 'bell', many: 'bells' },
  striker: { one: 'striker', many: 'strikers' },
  cap: { one: 'cap', many: 'caps' },
  weight: { one: 'weight', many: 'weights' },
  dressing: { one: 'dressing', many: 'dressings' },
  splitRing: { one: 'split ring', many: 'split rings' },
  hook: { one: 'hook', many: 'hooks' },
  shrinkTube: { one: 'shrink tube', many: 'shrink tubes' },
  head: { one: 'head', many: 'heads' },
  swivel: { one: 'swivel', many: 'swivels' },
  deltaBlade: { one: 'buzz blade', many: 'buzz blades' },
  rivet: { one: 'rivet', many: 'rivets' },
  skirt: { one: 'skirt', many: 'skirts' },
  skirtLayer: { one: 'skirt strip', many: 'skirt strips' },
  trailer: { one: 'trailer', many: 'trailers' },
  keeper: { one: 'keeper', many: 'keepers' },
  softWire: { one: 'soft wire', many: 'soft wires' },
  body: { one: 'body', many: 'bodies' },
  frame: { one: 'frame', many: 'frames' },
};

/** `French blade #2, Odmar & Daughter`. */
export function partTitle(part: Part): string {
  const label = part.label === null ? '' : ` ${part.label}`;
  return `${part.name}${label}`;
}

/** `copper front, black back`, or the one finish. */
export function finishWords(part: Part): string {
  return part.kind === 'blade' && part.backFinish.name !== part.finish.name
    ? `${part.finish.name}, ${part.backFinish.name} inside`
    : part.finish.name;
}

export interface Measure {
  readonly name: string;
  readonly text: string;
}

/** Everything measured on a part, most telling first. */
export function partMeasures(part: Part, system: UnitSystem): Measure[] {
  const length = (name: string, lengthM: number): Measure => ({ name, text: showLength(lengthM, system) });
  const text = (name: string, words: string): Measure => ({ name, text: words });
  const ending = [text('material', MATERIALS[part.material].name), text('finish', finishWords(part))];
  const mass = text('mass', showMass(part.massKg, system));
  switch (part.kind) {
    case 'wire':
      return [length('diameter', part.diameterM), length('stock length', part.stockLengthM), ...ending];
    case 'clevis':
      return [
        length('bore', part.boreM),
        length('drop', part.dropM),
        length('between legs', part.legGapM),
        length('lobe', part.lobeThicknessM),
        mass,
        ...ending,
      ];
    case 'blade':
      return [
        text('pattern', PATTERNS[part.pattern].name),
        length('length', part.lengthM),
        length('width', part.widthM),
        length('thickness', part.thicknessM),
        length('cup depth', part.cupDepthM),
        length('hole', part.holeDiameterM),
        mass,
        text('face', part.texture),
        ...ending,
      ];
    case 'filmBlade':
      return [
        length('tip to tip', part.spanM),
        length('width', part.widthM),
        length('thickness', part.thicknessM),
        length('bore', part.boreM),
        mass,
        ...ending,
      ];
    case 'bead':
    case 'sleeve':
    case 'striker':
    case 'cap':
    case 'weight':
      return [
        length('length', part.lengthM),
        length('diameter', part.diameterM),
        length('bore', part.boreM),
        mass,
        ...ending,
      ];
    case 'bell':
      return [
        length('length', part.lengthM),
        length('mouth', part.mouthDiameterM),
        length('bore', part.boreM),
        mass,
        ...ending,
      ];
    case 'dressing':
      return [
        length('fibre length', part.fibreLengthM),
        length('bulk', part.bulkM),
        length('thread band', part.bandLengthM),
        mass,
        ...ending,
      ];
    case 'splitRing':
      return [length('outside', part.outerDiameterM), length('wire', part.wireDiameterM), mass, ...ending];
    case 'hook':
      return [
        length('length', part.lengthM),
        length('gap', part.gapM),
        length('wire', part.wireDiameterM),
        length('eye', part.eyeInnerDiameterM),
        text('points', part.points === 3 ? 'three' : 'one'),
        text('barb', part.barb ? 'barbed' : 'none'),
        text('eye form', part.eye),
        mass,
        ...ending,
      ];
    case 'shrinkTube':
      return [
        length('bore as sold', part.suppliedBoreM),
        length('bore shrunk', part.recoveredBoreM),
        length('wall', part.suppliedWallM),
        ...ending,
      ];
    case 'head':
      return [
        length('length', part.lengthM),
        length('height', part.heightM),
        length('width', part.widthM),
        length('collar', part.collarDiameterM),
        text('shape', part.shape),
        mass,
        ...ending,
      ];
    case 'swivel':
      return [
        length('length', part.lengthM),
        length('barrel', part.barrelDiameterM),
        length('eye', part.eyeInnerDiameterM),
        length('eye wire', part.eyeWireM),
        mass,
        ...ending,
      ];
    case 'deltaBlade':
      return [
        text('lobes', String(part.lobes)),
        text('hand', part.hand),
        length('tip to tip', part.spanM),
        length('along the wire', part.lengthM),
        length('thickness', part.thicknessM),
        length('bore', part.boreM),
        mass,
        ...ending,
      ];
    case 'rivet':
      return [
        length('length', part.lengthM),
        length('flange', part.flangeDiameterM),
        length('bore', part.boreM),
        mass,
        ...ending,
      ];
    case 'skirt':
      return [
        length('bore', part.boreM),
        length('band', part.collarDiameterM),
        ...(part.strands
          ? [text('strands', String(part.strands.count)), length('strand length', part.strands.lengthM)]
          : []),
        mass,
        ...ending,
      ];
    case 'skirtLayer':
      return [
        text('strands', String(part.strands)),
        length('strip length', part.lengthM),
        length('strand width', part.strandWidthM),
        mass,
        ...ending,
      ];
    case 'trailer':
      return [
        length('length', part.lengthM),
        length('body', part.bodyM),
        length('kicks from', part.kicksFromM),
        text('head', part.head),
        mass,
        ...ending,
      ];
    case 'keeper':
      return [length('leg', part.legM), length('wire', part.wireDiameterM), mass, ...ending];
    case 'softWire':
      return [length('diameter', part.diameterM), length('stock length', part.stockLengthM), ...ending];
    case 'body':
      return [
        length('eye to eye', part.lengthM),
        length('metal', part.metalLengthM),
        length('diameter', part.diameterM),
        length('eye', part.eyeInnerDiameterM),
        mass,
        ...ending,
      ];
    case 'frame':
      return [
        length('wire', part.wire.diameterM),
        text('head', part.head.name),
        text('head mass', showMass(part.head.massKg, system)),
        text('hook', part.hook.label ?? part.hook.name),
        mass,
        ...ending,
      ];
    default:
      return never(part, 'partMeasures');
  }
}

/** One short line that tells a part from its neighbours in a list. */
export function partLine(part: Part, system: UnitSystem): string {
  const size = (lengthM: number) => showLength(lengthM, system);
  switch (part.kind) {
    case 'blade':
      return `${size(part.lengthM)} × ${size(part.widthM)}, ${finishWords(part)}`;
    case 'filmBlade':
      return `${size(part.spanM)} × ${size(part.widthM)}, ${finishWords(part)}`;
    case 'wire':
      return size(part.diameterM);
    case 'clevis':
      return `bore ${size(part.boreM)}, drop ${size(part.dropM)}`;
    case 'splitRing':
      return `${size(part.outerDiameterM)}, wire ${size(part.wireDiameterM)}`;
    case 'hook':
      return `gap ${size(part.gapM)}, ${part.barb ? 'barbed' : 'barbless'}, ${finishWords(part)}`;
    case 'dressing':
      return `${size(part.fibreLengthM)}, ${finishWords(part)}`;
    case 'shrinkTube':
      return `${size(part.suppliedBoreM)} shrinking to ${size(part.recoveredBoreM)}, ${finishWords(part)}`;
    case 'bell':
      return `${size(part.lengthM)} × ${size(part.mouthDiameterM)}, ${finishWords(part)}`;
    case 'bead':
    case 'sleeve':
    case 'striker':
    case 'cap':
    case 'weight':
      return `${size(part.diameterM)} × ${size(part.lengthM)}, ${finishWords(part)}, ${showMass(part.massKg, system)}`;
    case 'head':
      return `${size(part.lengthM)} × ${size(part.heightM)}, ${MATERIALS[part.material].name}, ${finishWords(part)}, ${showMass(part.massKg, system)}`;
    case 'swivel':
      return `${size(part.lengthM)}, eye ${size(part.eyeInnerDiameterM)}`;
    case 'deltaBlade':
      return `${size(part.spanM)}, ${part.hand}-handed, ${finishWords(part)}`;
    case 'rivet':
      return `${size(part.lengthM)}, bore ${size(part.boreM)}, ${MATERIALS[part.material].name}`;
    case 'skirt':
      return `bore ${size(part.boreM)}, ${finishWords(part)}`;
    case 'skirtLayer':
      return `${part.strands} strands of ${size(part.lengthM)}, ${finishWords(part)}`;
    case 'trailer':
      return `${size(part.lengthM)}, ${finishWords(part)}, ${showMass(part.massKg, system)}`;
    case 'keeper':
      return `wire ${size(part.wireDiameterM)}, leg ${size(part.legM)}`;
    case 'softWire':
      return `${size(part.diameterM)}, ${finishWords(part)}`;
    case 'body':
      return `${size(part.metalLengthM)} × ${size(part.diameterM)}, ${finishWords(part)}, ${showMass(part.massKg, system)}`;
    case 'frame':
      return `wire ${size(part.wire.diameterM)}, ${partTitle(part.head).toLowerCase()}, hook ${part.hook.label ?? ''}`;
    default:
      return never(part, 'partLine');
  }
}
