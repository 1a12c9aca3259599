import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** A string a person may read, and where it stands. */
export interface InterfaceString {
  file: string;
  text: string;
}

function filesBelow(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesBelow(path) : [path];
  });
}

/** Texts of a program: string literals and the fixed pieces of templates, not what imports name. */
function stringsOfProgram(source: string): string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) found.push(node.text);
    else if (ts.isTemplateExpression(node))
      found.push(
        [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join(' … ')
      );
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile('x.ts', source, ts.ScriptTarget.Latest, true));
  return found;
}

/** Texts between the tags of a component, and what its expressions and attributes say. */
function stringsOfMarkup(markup: string): string[] {
  // What is put in at run time is left out; the words around it are read as one.
  let words = markup;
  for (let before = ''; before !== words;) {
    before = words;
    words = words.replace(/\{[^{}]*\}/g, ' … ');
  }
  return [
    ...[...words.matchAll(/>([^<>]*[A-Za-z]{2}[^<>]*)</g)].map(([, text]) =>
      text!.replace(/\s+/g, ' ').trim()
    ),
    ...[...markup.matchAll(/=\s*"([^"]*)"/g)].map(([, text]) => text!),
    ...[...markup.matchAll(/'([^'\n]*)'|`([^`]*)`/g)].map(([, a, b]) => (a ?? b)!)
  ];
}

/** Every string of the interface and of what the core says to a person. */
export function interfaceStrings(root: string): InterfaceString[] {
  return filesBelow(join(root, 'src')).flatMap((file): InterfaceString[] => {
    if (/\.test\.ts$|\/tests\//.test(file)) return [];
    const source = readFileSync(file, 'utf8');
    const named = (texts: string[]) => texts.map((text) => ({ file, text }));
    if (file.endsWith('.ts')) return named(stringsOfProgram(source));
    if (!file.endsWith('.svelte')) return [];
    const markup = source.replace(/<style[\s\S]*<\/style>/g, '');
    const scripts = [...markup.matchAll(/<script[^>]*>([\s\S]*?)<\/script>/g)];
    return named([
      ...scripts.flatMap(([, script]) => stringsOfProgram(script!)),
      ...stringsOfMarkup(markup.replace(/<script[\s\S]*?<\/script>/g, ''))
    ]);
  });
}
