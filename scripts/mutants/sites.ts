// Where a source can be changed in one place so that it means something else: an operator, a number, a bound turned round.
import ts from 'typescript';

export type Change = { file: string; line: number; at: number; end: number; from: string; to: string };

/** Bounds are turned round, not moved by a hair: whether a limit itself belongs to it seldom matters. */
const SWAPPED: Record<string, string> = {
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '%': '*',
  '**': '*',
  '<': '>=',
  '<=': '>',
  '>': '<=',
  '>=': '<',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
  '+=': '-=',
  '-=': '+=',
  '*=': '/=',
  '/=': '*=',
};
const CALLS: Record<string, string> = {
  'Math.min': 'Math.max',
  'Math.max': 'Math.min',
  'Math.sin': 'Math.cos',
  'Math.cos': 'Math.sin',
  'Math.floor': 'Math.ceil',
  'Math.ceil': 'Math.floor',
};

const isText = (node: ts.Node): boolean =>
  ts.isStringLiteralLike(node) || ts.isTemplateExpression(node) || ts.isNoSubstitutionTemplateLiteral(node);

const isInFunction = (node: ts.Node): boolean =>
  node.parent !== undefined && (ts.isFunctionLike(node.parent) || isInFunction(node.parent));

/** What stands for a place of a list that is always there, because the type of a list may be undefined: it is never taken. */
const isTypeFallback = ({ parent }: ts.Node): boolean =>
  ts.isBinaryExpression(parent) &&
  parent.operatorToken.kind === ts.SyntaxKind.QuestionQuestionToken &&
  ts.isElementAccessExpression(parent.left);

/** A number that takes part in a sum of a function; figures in tables are facts with a source, which no test can know better. */
const isInSum = (node: ts.Node): boolean =>
  isInFunction(node) &&
  (ts.isBinaryExpression(node.parent) ||
    (ts.isCallExpression(node.parent) && node.parent.expression !== node));

/** All changes that can be made to a source, in order. */
export function changesIn(file: string, text: string): Change[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Change[] = [];
  const add = (node: ts.Node, to: string): void => {
    const at = node.getStart(source);
    const line = source.getLineAndCharacterOfPosition(at).line + 1;
    found.push({ file, line, at, end: node.end, from: node.getText(source), to });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    // What a person is told is not counted letter by letter, nor what is thrown.
    if (ts.isThrowStatement(node)) return;
    if (ts.isBinaryExpression(node)) {
      const swapped = SWAPPED[node.operatorToken.getText(source)];
      const joins = node.operatorToken.kind === ts.SyntaxKind.PlusToken && (isText(node.left) || isText(node.right)); // prettier-ignore
      if (swapped && !joins) add(node.operatorToken, swapped);
    }
    if (ts.isNumericLiteral(node) && isInSum(node) && !isTypeFallback(node))
      add(node, String(2 * Number(node.text) + 1));
    if (ts.isPropertyAccessExpression(node)) {
      const swapped = CALLS[node.getText(source)];
      if (swapped) add(node, swapped);
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add(node, node.operand.getText(source));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** The room a file belongs to, whose tests must notice a change of it. */
export function roomOf(file: string): string {
  const [src = '', part = '', room = ''] = file.split('/');
  return part === 'core' && !room.endsWith('.ts') ? `${src}/${part}/${room}/` : `${src}/${part}/`;
}
