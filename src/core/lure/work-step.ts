/** One step of building a lure as coded data; the sentences are written where they are shown. */
import type { Part } from '../parts/part';
import type { End } from './lure';

/** What can come to harm at a step. */
export type Hazard = 'clippedWire' | 'flame' | 'hookPoint' | 'lead' | 'cement' | 'hotMetal' | 'blade';

export type WorkStep =
  | { readonly do: 'cutWire'; readonly part: Part; readonly lengthM: number; readonly hazards: readonly Hazard[] }
  | { readonly do: 'tieDressing'; readonly part: Part; readonly on: Part; readonly hazards: readonly Hazard[] }
  | {
      readonly do: 'formLoop';
      readonly end: End;
      readonly insideDiameterM: number;
      readonly turns: number;
      readonly wraps: number;
      readonly tagM: number;
      /** What must hang in the loop before its wraps close it: closed eyes that no ring can be opened for. */
      readonly holding: readonly Part[];
      /** Room to leave on the wire before this loop closes; null at the first loop. */
      readonly freeRoomM: number | null;
      readonly hazards: readonly Hazard[];
    }
  | {
      readonly do: 'hangByRing';
      readonly ring: Part;
      readonly parts: readonly Part[];
      readonly hazards: readonly Hazard[];
    }
  | { readonly do: 'shrinkTube'; readonly part: Part; readonly lengthM: number; readonly hazards: readonly Hazard[] }
  | { readonly do: 'thread'; readonly part: Part; readonly count: number; readonly hazards: readonly Hazard[] }
  | { readonly do: 'slideOver'; readonly part: Part; readonly over: Part; readonly hazards: readonly Hazard[] }
  | {
      readonly do: 'threadClevis';
      readonly clevis: Part;
      readonly blade: Part | null;
      readonly hazards: readonly Hazard[];
    }
  | {
      readonly do: 'threadLeg';
      readonly clevis: Part;
      readonly leg: 'lower' | 'upper';
      readonly blade: Part | null;
      readonly hazards: readonly Hazard[];
    }
  | { readonly do: 'takeFrame'; readonly name: string; readonly head: Part | null; readonly hazards: readonly Hazard[] }
  | {
      readonly do: 'castHead';
      readonly head: Part;
      readonly hook: Part | null;
      readonly hazards: readonly Hazard[];
    }
  | { readonly do: 'bendWire'; readonly bends: number; readonly hazards: readonly Hazard[] }
  | { readonly do: 'ringOverTie'; readonly ring: Part; readonly hazards: readonly Hazard[] }
  | { readonly do: 'turnDown'; readonly part: Part; readonly lengthM: number; readonly hazards: readonly Hazard[] }
  | {
      readonly do: 'closeLoop';
      readonly insideDiameterM: number;
      readonly holding: readonly Part[];
      /** The tube slid up over the end afterwards; null when pliers close it. */
      readonly plug: Part | null;
      readonly hazards: readonly Hazard[];
    }
  | {
      readonly do: 'fixRivet';
      readonly part: Part;
      readonly fixing: 'crimped' | 'upset';
      readonly hazards: readonly Hazard[];
    }
  | {
      readonly do: 'fitSkirt';
      readonly skirt: Part;
      readonly layers: readonly Part[];
      readonly lock: Part | null;
      readonly hazards: readonly Hazard[];
    }
  | {
      readonly do: 'pushTrailer';
      readonly part: Part;
      readonly cutM: number;
      readonly rounded: boolean;
      readonly hazards: readonly Hazard[];
    }
  | { readonly do: 'hangStinger'; readonly part: Part; readonly on: Part; readonly hazards: readonly Hazard[] }
  | { readonly do: 'lashKeeper'; readonly part: Part; readonly hazards: readonly Hazard[] }
  | { readonly do: 'check'; readonly of: 'turnsFreely' | 'clearsHook' | 'inLine'; readonly hazards: readonly Hazard[] };
