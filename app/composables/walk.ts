/** Where this browser stands with the first walk: not offered yet, asked for, or known. */
export const useWalk = () => useLocalStorage<'' | 'wanted' | 'known'>('agonis.walk', '')
