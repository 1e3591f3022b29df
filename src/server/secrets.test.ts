import { digestOf, hashPasscode, isPasscode, newSecret } from './secrets';

test('a passcode is known again, and no other; two hashes of it differ', async () => {
  const hash = await hashPasscode('brass and steel');
  expect(hash).toMatch(/^scrypt\$32768\$8\$1\$/);
  expect(hash).not.toContain('brass');
  expect(await isPasscode('brass and steel', hash)).toBe(true);
  expect(await isPasscode('brass and stee1', hash)).toBe(false);
  expect(await isPasscode('', hash)).toBe(false);
  expect(await hashPasscode('brass and steel')).not.toBe(hash);
});

test('a passcode in another Unicode form is the same one', async () => {
  expect(await isPasscode('Mu\u0308hle 12345', await hashPasscode('M\u00fchle 12345'))).toBe(true);
});

test('a hash of another kind lets nobody in', async () => {
  expect(await isPasscode('x', 'md5$x')).toBe(false);
});

test('a secret is long, new each time, and kept as a digest', () => {
  expect(newSecret()).toHaveLength(32);
  expect(newSecret()).not.toBe(newSecret());
  expect(digestOf('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
});
