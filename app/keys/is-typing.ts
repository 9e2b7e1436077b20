/** Where letters are text, and no keys of a room. */
const typed = 'input,textarea,select,[contenteditable=true],[role=dialog]'

/** Whether a key goes into a field, the editor or a dialog. */
export const isTyping = (event: KeyboardEvent): boolean => event.target instanceof Element && event.target.closest(typed) !== null
