/** The places of a run, by the last part of their address, with what they are called, in the order of their keys; the sheet has none. */
export const PLACE_WORDS = {
  part: 'Part',
  '': 'Sheet',
  stock: 'Stock',
  times: 'Times',
  revisions: 'Revisions',
  print: 'Print',
  lathe: 'Lathe',
  log: 'Log',
} as const;

export type Place = keyof typeof PLACE_WORDS;
export const PLACES = Object.keys(PLACE_WORDS) as Place[];

export const isPlace = (name: string): name is Place => Object.hasOwn(PLACE_WORDS, name);

/** Goes to another place of the run that is open, asking nothing of the server. */
export function goTo(id: string, place: Place): void {
  if (placeAt(window.location.pathname) !== place) window.history.pushState(null, '', addressOf(id, place));
}

/** The title of a run at one of its places. */
export const titleOf = (part: { number?: string; name?: string }, place: Place): string =>
  `${[part.number, part.name].filter(Boolean).join(' ') || 'New run'}, ${PLACE_WORDS[place].toLowerCase()}`;

/** Address of a place of a run. */
export const addressOf = (id: string, place: Place): string => `/runs/${id}${place && `/${place}`}`;

/** The place that an address is at. */
export const placeAt = (pathname: string): Place => {
  const name = pathname.split('/')[3] ?? '';
  return isPlace(name) ? name : '';
};
