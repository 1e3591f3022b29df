'use client';
import { useEffect, useRef } from 'react';
import type { DeviceReading } from '@/core/formats/deviceLine';

/** Listens to the devices of the shop as long as a size is being read. */
export function useDevices(onReading: (reading: DeviceReading) => void): void {
  const heard = useRef(onReading);
  useEffect(() => void (heard.current = onReading), [onReading]);
  useEffect(() => {
    const source = new EventSource('/api/device-lines');
    source.onmessage = ({ data }: MessageEvent<string>) => heard.current(JSON.parse(data) as DeviceReading);
    return () => source.close();
  }, []);
}
