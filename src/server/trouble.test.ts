import { kindOfTrouble, troubleDigest, troubleOf } from './trouble';

const failure = (more: object, message = 'x') => Object.assign(new Error(message), more);

test.each([
  ['a server that is not there', failure({ code: 'ECONNREFUSED' }), 'gone'],
  ['a line that broke', failure({ code: 'PROTOCOL_CONNECTION_LOST', fatal: true }), 'gone'],
  ['an answer that does not come', failure({ code: 'PROTOCOL_SEQUENCE_TIMEOUT' }), 'gone'],
  ['a connection closed under us', failure({}, "Can't add new command when connection is in closed state"), 'gone'],
  ['a pool with nothing free', failure({ name: 'KnexTimeoutError' }, 'Timeout acquiring a connection.'), 'busy'],
  ['two that wait for each other', failure({ code: 'ER_LOCK_DEADLOCK', errno: 1213 }), 'busy'],
  ['a disk without room', failure({ code: 'ER_RECORD_FILE_FULL', errno: 1114 }), 'full'],
  ['a key that is there already', failure({ code: 'ER_DUP_ENTRY', errno: 1062 }), 'bug'],
  ['something of ours', new TypeError('undefined is not a function'), 'bug'],
  ['no error at all', 'text', 'bug'],
] as const)('%s', (_, error, kind) => {
  expect(kindOfTrouble(error)).toBe(kind);
});

test('a bug is logged with its stack under the number that is shown; the others with a line', () => {
  const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const error = new TypeError('deep inside');
  const trouble = troubleOf(error);
  expect(troubleDigest(trouble)).toMatch(/^bug \d{3}-\d{3}$/);
  expect(log).toHaveBeenCalledWith(`${troubleDigest(trouble)}:`, error);
  expect(troubleDigest(troubleOf(failure({ code: 'ECONNRESET' }, 'read ECONNRESET')))).toBe('gone');
  expect(log).toHaveBeenLastCalledWith('trouble (gone): read ECONNRESET');
  // The same again at once is not said again.
  troubleOf(failure({ code: 'ECONNRESET' }, 'read ECONNRESET'));
  expect(log).toHaveBeenCalledTimes(2);
  log.mockRestore();
});
