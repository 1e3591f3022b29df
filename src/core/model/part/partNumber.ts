/**
 * What a part number is, however it was typed: spaces of any kind are one space, none stands at the ends, invisible
 * signs are none, and a letter with its accent is one letter (Unicode form C). Capitals count.
 * @example sameNumber(' SP\u00a01 ') // 'SP 1'
 */
export const sameNumber = (number: string): string =>
  number
    .normalize('NFC')
    .replace(/[\u00ad\u200b-\u200f\u2060\ufeff]/g, '')
    .replace(/\s+/gu, ' ')
    .trim();
