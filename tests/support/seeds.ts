/** How many seeds a simulation takes: the usual number, or `SEEDS` of them for a long run. */
export const seedsOr = (usual: number): number => Number(process.env.SEEDS ?? usual)
