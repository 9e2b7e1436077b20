import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

const imported = /import\s*\{\s*(\w+)(\s+as\s+\w+)?\s*\}\s*from\s*["']~\/texts\/(\w+)["']/g
const asked = /^(.+\/texts\/\w+\/\w+\.ts)\?part=(\w+)$/

/** A file of a language with one of its parts alone, and whatever is not a part. */
export function partOfTexts(source: string, part: string): string {
  const file = ts.createSourceFile('texts.ts', source, ts.ScriptTarget.Latest)
  const isOther = (statement: ts.Statement) =>
    ts.isVariableStatement(statement) &&
    statement.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword) &&
    !statement.declarationList.declarations.some(({ name }) => ts.isIdentifier(name) && name.text === part)
  return file.statements
    .filter(statement => !isOther(statement))
    .map(statement => source.slice(statement.pos, statement.end))
    .join('')
}

/** The file of a language that a part stands in. */
function fileOfPart(folder: string, part: string): string {
  const file = readdirSync(folder).find(name => new RegExp(`^export const ${part} =`, 'm').test(readFileSync(join(folder, name), 'utf8')))
  if (!file) throw new Error(`no part ${part} in ${folder}`)
  return join(folder, file)
}

/**
 * Gives each file of the screens its own part of the language, so that no room loads another's sentences.
 *
 * @param folder where the screens are
 */
export const textsByPart = (folder: string) => ({
  name: 'texts-by-part',
  enforce: 'post' as const,
  transform: (code: string) =>
    code.includes('~/texts/')
      ? {
          code: code.replace(
            imported,
            (_, part, as, language) =>
              `import { ${part}${as ?? ''} } from "${fileOfPart(join(folder, 'texts', language), part)}?part=${part}"`,
          ),
        }
      : undefined,
  load(id: string) {
    const [, path, part] = asked.exec(id) ?? []
    if (path && part)
      return ts.transpile(partOfTexts(readFileSync(path, 'utf8'), part), { target: ts.ScriptTarget.ESNext, module: ts.ModuleKind.ESNext })
  },
})
