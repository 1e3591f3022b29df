/** An entry of a run file by its keys, whatever its kind: the fields of its kind say which keys those are. */
export type ByKeys = Record<string, unknown>;

/** The same entry, seen so. What is written to it is written to the entry. */
export const byKeys = (entry: object): ByKeys => entry as ByKeys;
