/**
 * Materials by density, kg/m³. Handbook values for metals, glass and polymers; for hair, feather and thread the value is
 * that of the tied bundle with its air squeezed out, a trade estimate good to about a fifth.
 */
export const MATERIALS = {
  brass: { name: 'brass', densityKgM3: 8500 },
  copper: { name: 'copper', densityKgM3: 8930 },
  nickelSilver: { name: 'nickel silver', densityKgM3: 8700 },
  stainless: { name: 'stainless steel', densityKgM3: 7900 },
  springSteel: { name: 'spring steel', densityKgM3: 7850 },
  aluminium: { name: 'aluminium', densityKgM3: 2700 },
  lead: { name: 'lead', densityKgM3: 11340 },
  tungsten: { name: 'tungsten composite', densityKgM3: 17000 },
  glass: { name: 'glass', densityKgM3: 2500 },
  plastic: { name: 'plastic', densityKgM3: 1180 },
  polyester: { name: 'polyester film', densityKgM3: 1380 },
  polyolefin: { name: 'polyolefin', densityKgM3: 950 },
  silicone: { name: 'silicone', densityKgM3: 1120 },
  softPlastic: { name: 'soft plastic', densityKgM3: 1150 },
  rubber: { name: 'rubber', densityKgM3: 1100 },
  bismuth: { name: 'bismuth', densityKgM3: 9780 },
  wood: { name: 'wood', densityKgM3: 450 },
  tin: { name: 'tin', densityKgM3: 7300 },
  zinc: { name: 'zinc alloy', densityKgM3: 6700 },
  nylon: { name: 'nylon', densityKgM3: 1140 },
  fluorocarbon: { name: 'fluorocarbon', densityKgM3: 1780 },
  braid: { name: 'braided polyethylene', densityKgM3: 970 },
  flesh: { name: 'natural bait', densityKgM3: 1050 },
  hair: { name: 'hair', densityKgM3: 1000 },
  feather: { name: 'feather', densityKgM3: 800 },
} as const;

export type MaterialId = keyof typeof MATERIALS;
export const MATERIAL_IDS = Object.keys(MATERIALS) as [MaterialId, ...MaterialId[]];

/** kg/m³ of a material. */
export function densityOf(material: MaterialId): number {
  return MATERIALS[material].densityKgM3;
}
