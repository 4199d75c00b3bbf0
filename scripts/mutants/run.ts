// Changes core and records in one place at a time and counts how many of the changes the tests of their room notice:
// `npm run mutants [-- COUNT [SEED [FROM]]]`. It works on a copy; what survives is listed to be read, and goes by `equal.ts` where it means the same.
import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seededRandom } from '../../src/core/check';
import { EQUAL } from './equal';
import { changesIn, roomOf, type Change } from './sites';

const [count = 300, seed = 11, from = 0] = process.argv.slice(2).map(Number);
/** Test files that take longer than this come after the others, which notice most. */
const SLOW_S = 20;
const SLOWEST_S = 90;
const LIMIT_S = 150;

const files = execFileSync('git', ['ls-files'], { encoding: 'utf8' }).split('\n').filter(Boolean);
const copy = mkdtempSync(path.join(tmpdir(), 'mutants-'));
for (const f of files) {
  mkdirSync(path.dirname(path.join(copy, f)), { recursive: true });
  cpSync(f, path.join(copy, f));
}
symlinkSync(path.resolve('node_modules'), path.join(copy, 'node_modules'));

const isSource = (f: string): boolean =>
  /^src\/(core|records)\/.*\.ts$/.test(f) && !/\.test\.ts$|\/index\.ts$|schemas?\.ts$/.test(f);
const sources = files.filter(isSource);
const testsOf = (room: string): string[] =>
  files.filter((f) => f.endsWith('.test.ts') && (room === 'src/core/' ? /^src\/core\/[^/]+$/.test(f) : f.startsWith(room))); // prettier-ignore

type Outcome = 'passed' | 'failed';
function runTests(tests: readonly string[]): Outcome {
  const { status, error } = spawnSync(
    process.execPath,
    ['node_modules/jest/bin/jest.js', '--selectProjects', 'core', '--bail', '--silent', '--forceExit', '--maxWorkers=1', '--runTestsByPath', ...tests],
    { cwd: copy, timeout: LIMIT_S * 1000, stdio: 'ignore' },
  ); // prettier-ignore
  return status === 0 && !error ? 'passed' : 'failed';
}

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

/** Test files of a room, the quick ones together and the slow ones after them; the slowest walk far more than one room. */
function stagesOf(room: string): string[][] {
  const tests = testsOf(room).filter((t) => (times.get(t) ?? 0) < SLOWEST_S);
  const slow = tests.filter((t) => (times.get(t) ?? 0) > SLOW_S);
  return [tests.filter((t) => !slow.includes(t)), ...slow.map((t) => [t])].filter((s) => s.length > 0);
}

const text = new Map(sources.map((f) => [f, readFileSync(f, 'utf8')]));
const all = sources.flatMap((f) => changesIn(f, text.get(f) ?? ''));
const random = seededRandom(seed);
const chosen: Change[] = [];
while (chosen.length < Math.min(count, all.length)) {
  const [change] = all.splice(Math.floor(random() * all.length), 1);
  if (change) chosen.push(change);
}

const isEqual = (c: Change): boolean =>
  EQUAL.some((e) => e.file === c.file && e.from === c.from && e.to === c.to && e.line === lineOf(c));
const lineOf = (c: Change): string => (text.get(c.file) ?? '').split('\n')[c.line - 1]?.trim() ?? '';

let [caught, equal] = [0, 0];
const survivors: Change[] = [];
for (const [i, c] of chosen.entries()) {
  if (i < from) continue;
  if (isEqual(c)) {
    equal++;
    continue;
  }
  const source = text.get(c.file) ?? '';
  const stages = stagesOf(roomOf(c.file));
  writeFileSync(path.join(copy, c.file), source.slice(0, c.at) + c.to + source.slice(c.end));
  const seen = stages.some((tests) => runTests(tests) === 'failed');
  writeFileSync(path.join(copy, c.file), source);
  if (seen) caught++;
  else survivors.push(c);
  console.log(`${i + 1}/${chosen.length} ${seen ? 'caught' : 'SURVIVED'} ${c.file}:${c.line} ${c.from} → ${c.to}   ${lineOf(c)}`); // prettier-ignore
}
const meant = chosen.length - from - equal;
console.log(`${chosen.length} changes, seed ${seed}: ${equal} mean the same, ${caught} of the other ${meant} were noticed (${((100 * caught) / meant).toFixed(1)} %).`); // prettier-ignore
