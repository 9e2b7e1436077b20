/** The chart's colours from the page's own tokens, so that both follow day and night. */
export function chartTokens() {
  const style = getComputedStyle(document.documentElement)
  const token = (name: string) => style.getPropertyValue(name).trim()
  return {
    slip: token('--slip'),
    faint: token('--faint'),
    rule: token('--rule'),
    band: token('--clay-1'),
    effort: token('--clay-4'),
    paper: token('--paper'),
    font: token('--read'),
  }
}
