/** The lure and all that stands around it: on a phone one under the other, else the card beside the rest. */
export const TANK_GRID =
  'flex flex-1 flex-col lg:grid lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_26rem] lg:grid-rows-[minmax(0,1fr)_auto]';
