/** Faults in the running pages; each is built anew and found in the browser. */
export const pages = [
  {
    what: 'An entry dragged to another day is not kept there.',
    file: 'app/pages/weeks.vue',
    from: '@add="(event: { newIndex?: number }) => onDrop(day.iso, event)"',
    to: '',
    test: 'tests/browser/weeks.spec.ts',
  },
  {
    what: 'The page goes without a warning while words are kept nowhere.',
    file: 'app/desk/use-desk-keys.ts',
    from: "useEventListener(window, 'beforeunload', onUnload)",
    to: 'void onUnload',
    test: 'tests/browser/weeks.spec.ts',
  },
  {
    what: 'The first address of a kept link leads nowhere.',
    file: 'nuxt.config.ts',
    from: "'/wrist': { redirect: '/watches' },",
    to: '',
    test: 'tests/browser/weeks.spec.ts',
  },
]
