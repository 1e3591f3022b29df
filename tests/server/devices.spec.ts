import { expect, test } from '@playwright/test';
import type { DeviceReading } from '../../src/core/formats/deviceLine';
import { closeDatabase } from '../../src/server/database';
import { onReading, tellReading } from '../../src/server/deviceLines';

/** The test itself is a second process beside the server, on the same database. */
test.afterAll(closeDatabase);

const CALIPER = { device: 'caliper', line: '12.34 mm' };

test('a device that sends to one process is heard at another', async ({ request, baseURL }) => {
  const heard: DeviceReading[] = [];
  const end = await onReading((reading) => heard.push(reading));
  const send = () =>
    request
      .post('/api/device-lines', { data: CALIPER, headers: { origin: baseURL ?? '' } })
      .then((answer) => answer.json());
  expect(await send()).toEqual({ heard: 1 });
  await expect.poll(() => heard).toEqual([{ ...CALIPER, size: 12.34 }]);
  end();
  await expect.poll(send).toEqual({ heard: 0 });
  // What came while nobody listened is gone; what comes next is heard once.
  const later: DeviceReading[] = [];
  const endLater = await onReading((reading) => later.push(reading));
  expect(await send()).toEqual({ heard: 1 });
  await expect.poll(() => later.length).toBeGreaterThan(0);
  expect(await send()).toEqual({ heard: 1 });
  await expect.poll(() => later.length).toBe(2);
  endLater();
});

test('a page at the server hears what another process got', async ({ baseURL }) => {
  const ended = new AbortController();
  const { body } = await fetch(`${baseURL}/api/device-lines`, { signal: ended.signal });
  const lines = body!.pipeThrough(new TextDecoderStream()).getReader();
  expect((await lines.read()).value).toBe(': listening\n\n');
  expect(await tellReading({ device: 'read-out', line: 'X14.300', axes: { X: 14.3 } })).toBe(1);
  expect((await lines.read()).value).toBe('data: {"device":"read-out","line":"X14.300","axes":{"X":14.3}}\n\n');
  ended.abort();
});
