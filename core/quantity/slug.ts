/**
 * Words as a name that every file system and address takes: plain letters, digits and dashes, lower case.
 *
 * @param longest characters at most, more than zero
 * @returns empty where nothing of the words can be kept
 * @example slugOf('Løp på Skarholm, 12 km', 60) // 'l-p-pa-skarholm-12-km'
 */
export const slugOf = (words: string, longest: number): string =>
  words
    .normalize('NFKD')
    .replace(/[\u0300-\u036F]/g, '')
    .replace(/[^\w.-]+/g, '-')
    .replace(/^[-.]+|[-.]+$/g, '')
    .slice(0, longest)
    .toLowerCase()
