import { answered, keepable, readJson } from './answers';

const failure = (more: object, message = 'x') => Object.assign(new Error(message), more);
const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
afterAll(() => log.mockRestore());

test.each([
  ['a database that is gone', failure({ code: 'ECONNREFUSED' }), 503, 'the database does not answer'],
  [
    'a pool with nothing free',
    failure({ name: 'KnexTimeoutError' }, 'Timeout acquiring a connection'),
    503,
    'too many',
  ],
  ['a disk that is full', failure({ code: 'ER_RECORD_FILE_FULL' }), 507, 'disk of the database is full'],
  ['a fault of ours', new TypeError('x is undefined'), 500, 'a fault of the program, number'],
])('%s is told as what it is, without a trace', async (_, error, status, words) => {
  const answer = await answered(() => Promise.reject(error));
  const text = await answer.text();
  expect(answer.status).toBe(status);
  expect(text).toContain(words);
  expect(text).toContain('nothing was changed');
  expect(text).not.toMatch(/TypeError|undefined|\n\s+at /);
});

test('the number of a fault stands on the page and in the log, there with the stack', async () => {
  const error = new TypeError('deep inside');
  const { trouble } = (await (await answered(() => Promise.reject(error))).json()) as { trouble: { number: string } };
  expect(trouble.number).toMatch(/^\d{3}-\d{3}$/);
  expect(log).toHaveBeenLastCalledWith(`bug ${trouble.number}:`, error);
});

test('what is sent is read as JSON, up to a size', async () => {
  const read = (body: string) => readJson(new Request('http://x', { method: 'POST', body }));
  expect(await read('{"a":1}')).toEqual({ ok: true, value: { a: 1 } });
  expect(await read('{"a"')).toMatchObject({ problems: [{ message: expect.stringContaining('this is not JSON') }] });
  expect(await read('"'.padEnd(1_000_001))).toMatchObject({
    problems: [{ message: expect.stringContaining('larger than') }],
  });
});

test('a run without a number cannot be kept, whatever spaces stand in its place', () => {
  const file = { format: 'shingle-run/1', quantity: 1, part: { number: ' \u00a0\u200b', material: 'x', outside: [] } };
  expect(keepable(file)).toMatchObject({ problems: [{ path: 'part.number' }] });
});
