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
    what: 'A page that goes leaves nothing of what the disk has not taken.',
    file: 'app/desk/use-desk-keys.ts',
    from: "useEventListener(window, 'pagehide', keeping.leave)",
    to: 'void keeping.leave',
    test: 'tests/browser/weeks.spec.ts',
  },
  {
    what: 'The first address of a kept link leads nowhere.',
    file: 'nuxt.config.ts',
    from: "'/wrist': { redirect: '/watches' },",
    to: '',
    test: 'tests/browser/weeks.spec.ts',
  },
  {
    what: 'The desk changes over before the session is read, so that words typed meanwhile go to the wrong one.',
    file: 'app/desk/opening.ts',
    from: 'const changesBefore = text.changes',
    to: 'const changesBefore = text.changes\n    text.id = wanted',
    test: 'tests/browser/desk.spec.ts',
  },
  {
    what: 'A finder that closes gives the sheet the focus and no caret.',
    file: 'app/desk/sheet-extensions.ts',
    from: 'if (!view.contentDOM.contains(document.getSelection()?.focusNode ?? null)) view.focus()',
    to: 'void view',
    test: 'tests/browser/finder.spec.ts',
  },
]
