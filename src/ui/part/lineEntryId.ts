/** Where the line of the part is found by who comes from the head of the page. */
export const LINE_ENTRY = 'line-entry';
