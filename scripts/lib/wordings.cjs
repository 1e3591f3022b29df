/** Finds in a source everything that people read, and says it otherwise (docs/languages.md). */
const ts = require('typescript');

/** Attributes that are read, by eye or by ear. */
const READ = /^(aria-(label|description|roledescription|valuetext)|alt|title|placeholder|label|noun)$/;

/** Attributes that are for the page itself. */
const UNREAD =
  /^(className|id|d|points|transform|viewBox|style|role|type|href|accept|aria-(labelledby|describedby|controls)|data-.*|fill|stroke.*)$/;

/** Calls whose first text is for a program: it is looked for, or asked of the database. */
const ASKS =
  /^(startsWith|endsWith|includes|split|replace|replaceAll|indexOf|has|get|raw|whereRaw|select|orderBy|orderByRaw|join|leftJoin|count|sum|max|min|from|isolationLevel|matchMedia|closest|querySelector|querySelectorAll)$/;

/** Letters and spaces that are none of ours to say: measures and paths of a page, markup, headers, questions to a database. */
const CODE = new RegExp(
  [
    /\w_\w|<\/?\w|="|[\w}]=\{|;\s?\w+\*?=|\(\(\)=>|^use client$/,
    /\d(px|fr|em)\b|\b(var|url|translate|rotate|repeat|minmax)\(|^span \d|^\(m(ax|in)-width/,
    /^\s*[MLml][\d{][\d{} .,]|^\/|^[a-z]+\/[a-z]/,
    /charset|max-age|'(self|none|nonce-|unsafe-)|^(data)?: |^CN=|PRIVATE KEY|^Continuous$/,
    /=\s\?|\bas \w+$|\b\w\.\w+( |,|$)|^l\.|\binterval \{|binary|^(repeatable read|read committed)$/,
  ]
    .map(({ source }) => source)
    .join('|'),
);

const COMPARES = [
  ts.SyntaxKind.EqualsEqualsEqualsToken,
  ts.SyntaxKind.ExclamationEqualsEqualsToken,
  ts.SyntaxKind.InKeyword,
];
const CHOOSES = [ts.SyntaxKind.BarBarToken, ts.SyntaxKind.QuestionQuestionToken, ts.SyntaxKind.AmpersandAmpersandToken];

const sourceOf = (text, name) =>
  ts.createSourceFile(
    name,
    text,
    ts.ScriptTarget.Latest,
    true,
    name.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );

/** What holds a text, past brackets and the choices of which it is one. */
function holderOf(node) {
  let inner = node;
  let outer = node.parent;
  while (
    ts.isParenthesizedExpression(outer) ||
    ts.isAsExpression(outer) ||
    ts.isSatisfiesExpression(outer) ||
    (ts.isConditionalExpression(outer) && outer.condition !== inner) ||
    (ts.isBinaryExpression(outer) && CHOOSES.includes(outer.operatorToken.kind))
  ) {
    inner = outer;
    outer = outer.parent;
  }
  return outer;
}

/** Whether a text is a name in the code: a type, a key, or what something is compared with. */
function isName(node, holder) {
  return (
    ts.isLiteralTypeNode(node.parent) ||
    (ts.isPropertyAssignment(node.parent) && node.parent.name === node) ||
    (ts.isBinaryExpression(holder) && COMPARES.includes(holder.operatorToken.kind)) ||
    ts.isCaseClause(node.parent) ||
    ts.isElementAccessExpression(holder)
  );
}

/** The attribute of markup that something is the value of. */
function attributeOf(holder) {
  const attribute = ts.isJsxExpression(holder) ? holder.parent : holder;
  return ts.isJsxAttribute(attribute) ? attribute.name.getText() : undefined;
}

const isForProgram = (node, holder) =>
  isName(node, holder) ||
  ts.isTaggedTemplateExpression(node.parent) ||
  ts.isImportDeclaration(holder) ||
  ts.isExportDeclaration(holder) ||
  ts.isExpressionStatement(holder) ||
  UNREAD.test(attributeOf(holder) ?? '') ||
  (ts.isCallExpression(holder) &&
    ts.isPropertyAccessExpression(holder.expression) &&
    ASKS.test(holder.expression.name.text) &&
    holder.arguments[0] === node);

/** Whether a text is shown where it stands: in markup, in a sentence, in a table of words. */
function isShown(holder) {
  const attribute = attributeOf(holder);
  if (attribute !== undefined) return READ.test(attribute);
  if (ts.isTemplateSpan(holder) || ts.isJsxExpression(holder)) return true;
  const table = ts.isPropertyAssignment(holder) && holder.parent.parent;
  return table && ts.isVariableDeclaration(table) && /\bstring>$/.test(table.type?.getText() ?? '');
}

/** A text in which values stand as {1}, {2} …; one of markup without its lines. */
function wordingOf(node) {
  if (ts.isJsxText(node)) return node.text.trim().replace(/\s*\n\s*/g, ' ');
  if (!ts.isTemplateExpression(node)) return node.text;
  return node.head.text + node.templateSpans.map((span, at) => `{${at + 1}}${span.literal.text}`).join('');
}

/** Words with a space between them, or one that begins a line. */
const isProse = (text, bare) =>
  /\p{L}\S* \S*[\p{L}\d{⌀±]/u.test(text) || /^\p{Lu}\p{Ll}/u.test(text) || (/ /.test(text) && /\p{Ll}{2}/u.test(bare));

/** Whether people read a text, and whether it is shown right where it stands; undefined when it is for a program. */
function wordingAt(node) {
  const text = wordingOf(node);
  const bare = text.replace(/\{\d+\}/g, '');
  if (!/\p{L}/u.test(bare)) return undefined;
  if (ts.isJsxText(node)) return { text, node, shown: true };
  const holder = holderOf(node);
  if (isForProgram(node, holder) || CODE.test(text)) return undefined;
  const shown = isShown(holder);
  return isProse(text, bare) || (shown && /^[\p{L}\s.,…]{2,}$/u.test(bare)) ? { text, node, shown } : undefined;
}

const isText = (node) => ts.isStringLiteralLike(node) || ts.isTemplateExpression(node) || ts.isJsxText(node);

/** Every wording of a source in its order: what it says, the node that says it, and whether it is shown right there. */
function wordingsIn(source) {
  const found = [];
  const visit = (node) => {
    const wording = isText(node) && wordingAt(node);
    if (wording) found.push(wording);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** Texts of a source that are names in its code, which no language says otherwise. */
function namesIn(source) {
  const names = new Set();
  const visit = (node) => {
    if (ts.isStringLiteralLike(node) && isName(node, holderOf(node))) names.add(node.text);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return names;
}

/** How a text stands in a source, its values put back where the other language wants them. */
function written(node, text, saidInside) {
  if (ts.isJsxText(node)) {
    const [, before, after] = /^(\s*)[^]*?(\s*)$/.exec(node.text);
    return `${before}{${JSON.stringify(text)}}${after}`;
  }
  if (!ts.isTemplateExpression(node))
    return ts.isJsxAttribute(node.parent) ? `{${JSON.stringify(text)}}` : JSON.stringify(text);
  const values = node.templateSpans.map((span) => saidInside(span.expression));
  const escaped = text.replace(/[\\`]|\$(?=\{)/g, '\\$&');
  return `\`${escaped.replace(/\{(\d+)\}/g, (_, at) => `\${${values[at - 1]}}`)}\``;
}

/** A source in which every wording that a language has is said in it; what it has not stays as it is. */
function saidIn(language, text, name) {
  const source = sourceOf(text, name);
  const said = new Map();
  for (const { text: wording, node } of wordingsIn(source)) if (language[wording]) said.set(node, language[wording]);
  const print = (node) => {
    const own = said.get(node);
    if (own !== undefined) return written(node, own, print);
    let out = '';
    let at = node.getStart();
    ts.forEachChild(node, (child) => {
      out += text.slice(at, child.getStart()) + print(child);
      at = child.end;
    });
    return out + text.slice(at, node.end);
  };
  return text.slice(0, source.getStart()) + print(source) + text.slice(source.end);
}

module.exports = { namesIn, saidIn, sourceOf, wordingsIn };
