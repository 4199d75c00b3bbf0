// Changes core and records in one place at a time and counts how many of the changes the tests of their room notice:
// `npm run mutants [-- COUNT [SEED [WHICH]]]`, WHICH being "110-" or "12,14,15" of them.
// What survives is listed to be read, and goes by `equal.ts` where it means the same.
import { createHash } from 'node:crypto';
import { execFile, execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import path from 'node:path';
import { build, type Plugin } from 'esbuild';
import { EQUAL } from './equal';
import { changesIn, roomOf, type Change } from './sites';

const [count = 300, seed = 11] = process.argv.slice(2, 4).map(Number);
const which = process.argv[4] ?? '1-';
const isAsked = (n: number): boolean => (which.endsWith('-') ? n >= parseInt(which, 10) : which.split(',').includes(String(n))); // prettier-ignore
/** Tests that take longer than this come after the others, each by itself; those that take longer still walk far more than one room. */
const SLOW_S = 10;
const SLOWEST_S = 150;
/** A change that makes a test run so much longer is noticed: it never ends. */
const LIMIT_S = 400;

const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { encoding: 'utf8' }).split('\n').filter(Boolean); // prettier-ignore
const isSource = (f: string): boolean =>
  /^src\/(core|records)\/.*\.ts$/.test(f) && !/\.test\.ts$|\/index\.ts$|schemas?\.ts$/.test(f);
/** Tests that put another module in a module's place need Jest itself, and are left out here. */
const needsJest = (f: string): boolean => /jest\.(mock|spyOn|requireActual)/.test(readFileSync(f, 'utf8'));
const testsOf = (room: string): string[] =>
  files.filter((f) => f.endsWith('.test.ts') && (room === 'src/core/' ? /^src\/core\/[^/]+$/.test(f) : f.startsWith(room)) && !needsJest(f)); // prettier-ignore

/** Seconds that each test file took when the whole suite ran last (`npm test` leaves them); one that is not in it counts as quick. */
function lastTimes(): Map<string, number> {
  try {
    const { testResults } = JSON.parse(readFileSync('_counts/unit.json', 'utf8')) as { testResults: { name: string; startTime: number; endTime: number }[] }; // prettier-ignore
    return new Map(testResults.map((t) => [t.name.replace(/^.*?\/(?=src\/)/, ''), (t.endTime - t.startTime) / 1000])); // prettier-ignore
  } catch {
    return new Map();
  }
}
const times = lastTimes();

/** Test files of a room, the quick ones together and the slow ones after them. */
function stagesOf(room: string): string[][] {
  const tests = testsOf(room).filter((t) => (times.get(t) ?? 0) < SLOWEST_S);
  const slow = tests.filter((t) => (times.get(t) ?? 0) > SLOW_S);
  return [tests.filter((t) => !slow.includes(t)), ...slow.map((t) => [t])].filter((s) => s.length > 0);
}

const text = new Map(files.filter(isSource).map((f) => [f, readFileSync(f, 'utf8')]));
const lineOf = (c: Change): string => (text.get(c.file) ?? '').split('\n')[c.line - 1]?.trim() ?? '';
/** Drawn by what they are, so that a change elsewhere leaves the choice as it was. */
const drawn = (c: Change): string =>
  createHash('sha256').update([seed, c.file, lineOf(c), c.at - (text.get(c.file) ?? '').lastIndexOf('\n', c.at), c.from, c.to].join('\0')).digest('hex'); // prettier-ignore
const chosen = [...text]
  .flatMap(([f, t]) => changesIn(f, t))
  .map((change) => ({ change, draw: drawn(change) }))
  .sort((a, b) => (a.draw < b.draw ? -1 : 1))
  .slice(0, count)
  .map(({ change }) => change);

let bundles = 0;
const room = mkdtempSync(path.join(tmpdir(), 'mutants-'));
/** Sources as they are bundled: one of them changed, and each still knowing the folder it stood in. */
const changed = (c: Change | undefined): Plugin => ({
  name: 'changed',
  setup: ({ onLoad }) => {
    onLoad({ filter: /\/src\/.*\.ts$/ }, ({ path: file }) => {
      const source = text.get(path.relative('.', file)) ?? readFileSync(file, 'utf8');
      const isIt = c !== undefined && file === path.resolve(c.file);
      const now = isIt ? source.slice(0, c.at) + c.to + source.slice(c.end) : source;
      return { contents: now.replaceAll('__dirname', JSON.stringify(path.dirname(file))), loader: 'ts' };
    });
  },
});

/** Bundles tests with one change in what they test, or none, and runs them in a process of its own: does one of them fail? */
async function fails(c: Change | undefined, tests: readonly string[]): Promise<boolean> {
  const outfile = path.join(room, `${bundles++}.js`);
  await build({
    stdin: {
      contents: tests.map((t) => `describe(${JSON.stringify(t)}, () => { require('./${t}'); });`).join('\n'),
      resolveDir: process.cwd(),
    },
    outfile,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'cjs',
    tsconfig: 'tsconfig.json',
    logLevel: 'error',
    external: ['fast-check', '@techstark/opencv-js', 'joi'],
    plugins: [changed(c)],
  });
  return new Promise((resolve) => {
    execFile(
      process.execPath,
      ['scripts/mutants/tests.js', outfile],
      { timeout: LIMIT_S * 1000, env: { ...process.env, NODE_PATH: path.resolve('node_modules') } },
      (error) => {
        rmSync(outfile);
        resolve(error !== null);
      },
    );
  });
}

const sound = new Map<string, Promise<string[][]>>();
/** The tests of a room that pass while nothing is changed: one that does not pass here as it stands proves nothing. */
function soundStages(of: string): Promise<string[][]> {
  const found = sound.get(of) ?? Promise.all(stagesOf(of).map(soundOf)).then((s) => s.filter((t) => t.length > 0)); // prettier-ignore
  sound.set(of, found);
  return found;
}

async function soundOf(tests: readonly string[]): Promise<string[]> {
  if (!(await fails(undefined, tests))) return [...tests];
  const passing = await Promise.all(tests.map(async (t) => ((await fails(undefined, [t])) ? [] : [t])));
  for (const t of tests) if (!passing.flat().includes(t)) console.log(`left out: ${t}`);
  return passing.flat();
}

const isEqual = (c: Change): boolean =>
  EQUAL.some((e) => e.file === c.file && e.from === c.from && e.to === c.to && e.line === lineOf(c));
const survivors: number[] = [];
let [tried, caught, equal] = [0, 0, 0];
const waiting = chosen.map((c, i) => ({ c, n: i + 1 })).filter(({ n }) => isAsked(n));

async function work(): Promise<void> {
  for (let next = waiting.shift(); next; next = waiting.shift()) {
    const { c, n } = next;
    tried++;
    if (isEqual(c)) {
      equal++;
      continue;
    }
    let seen = false;
    for (const tests of await soundStages(roomOf(c.file))) seen ||= await fails(c, tests);
    if (seen) caught++;
    else survivors.push(n);
    console.log(`${n}/${chosen.length} ${seen ? 'caught' : 'SURVIVED'} ${c.file}:${c.line} ${c.from} → ${c.to}   ${lineOf(c)}`); // prettier-ignore
  }
}
function tell(): void {
  rmSync(room, { recursive: true });
  const meant = tried - equal;
  console.log(`${tried} of ${chosen.length} changes, seed ${seed}: ${equal} mean the same, ${caught} of the other ${meant} were noticed (${((100 * caught) / meant).toFixed(1)} %).`); // prettier-ignore
  if (survivors.length > 0) console.log(`Survivors: ${survivors.sort((a, b) => a - b).join(',')}`);
}

void Promise.all(Array.from({ length: availableParallelism() }, work)).then(tell);
