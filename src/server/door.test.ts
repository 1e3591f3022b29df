import { answerKnock, type Knock } from './door';

const look: Knock = {
  door: 'loopback',
  method: 'GET',
  path: '/',
  host: '127.0.0.1:4610',
  origin: null,
  site: null,
  contentType: null,
  authorization: null,
};
const write: Knock = {
  ...look,
  method: 'POST',
  path: '/api/rack',
  origin: 'http://127.0.0.1:4610',
  site: 'same-origin',
  contentType: 'application/json',
};
const answer = (knock: Partial<Knock>, hosts: string[] = []) => answerKnock({ ...look, ...knock } as Knock, hosts);

test.each([
  ['a page is opened', look, 'in'],
  ['by its other names', { ...look, host: 'localhost:4610' }, 'in'],
  ['by its address in version 6', { ...look, host: '[::1]:4610' }, 'in'],
  ['a page of ours writes', write, 'in'],
  ['an older browser says the origin alone', { ...write, site: null }, 'in'],
  ['with a set of characters', { ...write, contentType: 'application/json; charset=utf-8' }, 'in'],
  ['over the network', { ...write, door: 'network', host: 'shop.lan', origin: 'https://shop.lan' }, 'in'],
  ['a device with a key', { ...write, origin: null, site: null, authorization: 'Bearer abcdefgh12345678' }, 'with-key'],
] as const)('%s', (_, knock, kind) => {
  expect(answer(knock, ['shop.lan']).kind).toBe(kind);
});

test.each([
  ['another name for our address', { ...look, host: 'other.example' }, 421],
  ['no name', { ...look, host: null }, 421],
  ['a page of others', { ...write, origin: 'http://other.example', site: 'cross-site' }, 403],
  ['a page of another port here', { ...write, origin: 'http://127.0.0.1:4611', site: 'same-site' }, 403],
  ['a page without an origin', { ...write, origin: 'null', site: 'cross-site' }, 403],
  ['a browser that says only that it is another site', { ...write, origin: null, site: 'cross-site' }, 403],
  ['a browser that says only another origin', { ...write, origin: 'https://127.0.0.1:4610', site: null }, 403],
  ['a form of others, which may send text', { ...write, contentType: 'text/plain' }, 415],
  ['a type that only begins like ours', { ...write, contentType: 'application/jsonp' }, 415],
  ['no type', { ...write, contentType: null }, 415],
  ['a script without a key', { ...write, origin: null, site: null }, 401],
  ['a script with half a key', { ...write, origin: null, site: null, authorization: 'Bearer abc' }, 401],
  ['a key does not make another page ours', { ...write, site: 'cross-site', authorization: 'Bearer abcdefgh1' }, 403],
] as const)('%s is kept out', (_, knock, status) => {
  expect(answer(knock)).toMatchObject({ kind: 'out', status });
});
