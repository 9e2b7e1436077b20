/**
 * Follows a pointer that was pressed until it is let go, cancelled or Escape is pressed.
 *
 * @param end told once whether it was let go, or given up
 */
export function followPointer(move: (pointer: PointerEvent) => void, end: (isDone: boolean) => void): void {
  const stop = (isDone: boolean) => {
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', up)
    window.removeEventListener('pointercancel', cancel)
    window.removeEventListener('keydown', escape, true)
    end(isDone)
  }
  const up = () => stop(true)
  const cancel = () => stop(false)
  const escape = (key: KeyboardEvent) => {
    if (key.key === 'Escape') stop(false)
  }
  window.addEventListener('pointermove', move)
  window.addEventListener('pointerup', up)
  window.addEventListener('pointercancel', cancel)
  window.addEventListener('keydown', escape, true)
}
