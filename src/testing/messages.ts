/** Every sentence the app can say, read out of its source: to be read aloud, and held against how we write. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

export interface Message {
  readonly file: string;
  /** What is put in stands as …. */
  readonly text: string;
}

const ROOT = join(import.meta.dirname, '..', '..');

/** Of all words and components, each sentence once for each file it stands in. */
export function allMessages(): Message[] {
  const files = readdirSync(join(ROOT, 'src'), { recursive: true, encoding: 'utf8' })
    .map((path) => path.replaceAll('\\', '/'))
    .filter((path) => (path.startsWith('words/') || path.endsWith('.tsx')) && !/\.test\.tsx?$/.test(path))
    .sort();
  return files.flatMap((path) => {
    const file = `src/${path}`;
    const texts = new Set(
      textsOf(ts.createSourceFile(file, readFileSync(join(ROOT, file), 'utf8'), ts.ScriptTarget.Latest, true)),
    );
    return [...texts].filter(isSaid).map((text) => ({ file, text }));
  });
}

/** Words for people, not codes, class names or ways drawn. */
function isSaid(text: string): boolean {
  return (
    /\s/.test(text) &&
    /[A-Za-z]{2}/.test(text) &&
    !/[a-z]-[[a-z0-9]|^[a-z]+ [a-z]+$(?<=\bto)|[{}[\]]|^[MLC]\d/.test(text)
  );
}

function* textsOf(node: ts.Node): Generator<string> {
  if (isImport(node)) return;
  if (ts.isJsxAttribute(node) && /^(className|d|viewBox|transform|accept|role|key)$/.test(node.name.getText())) return;
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) yield node.text;
  if (ts.isJsxText(node)) yield node.text.replace(/\s+/g, ' ').trim();
  if (ts.isTemplateExpression(node)) {
    yield node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('');
  }
  const children: ts.Node[] = [];
  ts.forEachChild(node, (child) => void children.push(child));
  for (const child of children) yield* textsOf(child);
}

function isImport(node: ts.Node): boolean {
  return ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node);
}
