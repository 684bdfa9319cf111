import fc from 'fast-check';
import { newProject, noFacts, shippedPapers, shippedToolbox } from '@rangoli/core';

/** A request as somebody may send who means ill, or has a broken client. */
export interface HostileRequest {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | undefined;
}

/** Values that are no good anywhere, and numbers at the ends of what numbers can be. */
const nasty: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    ...[null, true, '', ' ', '\u0000', '\uD800', [], {}, [[]], { length: 1 }],
    ...[0, -0, -1, 0.5, 1e21, -1e308, 2 ** 31, 2 ** 53, -(2 ** 53), 5e-324, 999_999_999_999],
    ...['__proto__', 'constructor', '<svg onload=1>', "'; DROP TABLE projects; --", '%', '\\'],
  ),
  fc.string({ unit: 'grapheme', maxLength: 3000 }),
  fc.double({ noNaN: true }),
  fc.integer({ min: 1, max: 6000 }).map((length) => Array<unknown>(length).fill({})),
  fc
    .integer({ min: 1, max: 2000 })
    .map((length) => Object.fromEntries(Array.from({ length }, (_, i) => [`key ${String(i)}`, i]))),
);

/** Every way from a value to a leaf of it. */
function waysInto(value: unknown): readonly (readonly string[])[] {
  if (typeof value !== 'object' || value === null) return [[]];
  const below = Object.entries(value).flatMap(([key, each]) =>
    waysInto(each).map((way) => [key, ...way]),
  );
  return [[], ...below];
}

function replacedAt(value: unknown, [key, ...rest]: readonly string[], by: unknown): unknown {
  if (key === undefined) return by;
  if (Array.isArray(value))
    return value.map((each: unknown, i) => (String(i) === key ? replacedAt(each, rest, by) : each));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, each]) => [
      name,
      name === key ? replacedAt(each, rest, by) : each,
    ]),
  );
}

/** A good body with up to three of its parts spoilt. */
function spoilt(body: unknown): fc.Arbitrary<unknown> {
  return fc
    .array(fc.tuple(fc.constantFrom(...waysInto(body)), nasty), { maxLength: 3 })
    .map((changes) => changes.reduce((now, [way, by]) => replacedAt(now, way, by), body));
}

const document = newProject('inch');
const [board] = shippedToolbox.boards;
const facts = {
  ...noFacts(),
  ticks: { 'cut base': [{ from: 0, to: 2, done: true, at: { time: 1, by: 'tablet' } }] },
};
/** What a good client sends, in which a part or three are spoilt. */
const goodRequests: readonly (readonly [method: string, path: string, body: unknown])[] = [
  ['POST', 'projects', { document }],
  ['POST', 'projects', { document: { ...document, basis: { name: 'Lens', box: document.box } } }],
  ['PUT', 'projects/ID', { revision: 1, document }],
  ['POST', 'progress/ID', { facts }],
  ['PUT', 'tools/ID', { revision: 0, value: { kind: 'boards', ...board } }],
  [
    'PUT',
    'papers/ID',
    { revision: 0, value: { kind: 'paper', paper: shippedPapers[0], away: false, added: 1 } },
  ],
  ['PUT', 'lessons/ID', { revision: 0, value: document.box.papers[0] }],
  ['POST', 'session', { passphrase: 'gravel birch basket winter cradle' }],
];

const deep = fc
  .tuple(fc.constantFrom('[', '{"a":', '{"document":[', '{"facts":{"ticks":'), fc.nat(60_000))
  .map(([opening, depth]) => opening.repeat(depth));
const closedDeep = fc.nat(120_000).map((depth) => '['.repeat(depth) + ']'.repeat(depth));

const junk: fc.Arbitrary<string | undefined> = fc.oneof(
  { weight: 2, arbitrary: fc.constant(undefined) },
  { weight: 2, arbitrary: fc.string({ unit: 'binary', maxLength: 400 }) },
  { weight: 2, arbitrary: fc.oneof(deep, closedDeep) },
  {
    weight: 1,
    arbitrary: fc
      .integer({ min: 200_000, max: 3_000_000 })
      .map((length) => `{"document":"${'x'.repeat(length)}"}`),
  },
);

const words = fc.oneof(
  fc.constantFrom('', 'changed', 'name', 'newest', '0', '-1', '1e9', '100', 'NaN', '%00', 'bnVsbA'),
  fc.string({ unit: 'grapheme', maxLength: 300 }).map((text) => encodeURIComponent(text)),
);

function pathsTo(ids: readonly string[]): fc.Arbitrary<string> {
  const id = fc.oneof(fc.constantFrom(...ids), words);
  const route = fc.constantFrom(
    ...['projects', 'projects/', 'projects/ID', 'projects/ID', 'projects/ID/duplicate'],
    ...[
      'projects/ID/restore',
      'projects/deleted',
      'projects/contents',
      'progress/ID',
      'progress',
      'tools',
      'tools/ID',
      'lessons',
    ],
    ...[
      'lessons/ID',
      'papers',
      'papers/ID',
      'pictures',
      'pictures',
      'pictures/ID',
      'session',
      'session/all',
      'health',
      'events/ID',
      'ID',
      'ID/ID/ID',
    ],
  );
  const query = fc.oneof(
    { weight: 3, arbitrary: fc.constant('') },
    {
      weight: 1,
      arbitrary: fc
        .array(fc.tuple(fc.constantFrom('search', 'order', 'limit', 'after', 'x[y]'), words), {
          minLength: 1,
          maxLength: 4,
        })
        .map((pairs) => `?${pairs.map(([name, value]) => `${name}=${value}`).join('&')}`),
    },
  );
  return fc
    .tuple(fc.constantFrom('/api/', '/api/', '/api/', '/API/', '/'), route, id, query)
    .map(([root, path, each, asked]) => root + path.replaceAll('ID', () => each) + asked);
}

const headers: fc.Arbitrary<Readonly<Record<string, string>>> = fc
  .tuple(
    fc.constantFrom<Readonly<Record<string, string>>>(
      ...[{ 'x-rangoli': 'soak' }, { 'x-rangoli': 'soak' }, { 'x-rangoli': 'soak' }, {}],
    ),
    fc.constantFrom<Readonly<Record<string, string>>>(
      ...[{ 'content-type': 'application/json' }, { 'content-type': 'application/json' }],
      ...[{ 'content-type': 'application/json; charset=latin1' }, { 'content-type': 'text/plain' }],
      ...[
        { 'content-type': 'multipart/form-data; boundary=x' },
        { 'content-type': 'multipart/form-data' },
      ],
      { 'content-type': 'application/json', 'content-encoding': 'gzip' },
    ),
    fc.constantFrom<Readonly<Record<string, string>>>(
      ...[{}, {}, {}, { 'x-forwarded-for': '192.168.1.77' }, { origin: 'null' }],
      ...[{ cookie: 'rangoli-session=%E0%A4%A; a=b' }, { 'if-none-match': '*' }],
    ),
  )
  .map(([own, type, more]) => ({ ...own, ...type, ...more }));

/** Requests to every route of the server, with these boxes on its shelf. */
export function hostileRequests(ids: readonly string[]): fc.Arbitrary<HostileRequest> {
  const id = fc.oneof(
    { weight: 4, arbitrary: fc.constantFrom(...ids) },
    { weight: 1, arbitrary: words },
  );
  const own = { 'x-rangoli': 'soak', 'content-type': 'application/json' };
  const nearlyGood = fc.constantFrom(...goodRequests).chain(([method, path, good]) =>
    fc.record({
      method: fc.constant(method),
      path: id.map((each) => `/api/${path.replace('ID', () => each)}`),
      headers: fc.constant(own),
      body: fc.oneof(
        { weight: 6, arbitrary: spoilt(good).map((body) => JSON.stringify(body)) },
        { weight: 1, arbitrary: junk },
      ),
    }),
  );
  const wild = fc.record({
    method: fc.constantFrom(
      'GET',
      'GET',
      'GET',
      'POST',
      'PUT',
      'DELETE',
      'PATCH',
      'HEAD',
      'OPTIONS',
    ),
    path: pathsTo(ids),
    headers,
    body: junk,
  });
  return fc.oneof({ weight: 3, arbitrary: nearlyGood }, { weight: 2, arbitrary: wild });
}
