'use client';
import { useEffect, useMemo, useState } from 'react';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { useMedia } from '../primitives/useMedia';
import { useSize } from '../primitives/useSize';
import { layoutSheet } from './sheetLayout';
import { stopsRail } from './stopsRail';

function useWindowHeight(): number {
  const [height, setHeight] = useState(800);
  useEffect(() => {
    const follow = () => setHeight(window.innerHeight);
    follow();
    window.addEventListener('resize', follow);
    return () => window.removeEventListener('resize', follow);
  }, []);
  return height;
}

/** Room over the route for the bar of the set-up, px; its buttons are higher for a finger. */
const ROUTE_HEAD = 34;
const TOUCHED_HEAD = 54;
/** Height of a line of the route, px; where a finger chooses it. */
const ROW = 20;
const TOUCHED_ROW = 44;
const TIME = 70;

/** Room over the work for the tool that is played. */
const TOOL = 70;

/** The line that says what is not planned, closed. */
const NOTICE = 54;

/**
 * Where the lanes of the sheet are: the work as large as the window lets it, the others below.
 * @param notices lines above it that say what is not as it should be
 */
export function useLanes(planned: PlannedSetup, notices: number, playing: boolean) {
  const [room, { width }] = useSize<HTMLDivElement>({ width: 904, height: 600 });
  const windowHeight = useWindowHeight();
  const touched = useMedia('(pointer: coarse)');
  const [row, head] = touched ? [TOUCHED_ROW, TOUCHED_HEAD] : [ROW, ROUTE_HEAD];
  const stopsHeight = stopsRail(planned, width).height;
  const routeHeight = head + planned.operations.length * row + 14;
  const taken = 56 + 84 + 26 + notices * NOTICE + routeHeight + stopsHeight + TIME;
  const most = Math.max(220, Math.min(420, windowHeight - taken));
  // What is typed re-renders the sheet before there is a new plan: what has not changed stays as it is.
  const layout = useMemo(
    () => layoutSheet(planned, width, most, row, playing ? TOOL : 0),
    [planned, width, most, row, playing],
  );
  const workHeight = layout.work.height;
  const stopsTop = workHeight + routeHeight;
  const timeTop = stopsTop + stopsHeight;
  return {
    room,
    width,
    height: timeTop + TIME,
    layout,
    workHeight,
    routeTop: workHeight + head,
    stopsTop,
    timeTop,
  };
}
