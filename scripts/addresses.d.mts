/** The addresses of all rooms; `ids` stands for `[id]`, by room. */
export function addressesOfRooms(ids: Record<string, string>): string[]
