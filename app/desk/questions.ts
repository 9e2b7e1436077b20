import { Facet } from '@codemirror/state'
import type { EditorView } from '@codemirror/view'
import { WidgetType } from '@codemirror/view'
import type { Remark } from '~~/core/script/remark'
import { remarkTitle } from '~~/core/words/remark-titles'
import { deskQuestions as texts } from '~/texts/en'

type Answer = (remark: Remark, replacement: string) => void

/** Takes the answers that are given at their rows. */
export const answering = Facet.define<Answer, Answer>({ combine: ([first]) => first ?? (() => {}) })

const sayQuestion = ({ code, said, readAs }: Remark) => texts.isReadAs(remarkTitle(code), said.trim(), readAs.trim())

/** Whether a remark is a question that can be answered at its row. */
export const isQuestion = ({ level, readAs, fixes }: Remark): boolean => level === 'ask' && fixes.length > 0 && !readAs.includes('\n')

/** A question below the row that it is about, with an answer on each button. */
export class QuestionWidget extends WidgetType {
  private readonly shown: string

  constructor(readonly remark: Remark) {
    super()
    this.shown = JSON.stringify([remark.line, remark.column, remark.code, remark.said, remark.readAs, remark.fixes])
  }

  override eq(other: WidgetType) {
    return other instanceof QuestionWidget && other.shown === this.shown
  }

  override toDOM(view: EditorView) {
    const line = document.createElement('div')
    line.className = 'sheet-question'
    line.append(sayQuestion(this.remark))
    for (const { label, replacement } of this.remark.fixes) {
      const button = document.createElement('button')
      button.type = 'button'
      button.textContent = label
      button.addEventListener('click', () => view.state.facet(answering)(this.remark, replacement))
      line.append(' ', button)
    }
    return line
  }

  override ignoreEvent() {
    return true
  }

  override get estimatedHeight() {
    return 28
  }
}
