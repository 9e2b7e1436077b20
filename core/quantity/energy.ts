const joulesOfKilocalorie = 4184
/** Share of the energy spent on the bicycle that reaches the pedals; custom, 0.20 to 0.25. */
const grossEfficiency = 0.24

/**
 * Work at the pedals for an energy spent.
 *
 * @returns joules
 * @example pedalJoulesOf(300) // 301248
 */
export const pedalJoulesOf = (kilocalories: number): number => kilocalories * joulesOfKilocalorie * grossEfficiency

/** Energy spent for work at the pedals, in kilocalories. */
export const kilocaloriesOf = (joules: number): number => joules / joulesOfKilocalorie / grossEfficiency
