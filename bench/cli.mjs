/** How long the command line takes to start: one line printed, in ratio to an empty node, both as whole processes. */
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const program = fileURLToPath(new URL('../bin/agonis', import.meta.url))
const rounds = 15
const line = '6x800m w/ 90" rest\n'

function secondsOf(command, args, input) {
  const before = process.hrtime.bigint()
  const { status } = spawnSync(command, args, { input })
  if (status !== 0) throw new Error(`${command} ${args.join(' ')} ended with ${status}`)
  return Number(process.hrtime.bigint() - before) / 1e9
}

const median = values => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
const empty = () => secondsOf(process.execPath, ['-e', '0'])
const print = () => secondsOf(process.execPath, [program, 'print', '-'], line)

print()
const [nodes, prints] = [[], []]
for (let round = 0; round < rounds; round++) {
  nodes.push(empty())
  prints.push(print())
}
const ratio = median(prints) / median(nodes)
console.log(
  `agonis print - of one line: ${ratio.toFixed(2)} x an empty node (` +
    `${(median(prints) * 1000).toFixed(0)} ms against ${(median(nodes) * 1000).toFixed(0)} ms)`,
)
process.exit(ratio <= 3 ? 0 : 1)
