import { GAS_CONSTANT } from '../../units';

/** What a calibration finds of a resin, and what it takes as usual. */
export interface Kinetics {
  /** Rate at the reference temperature, 1/s, > 0. */
  readonly rate: number;
  /** Share of the rate that is there before anything has reacted. */
  readonly start: number;
  /** Order of the reaction in what is left. */
  readonly order: number;
  /** Conversion at which a film at the reference temperature turns to glass, 0…1. */
  readonly glass: number;
  /** Activation energy, J/mol. */
  readonly energyJMol: number;
  /** Heat of reaction, J/kg. */
  readonly heatJKg: number;
  /** Viscosity of the fresh mix at the reference temperature, Pa·s. */
  readonly viscosityPaS: number;
}

/** The temperature that the numbers of a model are told at, K (22 °C). */
export const MODEL_REFERENCE_K = 295.15;
/** Exponent of what has reacted (Kamal & Sourour 1973); typical, from memory. */
const AUTOCATALYSIS = 0.8;
/** How sharply the reaction stops at the glass, and how far a warmer film goes on, 1/K (Chern & Poehlein 1987 form). */
const GLASS = { steepness: 25, perK: 0.004 } as const;
/** Viscosity (Castro & Macosko 1982): conversion of the gel, exponents, and J/mol of its fall with warmth. From memory. */
const FLOW = { gel: 0.55, c1: 5, c2: 1, energyJMol: 55e3 } as const;
/** No viscosity is told above this, as a power of e: past the gel nothing flows. */
const LN_CEILING = 60;

export const GEL = FLOW.gel;

/** Speed at a temperature against the reference. Source: Arrhenius. */
export const warmthFactor = (energyJMol: number, temperatureK: number): number =>
  Math.exp((-energyJMol / GAS_CONSTANT) * (1 / temperatureK - 1 / MODEL_REFERENCE_K));

/**
 * Rate of cure, 1/s.
 * @param kinetics the resin @param conversion share that has reacted, taken as 0…1 @param temperatureK K, > 0
 * Source: dα/dt = k(T)·(b + α^m)(1 − α)^n · f_d, Kamal & Sourour 1973 with one activation energy, diffusion factor in
 *   the form of Chern & Poehlein 1987.
 */
export function cureRate(
  { rate, start, order, glass, energyJMol }: Kinetics,
  conversion: number,
  temperatureK: number,
): number {
  const a = Math.min(1, Math.max(0, conversion));
  const turns = glass + GLASS.perK * (temperatureK - MODEL_REFERENCE_K);
  const diffusion = 1 / (1 + Math.exp(GLASS.steepness * (a - turns)));
  const reaction = (start + a ** AUTOCATALYSIS) * (1 - a) ** order;
  return rate * warmthFactor(energyJMol, temperatureK) * reaction * diffusion;
}

/**
 * Viscosity of a mix, Pa·s; past the gel a number so high that nothing flows.
 * Source: Castro & Macosko 1982, exponents refitted to room-temperature amine systems (8 times fresh at 18 % cured).
 */
export function cureViscosity(
  { viscosityPaS }: Pick<Kinetics, 'viscosityPaS'>,
  conversion: number,
  temperatureK: number,
): number {
  const a = Math.max(0, conversion);
  const cooling = (FLOW.energyJMol / GAS_CONSTANT) * (1 / temperatureK - 1 / MODEL_REFERENCE_K);
  const growth =
    a < FLOW.gel ? (FLOW.c1 + FLOW.c2 * a) * Math.log(FLOW.gel / (FLOW.gel - a)) : Infinity;
  return viscosityPaS * Math.exp(Math.min(LN_CEILING, cooling + growth));
}
