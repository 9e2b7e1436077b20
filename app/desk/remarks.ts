import { groupBy } from '~~/core/quantity/group'
import type { Remark } from '~~/core/script/remark'

/** The remark of a row whose first fix the key takes: setting the row out, which keeps every doubt, before all others. */
export function keyedRemark(remarks: readonly Remark[]): Remark | undefined {
  const withFix = remarks.filter(remark => remark.fixes.length > 0)
  return withFix.find(remark => remark.code === 'spelling') ?? withFix[0]
}

/** A remark as it is listed beside the sheet. */
export interface ListedRemark {
  remark: Remark
  isKeyed: boolean
}

const order = { error: 0, ask: 1, note: 2 }
const listedAtMost = 40

/** The remarks worth a line beside the sheet, the gravest first. */
export function listedRemarks(remarks: readonly Remark[]): ListedRemark[] {
  const byLine = groupBy(remarks, remark => remark.line)
  const ofLine = (remark: Remark) => byLine.get(remark.line)!
  return remarks
    .filter(remark => !(remark.code === 'bare-number' && ofLine(remark).some(other => other.code === 'spelling')))
    .sort((a, b) => order[a.level] - order[b.level] || a.line - b.line)
    .slice(0, listedAtMost)
    .map(remark => ({ remark, isKeyed: keyedRemark(ofLine(remark)) === remark }))
}
