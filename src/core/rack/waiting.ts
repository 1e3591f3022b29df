import { freeLength, sameSection, sectionKey, type RackItem, type Section } from './rack';

/** What a run needs of a section, and for which day it is promised; '' for none. Lengths mm. */
export interface Need {
  run: number;
  section: Section;
  length: number;
  due: string;
}

/**
 * Runs that wait for bars: what is free goes to those that are promised first, and whoever it is not enough for waits. What a run has
 * reserved is its own.
 */
export function runsWaiting(needs: readonly Need[], items: readonly RackItem[]): Set<number> {
  const free = new Map<string, number>();
  const waiting = new Set<number>();
  const byDue = needs.toSorted((a, b) => (a.due || '9999').localeCompare(b.due || '9999') || a.run - b.run);
  for (const { run, section, length } of byDue) {
    const key = sectionKey(section);
    const here = items.filter((item) => sameSection(item, section));
    const left = free.get(key) ?? here.reduce((sum, item) => sum + freeLength(item), 0);
    const own = here
      .flatMap(({ reserved }) => reserved)
      .reduce((sum, reservation) => sum + (reservation.run === run ? reservation.length : 0), 0);
    const wanted = Math.max(0, length - own);
    if (wanted > left + 1e-6) waiting.add(run);
    // Whoever waits leaves what is there to those behind.
    free.set(key, wanted > left + 1e-6 ? left : left - wanted);
  }
  return waiting;
}
