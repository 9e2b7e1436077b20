import { composablesAsked as texts } from '~/texts/en'
/**
 * Asks before something is lost for good.
 *
 * @param words what would be lost, as a question
 * @param act the answer that goes on, as a verb
 */
export async function askedToGoOn(words: string, act: string): Promise<boolean> {
  try {
    await ElMessageBox.confirm(words, { confirmButtonText: act, cancelButtonText: texts.keepIt, type: 'warning', appendTo: '#room' })
    return true
  } catch {
    return false
  }
}
