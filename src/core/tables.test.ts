import Joi from 'joi';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ADHESIVES } from './adhesive';
import { METHODS, methodById, PHASES } from './catalogue';
import { questionsFor } from './damage';
import { RULES } from './method/rank';
import { CLAMPS } from './press';
import { GRITS } from './sanding';
import { describeSource, type Source } from './sources';
import { SPECIES, speciesById } from './wood';

const unique = (ids: string[]): void => expect(new Set(ids).size).toBe(ids.length);

test('names in every table are told apart', () => {
  for (const table of [ADHESIVES, CLAMPS, METHODS, SPECIES, RULES, PHASES]) unique(table.map((x) => x.id));
});

/** A number with a unit of the trade in the words of a screen. */
const TYPED_FIGURE = /(^|[^$\w{.])\d+(\.\d+)?\s?(mm|cm|kPa|MPa|N|°C|g|ml|g\/m²|min|h)\b(?![^`]*\$\{)/;

/** Limits of what may be typed, the bar that checks a print, what a pace is timed on, an example of what to write. */
const NOT_OF_THE_TRADE = /RangeError|100 mm bar|A length of 100 mm|Spreading glue on 100 cm²|Such as: /;

/** The names that end so hold the source of a table, and stay in its module. */
const sourceNamesOf = (room: string): Set<string> =>
  new Set(
    readdirSync(join(__dirname, room), { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
      .flatMap((file) =>
        [...readFileSync(join(__dirname, room, file), 'utf8').matchAll(/^export const (\w+_SOURCE)\b/gm)].map(
          (m) => m[1] ?? '',
        ),
      ),
  );

/** Everything that a room of core shows to the rest, by room and name. */
const rooms = readdirSync(__dirname, { withFileTypes: true })
  .filter((d) => d.isDirectory())
  .map((d): [string, Record<string, unknown>] => [
    d.name,
    jest.requireActual<Record<string, unknown>>(join(__dirname, d.name, 'index.ts')),
  ]);
const shown = rooms.flatMap(([room, names]) => {
  const sources = sourceNamesOf(room);
  return Object.entries(names)
    .filter(([, value]) => typeof value !== 'function')
    .map(([name, value]) => ({ room, name, value, sourced: sources.has(`${name}_SOURCE`) }));
});

/** Numbers that are no figures of the trade: counts, limits of fields, arrangements of code. Each with the reason. */
const NO_FIGURES: Record<string, string> = {
  'adhesive.GLUE_FIGURES': 'limits of what may be typed',
  'apart.JOINTS': 'marks of how much breaks; its minutes carry their source',
  'bench.COAT_FIGURES': 'limits of what may be typed',
  'bench.MOST_GOES': 'limits of what may be typed',
  'bench.OWN_MINUTES': 'limits of what may be typed',
  'bench.OWN_WAIT_MINUTES': 'limits of what may be typed',
  'adhesive.SHOP_RANGE_C': 'limits of what may be typed',
  'calendar.DAY_MIN': 'minutes of a day',
  'front.HOUR_KNOWN_DAYS': 'how far ahead a time is told to the hour, an arrangement of words',
  'front.NO_FRONT': 'an empty page',
  'job.LEAST_BOW_MM': 'below what a plane can set',
  'damage.MOST_DEPTH_MM': 'limits of what may be typed',
  'damage.MARK_DEFAULTS_MM': 'where a mark starts before it is drawn',
  'damage.MARK_LIMITS_MM': 'limits of what may be typed',
  'ear.LEAST_REFERENCE': 'how many taps are needed before it speaks',
  'geometry.EDGE_REACH_MM': 'how near a finger must be',
  'job.DEFAULT_SHOP': 'a shop before its owner has said anything',
  'job.INSET_CORNERS': 'where handles start',
  'method.MOST_WEIGHT': 'limits of what may be typed',
  'picture.MOST_MEGAPIXELS': 'limit of a file',
  'picture.STORED_SIDE_PX': 'limit of a file',
  'shelf.FILL_MIX': 'what is asked of the search, to be changed on the page',
  'nest.MOST_SPARES': 'limits of what may be typed',
  'shelf.MOST_AIM_POINTS': 'limits of what may be typed',
  'shelf.MOST_BOARD_COATS': 'limits of what may be typed',
  'shelf.MOST_CARRIER_PARTS': 'limits of what may be typed',
  'shelf.MOST_OWN_PARTS': 'limits of what may be typed',
  'shelf.STRENGTH_LIMITS': 'limits of what may be typed',
  'print.CHECK_BAR_MM': 'what is drawn on each sheet',
  'print.PRINTER_SCALES': 'limits of what may be typed',
  'readings.MOISTURE_RANGE': 'limits of what may be typed',
};

const isRecord = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);
const isSource = (v: unknown): v is Source =>
  isRecord(v) && ['published', 'practice', 'memory', 'measured', 'derived'].includes(String(v.kind));

type Finding = { path: string; what: string };

const SAYS_A_FIGURE = /\d\s?(mm|cm|m²|g\/|kPa|MPa|N|°C|min|h|s|d|%|days?|hours?)\b|\bP\d{2,4}\b/;

/** Walks a value; a number, or words with a figure in them, need a source beside them or above. */
function unsourced(value: unknown, path: string, sourcedAbove: boolean): Finding[] {
  if (typeof value === 'number') return sourcedAbove ? [] : [{ path, what: String(value) }];
  if (typeof value === 'string')
    return sourcedAbove || !SAYS_A_FIGURE.test(value) ? [] : [{ path, what: value }];
  if (Array.isArray(value)) return value.flatMap((v, i) => unsourced(v, `${path}[${i}]`, sourcedAbove));
  if (value instanceof Map) return unsourced([...value.values()], path, sourcedAbove);
  // A schema is how input is looked at, not what is shown.
  if (!isRecord(value) || isSource(value) || Joi.isSchema(value)) return [];
  const sourced = sourcedAbove || 'source' in value;
  return Object.entries(value)
    .filter(([key]) => key !== 'source')
    .flatMap(([key, v]) => unsourced(v, `${path}.${key}`, sourced));
}

test('every number and every figure in words that core shows has its source beside it', () => {
  expect(shown.length).toBeGreaterThan(80);
  const found = shown.flatMap(({ room, name, value, sourced }) =>
    `${room}.${name}` in NO_FIGURES ? [] : unsourced(value, `${room}.${name}`, sourced),
  );
  expect(found.map((f) => `${f.path}: ${f.what.slice(0, 60)}`)).toEqual([]);
});

test('every source reads as a sentence', () => {
  const sources: unknown[] = [];
  const collect = (v: unknown): void => {
    if (Array.isArray(v)) v.forEach(collect);
    else if (isRecord(v) && !Joi.isSchema(v)) {
      if ('source' in v) sources.push(v.source);
      Object.values(v).forEach(collect);
    }
  };
  shown.forEach(({ value }) => collect(value));
  expect(sources.length).toBeGreaterThan(300);
  for (const s of sources) {
    expect(isSource(s)).toBe(true);
    if (isSource(s))
      expect(describeSource(s)).toMatch(
        /^(Published|Common practice|From memory|Measured|Worked out here).*\.$/,
      );
  }
});

test('screens type no figure of the trade: what has a unit comes from core', () => {
  const files = (dir: string): string[] =>
    readdirSync(dir, { withFileTypes: true }).flatMap((e) =>
      e.isDirectory()
        ? files(join(dir, e.name))
        : /\.tsx?$/.test(e.name) && !/\.test\./.test(e.name)
          ? [join(dir, e.name)]
          : [],
    );
  const typed = files(join(__dirname, '..', 'screens')).flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .filter((line) => !NOT_OF_THE_TRADE.test(line))
      .filter((line) => !/^\s*(\/\/|\*|\/\*\*)/.test(line) && TYPED_FIGURE.test(line))
      .map((line) => `${file.slice(file.indexOf('screens'))}: ${line.trim()}`),
  );
  expect(typed).toEqual([]);
});

test.each<[Source, string]>([
  [{ kind: 'published', title: 'Wood Handbook', where: 'Table 4-2' }, 'Published: Wood Handbook, Table 4-2.'],
  [{ kind: 'practice' }, 'Common practice.'],
  [{ kind: 'practice', note: 'three clamps' }, 'Common practice: three clamps.'],
  [{ kind: 'memory', note: 'x' }, 'From memory, check it against your product or a handbook: x.'],
  [{ kind: 'measured', by: 'caliper' }, 'Measured: caliper.'],
  [{ kind: 'derived', how: 'a × b' }, 'Worked out here: a × b.'],
])('%j', (source, words) => {
  expect(describeSource(source)).toBe(words);
});

test('rules speak in whole sentences, of methods that exist', () => {
  for (const r of RULES) {
    expect(r.text).toMatch(/^[A-Z].*\.$/);
    expect(r.methods.length).toBeGreaterThan(0);
    for (const m of r.methods) expect(methodById(m).id).toBe(m);
  }
});

test('papers get finer, and so do their grains', () => {
  const grains = GRITS.map((g) => g.medianUm.value);
  expect([...grains].sort((a, b) => b - a)).toEqual(grains);
});

test('only what decides a repair is asked, and each question says how to look', () => {
  for (const kind of ['liftedEdge', 'missingVeneer'] as const) {
    for (const q of questionsFor(kind)) {
      expect(q.ask).toMatch(/\?$/);
      expect(q.look).toMatch(/\.$/);
      expect(q.answers.length).toBeGreaterThan(1);
    }
  }
});

test('a wood that is not in the table is named', () => {
  expect(() => speciesById('unobtainium')).toThrow('The wood “unobtainium” is not in the table.');
});
