import type { Extension } from '@codemirror/state'
import type { EditorView } from '@codemirror/view'
import { ViewPlugin } from '@codemirror/view'
import type { Edit } from '~~/core/edit/edit'
import { followPointer } from './follow-pointer'

/** Where a row that is dragged would go. */
export interface Drop {
  to: string
  where: 'before' | 'after'
  y: number
}

interface Cell {
  path: string
  top: number
  bottom: number
  isBlock: boolean
}

const threshold = 5

/** The rows as they stand on the screen, told by their clocks. */
function cellsOf(view: EditorView): Cell[] {
  const cells = [...view.dom.querySelectorAll<HTMLElement>('.sheet-clock[data-path]')].map(element => {
    const { top, bottom } = (element.closest('.sheet-stack-row') ?? element.closest('.cm-gutterElement') ?? element).getBoundingClientRect()
    return { path: element.dataset.path!, top, bottom }
  })
  return cells.map(cell => ({ ...cell, isBlock: cells.some(other => other.path.startsWith(`${cell.path}.`)) }))
}

/**
 * Where a row goes that is let go at a height: before or after the row there, and first in a repeat when it is let go
 * below the repeat's own row. Null over itself.
 */
export function dropAt(cells: readonly Cell[], dragged: string, y: number): Drop | null {
  const cell = cells.find(candidate => y < candidate.bottom) ?? cells.at(-1)
  if (!cell || cell.path === dragged || cell.path.startsWith(`${dragged}.`)) return null
  if (y < (cell.top + cell.bottom) / 2) return { to: cell.path, where: 'before', y: cell.top }
  return cell.isBlock ? { to: `${cell.path}.1`, where: 'before', y: cell.bottom } : { to: cell.path, where: 'after', y: cell.bottom }
}

/** Rows are moved by their clock, repeats by their roundel too; a press without a move is handed on. */
export function rowDragging(move: (edit: Edit) => void, press: (path: string, what: 'row' | 'count') => void): Extension {
  return ViewPlugin.fromClass(
    class {
      private readonly line = document.createElement('div')
      private readonly down = (event: PointerEvent) => this.start(event)

      constructor(private readonly view: EditorView) {
        this.line.className = 'sheet-drop'
        this.line.hidden = true
        view.dom.append(this.line)
        view.dom.addEventListener('pointerdown', this.down)
      }

      private start(event: PointerEvent) {
        const handle = (event.target as HTMLElement).closest<HTMLElement>('.sheet-handle, .sheet-roundel, .sheet-preview [data-path]')
        const path = handle?.dataset.path
        if (!handle || !path || event.button !== 0) return
        event.preventDefault()
        const startY = event.clientY
        let isDragging = false
        let drop: Drop | null = null
        const show = (pointer: PointerEvent) => {
          isDragging ||= Math.abs(pointer.clientY - startY) > threshold
          if (!isDragging) return
          drop = dropAt(cellsOf(this.view), path, pointer.clientY)
          this.line.hidden = drop === null
          if (drop) this.line.style.top = `${drop.y - this.view.dom.getBoundingClientRect().top}px`
          this.view.dom.classList.add('sheet-dragging')
        }
        const end = (isDone: boolean) => {
          this.line.hidden = true
          this.view.dom.classList.remove('sheet-dragging')
          if (!isDone) return
          if (drop) move({ do: 'move', at: path, to: drop.to, where: drop.where })
          else if (!isDragging) press(path, handle.classList.contains('sheet-roundel') ? 'count' : 'row')
        }
        followPointer(show, end)
      }

      destroy() {
        this.view.dom.removeEventListener('pointerdown', this.down)
        this.line.remove()
      }
    },
  )
}
