/** The places of a run, by the last part of their address; the sheet has none. */
const PLACES = ['', 'part', 'stock', 'times', 'revisions', 'print'] as const;

export type Place = (typeof PLACES)[number];

export const isPlace = (name: string): name is Place => PLACES.some((place) => place === name);

/** Address of a place of a run. */
export const addressOf = (id: string, place: Place): string => `/runs/${id}${place && `/${place}`}`;

/** The place that an address is at. */
export const placeAt = (pathname: string): Place => {
  const name = pathname.split('/')[3] ?? '';
  return isPlace(name) ? name : '';
};
