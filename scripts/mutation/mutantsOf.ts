import ts from 'typescript'

/** One small change of a source, which a test should notice. */
export interface Mutant {
  readonly file: string
  readonly line: number
  /** Where it begins and ends in the text. */
  readonly from: number
  readonly to: number
  readonly was: string
  readonly is: string
}

const SWAPS = new Map<ts.SyntaxKind, string>([
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
  [ts.SyntaxKind.PlusEqualsToken, '-='],
  [ts.SyntaxKind.MinusEqualsToken, '+='],
  [ts.SyntaxKind.AsteriskEqualsToken, '/='],
])
const CALLS: Readonly<Record<string, string>> = {
  min: 'max',
  max: 'min',
  some: 'every',
  every: 'some',
  floor: 'ceil',
  ceil: 'floor',
  findLast: 'find',
  find: 'findLast',
}

/** Whether a node is a table of data: an object or a list at the top of a file, without a function in it. */
function isTable(node: ts.Node): boolean {
  if (!ts.isObjectLiteralExpression(node) && !ts.isArrayLiteralExpression(node)) return false
  for (let up = node.parent; !ts.isSourceFile(up); up = up.parent) if (ts.isFunctionLike(up)) return false
  const hasCode = (one: ts.Node): boolean => ts.isFunctionLike(one) || ts.forEachChild(one, hasCode) === true
  return !hasCode(node)
}

/**
 * Every mutant of a source: operators turned, comparisons moved over their edge or negated, truths and numbers changed,
 * branches exchanged, least and most, some and every exchanged, statements left out. Types and texts are left alone, and
 * so are the values of tables at the top of a file: data, which is held against its sources and not against behaviour.
 *
 * @param file its path
 * @param text its content
 * @returns mutants in the order of the text
 */
export function mutantsOf(file: string, text: string): Mutant[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.ES2023, true)
  const found: Mutant[] = []
  const put = (from: number, to: number, is: string): void => {
    found.push({
      file,
      line: source.getLineAndCharacterOfPosition(from).line + 1,
      from,
      to,
      was: text.slice(from, to),
      is,
    })
  }
  const visit = (node: ts.Node): void => {
    if (
      ts.isTypeNode(node)
      || ts.isImportDeclaration(node)
      || ts.isInterfaceDeclaration(node)
      || ts.isTypeAliasDeclaration(node)
    )
      return
    if (ts.isBinaryExpression(node)) {
      const { operatorToken } = node
      const is = SWAPS.get(operatorToken.kind)
      const joinsText =
        operatorToken.kind === ts.SyntaxKind.PlusToken && [node.left, node.right].some(ts.isStringLiteralLike)
      if (is !== undefined && !joinsText) put(operatorToken.getStart(source), operatorToken.getEnd(), is)
    }
    if (isTable(node)) return
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node.getStart(source), node.getEnd(), 'false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node.getStart(source), node.getEnd(), 'true')
    if (ts.isNumericLiteral(node)) {
      const value = Number(node.text)
      put(
        node.getStart(source),
        node.getEnd(),
        value === 0 ? '1' : Number.isInteger(value) ? String(value + 1) : String(value * 1.5),
      )
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) {
      put(node.getStart(source), node.operand.getStart(source), '')
    }
    if (ts.isConditionalExpression(node)) {
      const [yes, no] = [node.whenTrue.getText(source), node.whenFalse.getText(source)]
      put(node.whenTrue.getStart(source), node.whenFalse.getEnd(), `${no} : ${yes}`)
    }
    if (ts.isCallExpression(node) && ts.isPropertyAccessExpression(node.expression)) {
      const { name } = node.expression
      const is = Object.hasOwn(CALLS, name.text) ? CALLS[name.text] : undefined
      if (is !== undefined) put(name.getStart(source), name.getEnd(), is)
    }
    if (ts.isExpressionStatement(node)) put(node.getStart(source), node.getEnd(), ';')
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}
