/** A word or number put into a sentence. */
export type Said = string | number
