import { composablesWalk as texts } from '~/texts/en'
/** Where this browser stands with the first walk: not offered yet, asked for, or known. */
export const useWalk = () => useLocalStorage<'' | 'wanted' | 'known'>(texts.agonisWalk, '')
