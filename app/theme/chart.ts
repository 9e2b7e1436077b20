/** What a colour of the page's tokens is in the light or night that it is shown in. */
function resolved(names: readonly string[]): Record<string, string> {
  const probe = document.createElement('i')
  document.body.append(probe)
  const colours = names.map(name => {
    probe.style.color = `var(${name})`
    return [name, getComputedStyle(probe).color]
  })
  probe.remove()
  return Object.fromEntries(colours)
}

/** The chart's colours from the page's own tokens, so that both follow day and night. */
export function chartTokens() {
  const colours = resolved(['--slip', '--faint', '--rule', '--clay-1', '--clay-4', '--paper'])
  return {
    slip: colours['--slip']!,
    faint: colours['--faint']!,
    rule: colours['--rule']!,
    band: colours['--clay-1']!,
    effort: colours['--clay-4']!,
    paper: colours['--paper']!,
    font: getComputedStyle(document.documentElement).getPropertyValue('--read').trim(),
  }
}
