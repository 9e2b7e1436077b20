import { pluginsPopperPlace as texts } from '~/texts/en'
/**
 * The place where the library lays open what can be chosen, told as a part of the page.
 *
 * Trap: it stands beside the room and not in it, so that to a screen reader it would belong to nothing.
 */
export default defineNuxtPlugin(() => {
  const told = new MutationObserver(changes => {
    for (const { addedNodes } of changes)
      for (const node of addedNodes)
        if (node instanceof HTMLElement && node.id.startsWith('el-popper-container')) {
          node.setAttribute('role', 'region')
          node.setAttribute('aria-label', texts.whatCanBeChosen)
        }
  })
  told.observe(document.body, { childList: true })
})
