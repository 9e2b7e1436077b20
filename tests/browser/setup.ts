import { throwAwayStack } from '../support/stack'

export default async function setup() {
  const stack = await throwAwayStack(true)
  process.env.AGONIS_ADDRESS = stack.address
  return stack.stop
}
