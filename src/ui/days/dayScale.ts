import { dayAfter } from '@/core/schedule/days';
import { DAY, type WorkTime } from '@/core/schedule/hours';

/** A day of the drawing: where it begins and how wide it is, px; nobody works on it when it is narrow. */
export interface DrawnDay {
  day: string;
  index: number;
  x: number;
  width: number;
  isWorked: boolean;
}

export interface DayScale {
  days: readonly DrawnDay[];
  width: number;
  /** Place of a moment, px; what lies in the night lies at its edge. */
  x: (at: number) => number;
  /** The moment at a place. */
  at: (x: number) => number;
}

/** A day on which nobody works, px. */
const NARROW = 14;

/**
 * Days side by side, of each only the hours in which somebody works, so that a night is as wide as nothing.
 * @param across days with work that are as wide as the room
 */
export function dayScale(
  times: readonly WorkTime[],
  today: string,
  count: number,
  room: number,
  across: number,
): DayScale {
  const all = times.flatMap(({ stretches }) => stretches);
  const [opens, closes] = [
    Math.min(DAY, ...all.map(({ from }) => from % DAY)),
    Math.max(1, ...all.map(({ to }) => to % DAY || DAY)),
  ];
  const worked = new Set(all.map(({ from }) => Math.floor(from / DAY)));
  const wide = Math.max(3, room / across);
  let x = 0;
  const days = Array.from({ length: count }, (_, index): DrawnDay => {
    const isWorked = worked.has(index);
    const width = isWorked ? wide : Math.min(NARROW, wide / 3);
    const drawn = { day: dayAfter(today, index), index, x, width, isWorked };
    x += width;
    return drawn;
  });
  const share = (minute: number) => Math.min(1, Math.max(0, (minute - opens) / (closes - opens)));
  return {
    days,
    width: x,
    x: (at) => {
      const index = Math.min(count - 1, Math.max(0, Math.floor(at / DAY)));
      const { x: from, width } = days[index] as DrawnDay;
      return at === Infinity ? x : from + width * share(at - index * DAY);
    },
    at: (place) => {
      const day = days.findLast((one) => one.x <= place) ?? days[0];
      if (!day) return 0;
      const part = Math.min(1, Math.max(0, (place - day.x) / day.width));
      return day.index * DAY + opens + part * (closes - opens);
    },
  };
}
