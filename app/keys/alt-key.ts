/** A key that is pressed with Alt, or Option on a Mac: by its place on the keyboard, whatever letter an Option key makes of it. */
export interface AltKey {
  /** As `KeyboardEvent.code` has it. */
  code: string
  /** What stands on it. */
  sign: string
}

type Pressed = Pick<KeyboardEvent, 'code' | 'key' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey'>

/** Keys whose sign stands elsewhere on other keyboards. */
const bySign: Record<string, readonly string[]> = { Equal: ['+', '='], Minus: ['-', '−', '–'], Period: ['.'], Comma: [','] }

/**
 * Whether a key press is this key with Alt alone.
 *
 * Trap: on a Mac, Option and a letter type another sign, so letters go by their place; plus and minus go by their sign as well,
 * which stands elsewhere on a German or Norwegian keyboard.
 */
export function isAltKey(pressed: Pressed, { code }: AltKey): boolean {
  if (!pressed.altKey || pressed.ctrlKey || pressed.metaKey) return false
  const signs = bySign[code]
  if (signs?.includes(pressed.key)) return true
  return pressed.code === code && !pressed.shiftKey
}

/** Letters that browsers take with Alt, for their address or their menus. */
export const takenByBrowsers = ['KeyD', 'KeyE', 'KeyF', 'KeyS', 'KeyV', 'KeyB', 'KeyT', 'KeyH', 'Home', 'ArrowLeft', 'ArrowRight']

export const isMac = (platform = navigator.platform): boolean => /Mac|iPhone|iPad/.test(platform)

/** Keys as they are shown where one is: `Alt R`, and on a Mac `⌥ R`. */
export const shownKeys = (keys: string, mac = isMac()): string =>
  mac
    ? keys
        .replace(/\bCtrl\b/g, '⌘')
        .replace(/\bAlt\b/g, '⌥')
        .replace(/\bShift\b/g, '⇧')
    : keys

export const shownAlt = ({ sign }: AltKey, mac = isMac()): string => shownKeys(`Alt ${sign}`, mac)
