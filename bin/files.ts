import { readFileSync } from 'node:fs'
import { limits } from '../core/session/limits'

export interface Diagnostic {
  problem: string
  line?: number
  column?: number
  pointer?: string
}

/** Bad input: exit 1, each diagnostic a line of JSON on standard error. */
export class BadInput extends Error {
  constructor(readonly diagnostics: Diagnostic[]) {
    super(diagnostics[0]?.problem ?? 'bad input')
  }
}

export function readText(file: string): string {
  let bytes: Buffer
  try {
    bytes = readFileSync(file === '-' ? 0 : file)
  } catch {
    throw new BadInput([{ problem: `${file === '-' ? 'standard input' : file} cannot be read` }])
  }
  if (bytes.length > limits.uploadBytes) throw new BadInput([{ problem: `${file} is larger than 50 MB, the limit` }])
  return bytes.toString('utf8')
}

export function parseJson(text: string, file: string): unknown {
  try {
    return JSON.parse(text) as unknown
  } catch (error) {
    throw new BadInput([{ problem: `${file} is not JSON: ${(error as Error).message}` }])
  }
}
