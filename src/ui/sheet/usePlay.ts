'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { stillAt, type Film } from '@/core/present/film';

/** How many times as quick as at the lathe. */
export const SPEEDS = [1, 4, 16, 64] as const;

/** Where motion is not wanted, a pass is shown for so long, ms. */
const HELD = 700;

const wantsNoMotion = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** The end of a shot, a hair before the next begins. */
const endOf = (film: Film, index: number): number => {
  const shot = film.shots[index];
  return shot ? shot.begins + shot.minutes * (1 - 1e-6) : 0;
};

/** The last move that cuts of the next pass. */
function nextPass({ shots }: Film, index: number): number {
  const isSame = (a: number, b: number) =>
    shots[a]?.operation === shots[b]?.operation && shots[a]?.pass === shots[b]?.pass;
  const first = shots.findIndex((_, place) => place > index && !isSame(place, index));
  if (first < 0) return shots.length - 1;
  return shots.findLastIndex(({ to }, place) => isSame(place, first) && to.by !== 'rapid');
}

/** Plays a film: by itself until it ends or something is met, or move by move. Time is the lathe's own, minutes. */
export function usePlay(film: Film, start: number) {
  const [time, setTime] = useState(start);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<(typeof SPEEDS)[number]>(16);
  const now = useRef(start);
  const seek = useCallback(
    (to: number) => {
      now.current = Math.min(film.minutes, Math.max(0, to));
      setTime(now.current);
    },
    [film],
  );
  const still = useMemo(() => stillAt(film, time), [film, time]);

  useEffect(() => {
    if (!playing) return;
    const steps = wantsNoMotion();
    let last = performance.now();
    let frame = 0;
    const tick = (at: number) => {
      const since = at - last;
      const from = stillAt(film, now.current)?.index ?? 0;
      if (!steps || since >= HELD) {
        const to = steps ? endOf(film, nextPass(film, from)) : now.current + (since / 60_000) * speed;
        last = at;
        // What meets something is shown as it does, and goes on only when it is asked to.
        const met = film.shots.findIndex(
          ({ faults }, index) =>
            faults.length > 0 && index >= from && endOf(film, index) > now.current && endOf(film, index) <= to,
        );
        const stops = met >= 0 || to >= film.minutes;
        seek(met >= 0 ? endOf(film, met) : to);
        if (stops) return setPlaying(false);
      }
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, speed, film, seek]);

  const step = (by: 1 | -1) => {
    setPlaying(false);
    const index = still?.index ?? 0;
    const isAtEnd = time >= endOf(film, index) - 1e-12;
    seek(by > 0 ? endOf(film, isAtEnd ? index + 1 : index) : endOf(film, index - 1));
  };
  const toggle = () => {
    // From its end it is played again.
    if (!playing && time >= film.minutes - 1e-9) seek(0);
    setPlaying(!playing);
  };
  const faster = (by: 1 | -1) => {
    const place = SPEEDS.indexOf(speed) + by;
    setSpeed(SPEEDS[Math.min(SPEEDS.length - 1, Math.max(0, place))] ?? speed);
  };
  return { time, still, playing, speed, toggle, step, faster, seek };
}
