/** Every way in which the pieces come off the stock, in the order that they are told. */
export const WAYS = ['from-bar', 'sawn-blanks'] as const;

/** How the pieces come off the stock. */
export type Way = (typeof WAYS)[number];

/** In words: within a sentence, and how one begins with it. */
export const WAY_WORDS: Record<Way, string> = { 'from-bar': 'from the bar', 'sawn-blanks': 'sawn blanks' };
export const WAY_BEGINS: Record<Way, string> = { 'from-bar': 'From the bar', 'sawn-blanks': 'From sawn blanks' };
