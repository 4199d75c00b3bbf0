import Ajv from 'ajv';
import { readFileSync } from 'node:fs';
import { fileSchema } from '../scripts/schema';
import { KINDS } from '../src/records/schemas';
import type { AnyStored } from '../src/records/types';
import { readingRoom } from './scenario';

const published = JSON.parse(readFileSync('docs/file-format.schema.json', 'utf8')) as {
  definitions: Record<string, object>;
};
let records: AnyStored[];
beforeAll(async () => {
  records = await readingRoom();
});
const validator = (kind: string) => new Ajv({ strict: false }).compile(published.definitions[kind] ?? false);

test('the published schema is that of this version; npm run schema writes it', () => {
  expect(published).toEqual(JSON.parse(JSON.stringify(fileSchema())));
});

test.each(KINDS)('every %s of the demo passes it, by a validator that knows nothing of this app', (kind) => {
  const valid = validator(kind);
  const own = records.filter((r) => r.kind === kind);
  expect(own.length).toBeGreaterThan(0);
  for (const record of own)
    expect([record.id, valid(JSON.parse(JSON.stringify(record)))]).toEqual([record.id, true]);
});

test.each<[string, (r: { body: Record<string, unknown> }) => unknown]>([
  ['a school that is none', (r) => ({ ...r, body: { ...r.body, school: 'magic' } })],
  ['a field from nowhere', (r) => ({ ...r, body: { ...r.body, colour: 'red' } })],
  ['no name', (r) => ({ ...r, body: { ...r.body, name: '' } })],
  ['a path for an id', (r) => ({ ...r, id: '../x' })],
  ['half a revision', (r) => ({ ...r, revision: 1.5 })],
])('a piece with %s does not', (_, spoil) => {
  const piece = records.find((r) => r.kind === 'piece');
  if (!piece) throw new Error('The demo has no piece.');
  expect(validator('piece')(spoil(JSON.parse(JSON.stringify(piece))))).toBe(false);
});
