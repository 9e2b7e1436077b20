import { chartTokens } from './chart'

/** What the small pictures of the side column have in common. */
export function smallChart() {
  const tokens = chartTokens()
  const text = { color: tokens.faint, fontFamily: tokens.font, fontSize: 12 }
  return {
    tokens,
    text,
    base: { animation: false, textStyle: { fontFamily: tokens.font } },
    tooltip: {
      trigger: 'axis' as const,
      backgroundColor: tokens.paper,
      borderColor: tokens.slip,
      textStyle: { color: tokens.slip, fontSize: 13 },
      confine: true,
    },
  }
}
