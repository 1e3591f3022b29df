import { NextResponse } from 'next/server';
import { readDeviceLine } from '@/core/formats/deviceLine';
import { onReading, tellReading } from '@/server/deviceLines';
import { answered, readJson, refused } from '../answers';

/** A sign of life now and again, so that nothing between takes the line for dead, ms. */
const ALIVE_MS = 20_000;

/** What devices show, line by line, as it comes: server-sent events, each the reading as JSON. */
export const GET = (request: Request) => {
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const send = (text: string) => controller.enqueue(encoder.encode(text));
      const end = await onReading((reading) => send(`data: ${JSON.stringify(reading)}\n\n`));
      send(': listening\n\n');
      const alive = setInterval(() => send(': alive\n\n'), ALIVE_MS);
      const stop = () => {
        clearInterval(alive);
        end();
        controller.close();
      };
      if (request.signal.aborted) stop();
      else request.signal.addEventListener('abort', stop);
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  });
};

/** A device shows something: `{ device, line }`, the line as gauges send it. Answers how many pages heard it. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const reading = readDeviceLine(body.value);
    return reading.ok ? NextResponse.json({ heard: await tellReading(reading.value) }) : refused(reading.problems);
  });
