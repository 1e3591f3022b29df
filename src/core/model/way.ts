/** Every way in which the pieces come off the stock, in the order that they are told. */
export const WAYS = ['from-bar', 'sawn-blanks', 'as-it-arrives'] as const;

/** How the pieces come off the stock. */
export type Way = (typeof WAYS)[number];

/** In words: within a sentence, and how one begins with it. */
export const WAY_WORDS: Record<Way, string> = {
  'from-bar': 'from the bar',
  'sawn-blanks': 'sawn blanks',
  'as-it-arrives': 'the piece as it arrives',
};
export const WAY_BEGINS: Record<Way, string> = {
  'from-bar': 'From the bar',
  'sawn-blanks': 'From sawn blanks',
  'as-it-arrives': 'From the piece as it arrives',
};

/** Whether a stock, in a file or read, can be worked in a way: a piece as it arrives is no bar, and nothing else is one. */
export const takesWay = (stock: 'choose' | { form?: string } | undefined, way: Way): boolean =>
  (way === 'as-it-arrives') === (typeof stock === 'object' && stock.form === 'piece');
