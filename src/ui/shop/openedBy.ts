/** What may be opened besides the things of a list; each only where there is one. */
interface Beside<Item> {
  /** Another like one of the list. */
  like?: ((item: Item) => Item) | undefined;
  /** A first one. */
  fresh?: Item | undefined;
  /** One that is offered to be added. */
  offered?: Item | undefined;
}

/**
 * The thing that a window is about and its place in the list, from what the address says: `change` or `like` and what the
 * thing is called there, `new` or `offered`.
 */
export function openedBy<Item>(
  asked: string | undefined,
  items: readonly Item[],
  called: (item: Item) => string,
  { like, fresh, offered }: Beside<Item>,
): { item: Item; index: number } | undefined {
  const added = (item: Item | undefined) => item && { item, index: items.length };
  if (asked === 'new') return added(fresh);
  if (asked === 'offered') return added(offered);
  const index = items.findIndex((item) => asked === `change ${called(item)}` || asked === `like ${called(item)}`);
  const item = items[index];
  if (item === undefined) return undefined;
  return asked === `change ${called(item)}` ? { item, index } : added(like?.(item));
}
