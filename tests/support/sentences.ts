import { parse } from '@vue/compiler-sfc'
import ts from 'typescript'

/** Attributes that are read or heard. */
const saidAttribute = /^(?:label|aria-label|placeholder|title|description|words|alt|[a-z]+-label)$/
const hasWord = (text: string) => /\p{L}{2,}/u.test(text)
const isSentence = (text: string) => /\p{L}{2,}[,:;.“”]?\s+(?:\d+\s+)?[“”]?\p{L}{2,}/u.test(text)
/** Names of styles, keys of a keyboard, addresses and forms of dates are no sentences. */
const isOfTheMachine = (text: string) =>
  /^(?:\/|[.#[]|Ctrl |Alt |Shift )|D MMM|\[\w+=/.test(text) ||
  text
    .trim()
    .split(/\s+/)
    .every(word => /^[a-z]+(?:-[a-z]+)+$/.test(word))

const equality = [ts.SyntaxKind.EqualsEqualsEqualsToken, ts.SyntaxKind.ExclamationEqualsEqualsToken]
const isCompared = ({ parent }: ts.Node) => ts.isBinaryExpression(parent) && equality.includes(parent.operatorToken.kind)
const isName = (node: ts.Node) =>
  ts.isElementAccessExpression(node.parent) || (ts.isPropertyAssignment(node.parent) && node.parent.name === node)

/** The parts of an expression that stand on the screen where the whole does. */
function standingParts(node: ts.Node): ts.Node[] {
  if (ts.isConditionalExpression(node)) return [node.whenTrue, node.whenFalse]
  if (ts.isBinaryExpression(node)) return [node.left, node.right]
  if (ts.isParenthesizedExpression(node) || ts.isExpressionStatement(node)) return [node.expression]
  if (ts.isTemplateExpression(node)) return node.templateSpans.map(span => span.expression)
  return ts.isSourceFile(node) ? [...node.statements] : []
}

/** Sentences written in code, and where the code is shown as it stands any word of it. */
function inCode(code: string, isShown: boolean): string[] {
  const found: string[] = []
  const visit = (node: ts.Node, shown: boolean) => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return
    if (ts.isStringLiteralLike(node) && !isName(node) && !isOfTheMachine(node.text))
      if (isSentence(node.text) || (shown && hasWord(node.text) && !isCompared(node))) found.push(node.text)
    if (ts.isTemplateExpression(node)) {
      const said = [node.head, ...node.templateSpans.map(span => span.literal)].map(({ text }) => text)
      if (!isOfTheMachine(said[0]!) && said.some(text => isSentence(text) || (shown && hasWord(text)))) found.push(said.join('…'))
    }
    const standing = standingParts(node)
    ts.forEachChild(node, child => visit(child, shown && standing.includes(child)))
    if (ts.isTemplateExpression(node)) for (const part of standing) visit(part, shown)
  }
  visit(ts.createSourceFile('code.ts', code, ts.ScriptTarget.Latest, true), isShown)
  return [...new Set(found)]
}

interface TemplateNode {
  type: number
  content?: string | { loc: { source: string } }
  children?: TemplateNode[]
  props?: { type: number; name: string; value?: { content: string }; arg?: { content: string }; exp?: { loc: { source: string } } }[]
}
const [plainText, interpolation, attribute] = [2, 5, 6]

function inTemplate(node: TemplateNode): string[] {
  const found: string[] = []
  if (node.type === plainText && hasWord(node.content as string)) found.push(node.content as string)
  if (node.type === interpolation) found.push(...inCode(`(${(node.content as { loc: { source: string } }).loc.source})`, true))
  for (const { type, name, value, arg, exp } of node.props ?? [])
    if (type === attribute) {
      if (value && saidAttribute.test(name) && hasWord(value.content) && !isOfTheMachine(value.content)) found.push(value.content)
    } else if (exp && !['class', 'style', 'd', 'viewBox'].includes(arg?.content ?? '') && name !== 'slot')
      found.push(...inCode(`(${exp.loc.source})`, name === 'bind' && saidAttribute.test(arg?.content ?? '')))
  return [...found, ...(node.children ?? []).flatMap(inTemplate)]
}

/** The sentences, and the words that are shown, that stand in a file of the screens itself. */
export function sentencesIn(path: string, source: string): string[] {
  if (!path.endsWith('.vue')) return inCode(source, false)
  const { template, scriptSetup, script } = parse(source).descriptor
  return [
    ...[script, scriptSetup].flatMap(block => (block ? inCode(block.content, false) : [])),
    ...(template?.ast ? inTemplate(template.ast as unknown as TemplateNode) : []),
  ]
}
