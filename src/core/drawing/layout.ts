/** A stretch that wants a row: a dimension line and its figure. */
export interface Stretch {
  from: number;
  upTo: number;
}

/**
 * Puts stretches into rows so that none overlap in a row, shorter ones nearer the part, as drawings are dimensioned.
 * @returns the row of each, 0 nearest
 */
export function rowsOf(stretches: readonly Stretch[], gap: number): number[] {
  const rows: Stretch[][] = [];
  const result = stretches.map(() => 0);
  const order = stretches
    .map((stretch, index) => ({ ...stretch, index }))
    .sort((a, b) => a.upTo - a.from - (b.upTo - b.from));
  for (const { from, upTo, index } of order) {
    const free = rows.findIndex((row) => row.every((other) => from >= other.upTo + gap || upTo <= other.from - gap));
    const at = free < 0 ? rows.length : free;
    (rows[at] ??= []).push({ from, upTo });
    result[index] = at;
  }
  return result;
}

/** Spreads places along a line so that neighbours keep a distance, moving each as little as that takes. */
export function spread(places: readonly number[], distance: number, from: number, upTo: number): number[] {
  return spreadBy(
    places.map((place) => ({ place, width: distance })),
    0,
    from - distance / 2,
    upTo + distance / 2,
  );
}

/**
 * The same in so many rows, neighbours in rows of their own, so that a crowd stays within its line.
 * @returns where each stands and in which row, 0 the first
 */
export function spreadInRows(
  places: readonly number[],
  distance: number,
  from: number,
  upTo: number,
  rows: number,
): { at: number; row: number }[] {
  const order = places.map((place, index) => ({ place, index })).sort((a, b) => a.place - b.place);
  const result = places.map(() => ({ at: 0, row: 0 }));
  for (let row = 0; row < rows; row += 1) {
    const members = order.filter((_, rank) => rank % rows === row);
    const at = spread(
      members.map(({ place }) => place),
      distance,
      from,
      upTo,
    );
    members.forEach(({ index }, rank) => (result[index] = { at: at[rank] ?? 0, row }));
  }
  return result;
}

/** The same for labels of different widths, each centred on its place, `gap` apart. */
export function spreadBy(
  labels: readonly { place: number; width: number }[],
  gap: number,
  from: number,
  upTo: number,
): number[] {
  interface Cluster {
    members: { index: number; place: number; width: number }[];
    start: number;
    long: number;
  }
  const long = (members: Cluster['members']) =>
    members.reduce((total, { width }) => total + width, 0) + gap * (members.length - 1);
  const clusterOf = (members: Cluster['members']): Cluster => {
    // Each member's own start, less what stands before it in the cluster: their mean moves all of them least.
    let before = 0;
    let sum = 0;
    for (const { place, width } of members) {
      sum += place - width / 2 - before;
      before += width + gap;
    }
    const total = long(members);
    return {
      members,
      long: total,
      start: Math.min(Math.max(sum / members.length, from), Math.max(from, upTo - total)),
    };
  };
  const order = labels.map((label, index) => ({ ...label, index })).sort((a, b) => a.place - b.place);
  const clusters: Cluster[] = [];
  for (const one of order) {
    let cluster = clusterOf([one]);
    for (
      let last = clusters.at(-1);
      last && last.start + last.long + gap > cluster.start + 1e-9;
      last = clusters.at(-1)
    ) {
      clusters.pop();
      cluster = clusterOf([...last.members, ...cluster.members]);
    }
    clusters.push(cluster);
  }
  const result: number[] = labels.map(() => 0);
  for (const { members, start } of clusters) {
    let at = start;
    for (const { index, width } of members) {
      result[index] = at + width / 2;
      at += width + gap;
    }
  }
  return result;
}
