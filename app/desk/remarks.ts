import type { Remark } from '~~/core/script/remark'

/** The remark of a row whose first fix the key takes: setting the row out, which keeps every doubt, before all others. */
export function keyedRemark(remarks: readonly Remark[]): Remark | undefined {
  const withFix = remarks.filter(remark => remark.fixes.length > 0)
  return withFix.find(remark => remark.code === 'spelling') ?? withFix[0]
}
