/** Words of a line with where they stand in it. */
export interface Token {
  text: string;
  /** Of the first letter in the line, and behind the last. */
  from: number;
  to: number;
}

/** What belongs to the figure before it: limits, a unit, how free it is. */
const BEHIND = /^(?:[+−±-].*|0|free|in|mm|"|max\.?|min\.?)$/i;
/** A nought is the limit of a figure only where another limit stands beside it: `12 0 -0.1`. */
const LIMIT = /^[+−-]\d/;
/** A fit, which only a diameter that has none yet takes. */
const FIT = /^(?:js|JS|[a-zA-Z])\d{1,2}$/;
const FRACTION = /^\d+\/\d+"?$/;

const words = (line: string): Token[] =>
  [...line.matchAll(/\S+/g)].map(({ 0: text, index }) => ({ text, from: index, to: index + text.length }));

const isBehind = (before: Token | undefined, { text }: Token, after: Token | undefined): boolean => {
  if (!before || !/\d/.test(before.text)) return false;
  if (text === '0') return LIMIT.test(after?.text ?? '') || /\s[+−-]\S+$/.test(before.text);
  return BEHIND.test(text) || (FRACTION.test(text) && /^\d+$/.test(before.text));
};

/**
 * The words of a line, a figure with its limits, its fraction and its unit as one: `12 0 -0.1`, `1 5/16 in`, `about 5`. A fit goes to the
 * first figure alone: behind the others `c1` and `r2` are edges.
 */
export function tokensOf(line: string): Token[] {
  const tokens: Token[] = [];
  const all = words(line);
  for (const [index, word] of all.entries()) {
    const before = tokens.at(-1);
    const isFirstFigure = tokens.filter(({ text }) => /^[⌀Øø∅]?[\d.]|^about /i.test(text)).length === 1;
    const joins =
      isBehind(before, word, all[index + 1]) ||
      before?.text.toLowerCase() === 'about' ||
      (FIT.test(word.text) && isFirstFigure && before !== undefined && /^[⌀Øø∅]?[\d.,/]+"?$/.test(before.text));
    if (before && joins)
      tokens[tokens.length - 1] = { text: `${before.text} ${word.text}`, from: before.from, to: word.to };
    else tokens.push(word);
  }
  return tokens;
}
