/** Words whose role depends on where they stand: first, last or between. */
export type SoftWord = 'easy' | 'jog' | 'walk' | 'float'
