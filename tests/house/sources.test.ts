import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { expect, it } from 'vitest';

/** What a comment names as a source: a standard, a paper, exactness by definition, or a choice with its reason. */
const SOURCE = /\b(IEC|ISO|NFPA|NEC|JCGM|ASME|DIN|paper|exactly|[Cc]hosen: \w|[Aa] (day|minute|hour) in)/;

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((one) => {
    const path = join(folder, one.name);
    if (one.isDirectory()) return filesIn(path);
    return /\.tsx?$/.test(one.name) && !one.name.includes('.test.') ? [path] : [];
  });
}

/** Whether a value is made of numbers only: one, or a list or a record of them. */
function isNumbers(value: ts.Expression): boolean {
  if (ts.isAsExpression(value) || ts.isSatisfiesExpression(value) || ts.isParenthesizedExpression(value))
    return isNumbers(value.expression);
  if (ts.isNumericLiteral(value)) return true;
  if (ts.isPrefixUnaryExpression(value)) return isNumbers(value.operand);
  if (ts.isBinaryExpression(value)) return isNumbers(value.left) && isNumbers(value.right);
  if (ts.isArrayLiteralExpression(value)) return value.elements.length > 0 && value.elements.every(isNumbers);
  if (!ts.isObjectLiteralExpression(value) || value.properties.length === 0) return false;
  return value.properties.every((one) => ts.isPropertyAssignment(one) && isNumbers(one.initializer));
}

/** Constants of numbers in a file without a source; those that follow one another share the comment of the first. */
function withoutSource(path: string, everyOne: boolean): string[] {
  const text = readFileSync(path, 'utf8');
  const file = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  let above = '';
  for (const statement of file.statements) {
    const comment = text.slice(statement.getFullStart(), statement.getStart());
    const goesOn = /^\n?\s*$/.test(comment) && !comment.includes('\n\n') && ts.isVariableStatement(statement);
    above = goesOn ? above : comment;
    if (!ts.isVariableStatement(statement)) continue;
    const isOut = statement.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword) ?? false;
    for (const { name, initializer } of statement.declarationList.declarations) {
      const isConstant = /^[A-Z][A-Z0-9_]*$/.test(name.getText()) && initializer && isNumbers(initializer);
      if (isConstant && (isOut || everyOne) && !SOURCE.test(above)) found.push(`${path}: ${name.getText()}`);
    }
  }
  return found;
}

it('every constant of the core, and every exported one elsewhere, says where it comes from', () => {
  expect(filesIn('src').flatMap((path) => withoutSource(path, path.startsWith('src/core')))).toEqual([]);
});
