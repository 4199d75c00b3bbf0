// Writes docs/file-format.schema.json: what the records of a backup look like, for other programs.
import { writeFileSync } from 'node:fs';
import parse from 'joi-to-json';
import { KINDS, STORED_SCHEMAS } from '../src/records/schemas';

/** One definition a kind; rules that JSON Schema cannot say, such as real dates, are left out. */
export const fileSchema = (): object => ({
  $schema: 'http://json-schema.org/draft-07/schema#',
  title: 'Records in a backup of Rustic Lantern',
  description:
    'Each file records/KIND.json is a list of the definition of that kind; photos lie beside as JPEG.',
  definitions: Object.fromEntries(KINDS.map((kind) => [kind, parse(STORED_SCHEMAS[kind], 'json')])),
});

if (process.argv[1]?.endsWith('schema.ts'))
  writeFileSync('docs/file-format.schema.json', `${JSON.stringify(fileSchema())}\n`);
