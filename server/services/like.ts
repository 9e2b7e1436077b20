/** Words as they were typed, wherever they stand, for `ilike`: nothing in them is a pattern. */
export const anywhere = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`
