/**
 * How readily water moves through a medium against 20 °C: as its viscosity falls, it moves faster.
 * @param tempC of the medium, held between 0 and 45
 * @returns 1 at 20 °C, about 0.77 at 10, 1.25 at 30
 * Source: viscosity of water, Vogel's equation μ = exp(−3.7188 + 578.919 / (T − 137.546)) mPa s, T in K
 * (Viswanath et al. 2007, Viscosity of Liquids).
 */
export function mobilityAt(tempC: number): number {
  const held = Math.min(Math.max(tempC, 0), 45);
  return viscosity(20) / viscosity(held);
}

const viscosity = (tempC: number): number =>
  Math.exp(-3.7188 + 578.919 / (tempC + 273.15 - 137.546));
