import { MOST_BYTES, readAttached, sayBytes } from './attachedFile';

const sent = (name: string, bytes: number[]) => ({ name, content: Buffer.from(bytes).toString('base64') });
const PNG = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48];

const textBytes = (text: string) => [...Buffer.from(text)];

test.each([
  ['a.png', PNG, 'image/png'],
  ['photo.jpg', [0xff, 0xd8, 0xff, 0xe0, 1, 2], 'image/jpeg'],
  ['photo.webp', [...textBytes('RIFF'), 1, 0, 0, 0, ...textBytes('WEBPVP8 ')], 'image/webp'],
  ['drawing.pdf', textBytes('%PDF-1.7\n'), 'application/pdf'],
])('%s is what its content begins with', (name, bytes, type) => {
  expect(readAttached(sent(name, bytes))).toMatchObject({ ok: true, value: { name, type, bytes: bytes.length } });
});

test.each([
  ['a page that runs', 'drawing.png', textBytes('<html><script>alert(1)</script>')],
  ['a drawing that may run', 'drawing.svg', textBytes('<svg xmlns="http://www.w3.org/2000/svg"/>')],
  ['nearly a PNG', 'a.png', PNG.slice(0, 7)],
])('%s is not kept, whatever its name says', (_, name, bytes) => {
  const read = readAttached(sent(name, bytes));
  expect(read.ok ? '' : read.problems[0]?.message).toMatch(/is no PNG, JPEG, WebP or PDF inside/);
});

test('what is too large is refused with how large it is, and nothing is read of what is not base64', () => {
  const large = Buffer.alloc(MOST_BYTES + 1, 0);
  Buffer.from(PNG).copy(large);
  const read = readAttached({ name: 'a.png', content: large.toString('base64') });
  expect(read.ok ? '' : read.problems[0]?.message).toBe(
    'has 7.0 MB; at most 7.0 MB are kept: make the picture smaller',
  );
  expect(readAttached({ name: 'a.png', content: 'not base64!' }).ok).toBe(false);
  expect(readAttached({ name: '', content: 'aaaa' }).ok).toBe(false);
});

test('sizes are said in round words', () => {
  expect([sayBytes(3), sayBytes(819_600), sayBytes(3_440_000)]).toEqual(['1 kB', '820 kB', '3.4 MB']);
});
