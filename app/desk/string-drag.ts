import type { Extension } from '@codemirror/state'
import type { EditorView } from '@codemirror/view'
import { ViewPlugin } from '@codemirror/view'
import { effortAxis } from '~~/core/reckon/sheet'
import { followPointer } from './follow-pointer'

/** How near an end of a string the pointer takes hold of it, in pixels. */
const reach = 14
export type StringEnd = 'easiest' | 'hardest'

/** The ends of a row's string are handles: let go elsewhere, the band of the row ends there. */
export function stringDragging(pull: (path: string, end: StringEnd, percent: number) => void): Extension {
  return ViewPlugin.fromClass(
    class {
      private readonly down = (event: PointerEvent) => this.start(event)

      constructor(private readonly view: EditorView) {
        view.dom.addEventListener('pointerdown', this.down)
      }

      private start(event: PointerEvent) {
        const cell = (event.target as HTMLElement).closest<HTMLElement>('.sheet-string')
        const band = cell?.querySelector<HTMLElement>('.sheet-band')
        const path = cell?.dataset.path
        if (!cell || !band || !path || event.button !== 0) return
        const [cellBox, bandBox] = [cell.getBoundingClientRect(), band.getBoundingClientRect()]
        const [toLeft, toRight] = [Math.abs(event.clientX - bandBox.left), Math.abs(event.clientX - bandBox.right)]
        if (Math.min(toLeft, toRight) > reach) return
        event.preventDefault()
        const end: StringEnd = toLeft < toRight || (toLeft === toRight && event.clientX < bandBox.left) ? 'easiest' : 'hardest'
        const fixed = end === 'easiest' ? bandBox.right : bandBox.left
        const was = band.style.cssText
        let at = event.clientX
        const show = (pointer: PointerEvent) => {
          at = Math.min(cellBox.right, Math.max(cellBox.left, pointer.clientX))
          at = end === 'easiest' ? Math.min(at, fixed) : Math.max(at, fixed)
          band.style.left = `${Math.min(at, fixed) - cellBox.left}px`
          band.style.width = `${Math.max(4, Math.abs(at - fixed))}px`
        }
        const stop = (isDone: boolean) => {
          band.style.cssText = was
          if (isDone && Math.abs(at - event.clientX) > 2)
            pull(path, end, effortAxis.low + ((at - cellBox.left) / cellBox.width) * (effortAxis.high - effortAxis.low))
        }
        followPointer(show, stop)
      }

      destroy() {
        this.view.dom.removeEventListener('pointerdown', this.down)
      }
    },
  )
}
