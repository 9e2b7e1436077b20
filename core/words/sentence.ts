/** Words as a sentence: a capital first, a stop last. */
export const asSentence = (words: string): string => `${words.slice(0, 1).toUpperCase()}${words.slice(1)}${/[.!?]$/.test(words) ? '' : '.'}`
