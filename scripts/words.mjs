import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import pluralize from 'pluralize';
import ts from 'typescript';
import { root } from './setup.mjs';

/**
 * Writes the list of all that Hoppla says to a maker, in the order of the files it stands in: a translation is a copy of it with other
 * words behind the colons. With `--check` it only looks whether the list is as the code has it.
 */
const list = join(root, 'src', 'languages', 'english.json');

/** What says something: `` t`Round ${label}` ``, `` tAs('shape')`Round` `` and `plural(rounds, 'round')`. */
const tag = 't';
const counting = 'plural';
const sensing = 'tAs';

const placeName = (place) => String.fromCharCode('a'.charCodeAt(0) + place);

/** `Round {{a}} of {{b}}` */
function messageOf(template) {
  if (ts.isNoSubstitutionTemplateLiteral(template)) return template.text;
  const rest = template.templateSpans.map(({ literal }, place) => `{{${placeName(place)}}}${literal.text}`);
  return template.head.text + rest.join('');
}

/** The words a value may be: `'row'`, and both of `isRows ? 'row' : 'round'`. */
function wordsOf(node) {
  if (ts.isStringLiteral(node)) return [node.text];
  return ts.isConditionalExpression(node) ? [node.whenTrue, node.whenFalse].flatMap(wordsOf) : [];
}

/** The sense of a word that has several: `` tAs('shape')`Round` ``. */
const senseOf = (node) =>
  ts.isCallExpression(node.tag) && node.tag.expression.getText() === sensing
    ? node.tag.arguments[0].text
    : null;

const isCounting = (node) => ts.isCallExpression(node) && node.expression.getText() === counting;

function messagesIn(file) {
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true, kind);
  const found = [];
  const visit = (node) => {
    if (ts.isTaggedTemplateExpression(node) && node.tag.getText() === tag) {
      const message = messageOf(node.template);
      found.push([message, message]);
    } else if (ts.isTaggedTemplateExpression(node) && senseOf(node)) {
      const message = messageOf(node.template);
      found.push([`${message} (${senseOf(node)})`, message]);
    } else if (isCounting(node)) {
      const [, said, many] = node.arguments;
      for (const one of wordsOf(said)) {
        found.push([`{{count}} ${one}_one`, `{{count}} ${one}`]);
        found.push([`{{count}} ${one}_other`, `{{count}} ${many?.text ?? pluralize.plural(one)}`]);
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const files = ['app', 'src']
  .flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, withFileTypes: true })
      .filter(
        (entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !/\.test\.|\.d\.ts$/.test(entry.name),
      )
      .map((entry) => join(entry.parentPath ?? entry.path, entry.name)),
  )
  .sort();
/** Without letters there is nothing to translate: `{{a}} · {{b}}`. */
const hasWords = ([message]) => /\p{L}/u.test(message.replace(/\{\{\w+\}\}/g, ''));
const messages = Object.fromEntries(files.flatMap(messagesIn).filter(hasWords));
const written = `${JSON.stringify(messages, null, 2)}\n`;

if (!process.argv.includes('--check')) {
  writeFileSync(list, written);
  process.stdout.write(`${Object.keys(messages).length} messages\n`);
} else if (!existsSync(list) || readFileSync(list, 'utf8') !== written) {
  process.stderr.write(
    'src/languages/english.json is not what the code says. Write it anew: npm run words\n',
  );
  process.exitCode = 1;
}
