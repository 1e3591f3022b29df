'use client';
import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The width and height of an element in px, followed as they change. */
export function useSize<T extends HTMLElement>(start: {
  width: number;
  height: number;
}): [RefObject<T | null>, { width: number; height: number }] {
  const ref = useRef<T | null>(null);
  const [size, setSize] = useState(start);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
    observer.observe(element);
    setSize({ width: element.clientWidth, height: element.clientHeight });
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
