/** What lures prepared for one water have in common: parts that turn, ready for the spin model, and what is known of them. */
import type { SpinBlade } from '../hydro/blade-loads';
import { waterDensity, type Water } from '../hydro/water';
import { stateOf } from '../lure/item-state';
import type { Item } from '../lure/lure';
import { deltaTurner, filmTurner, hungTurner, type Turner } from '../in-water/spinners';
import type { Part } from '../parts/part';
import { pullOfPart } from '../predict/lure-in-water';
import { BladeBook } from './blade-book';

/** A part that turns, ready for the spin model. */
export interface ReadyTurner {
  readonly turner: Turner;
  readonly foldRad: number | null;
  readonly spun: SpinBlade;
  /** Of its pull what is the same on the wire and behind a swivel, for both. */
  readonly onWire: ReturnType<typeof pullOfPart>;
  readonly behindSwivel: ReturnType<typeof pullOfPart>;
}

/** What lures prepared for one water have in common. */
export class Workshop {
  readonly rho: number;
  readonly book: BladeBook;
  private readonly turners = new WeakMap<Part, ReadyTurner>();

  constructor(water: Water) {
    this.rho = waterDensity(water);
    this.book = new BladeBook(this.rho);
  }

  turner(item: Item, part: Part): ReadyTurner {
    const foldRad = part.kind === 'filmBlade' ? stateOf(item, 'film').foldRad : null;
    const known = this.turners.get(part);
    if (known?.foldRad === foldRad) return known;
    const turner = turnerOf(part, foldRad, this.rho);
    const ready: ReadyTurner = {
      turner,
      foldRad,
      spun: turner.blade(turner.nominal),
      onWire: pullOfPart(part, turner, 0),
      behindSwivel: pullOfPart(part, turner, null),
    };
    this.turners.set(part, ready);
    return ready;
  }
}

function turnerOf(part: Part, foldRad: number | null, rho: number): Turner {
  switch (part.kind) {
    case 'blade':
      return hungTurner(part, rho);
    case 'filmBlade':
      return filmTurner(part, foldRad ?? 0, rho);
    case 'deltaBlade':
      return deltaTurner(part, rho);
    default:
      throw new Error(`turnerOf: a ${part.kind} does not turn`);
  }
}
