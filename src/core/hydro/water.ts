/** The water a lure runs in. */
import * as z from 'zod/mini';

export const waterSchema = z.strictObject({
  /** What the density formula holds for: 0 to 40 °C. */
  temperatureK: z.number().check(z.minimum(273.15), z.maximum(313.15)),
  /** Salinity, g of salt per kg of water. Lakes and rivers 0; the open sea about 35. */
  salinityGPerKg: z.number().check(z.minimum(0), z.maximum(45)),
});
export type Water = z.infer<typeof waterSchema>;

export const LAKE_WATER: Water = { temperatureK: 293.15, salinityGPerKg: 0 };
export const GRAVITY_MPS2 = 9.80665;

/**
 * Density, kg/m³. Fresh water by Kell's rational polynomial for 1 atm (J. Chem. Eng. Data 20, 1975, eq. 16; within
 * 0.01 kg/m³ from 0 to 40 °C), plus 0.78 kg/m³ per g/kg of salt, a linear fit good to 0.5 kg/m³ up to sea water.
 */
export function waterDensity(water: Water): number {
  const t = water.temperatureK - 273.15;
  const fresh =
    (999.83952 +
      16.945176 * t -
      7.9870401e-3 * t ** 2 -
      46.170461e-6 * t ** 3 +
      105.56302e-9 * t ** 4 -
      280.54253e-12 * t ** 5) /
    (1 + 16.87985e-3 * t);
  return fresh + 0.78 * water.salinityGPerKg;
}

/**
 * Viscosity, Pa·s: of fresh water 2.414e-5 · 10^(247.8/(T − 140)) (Touloukian et al., 1975; within 2.5 % from 0 to 100 °C),
 * and 0.2 % more for each g/kg of salt (Sharqawy et al., 2010, rounded).
 */
export function waterViscosity({ temperatureK, salinityGPerKg }: Water): number {
  return 2.414e-5 * 10 ** (247.8 / (temperatureK - 140)) * (1 + 0.002 * salinityGPerKg);
}
