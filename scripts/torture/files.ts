// Backups spoiled in every way: none may be answered by a foreign error, and what comes out of one must go out and in again.
import { strToU8, unzipSync, zipSync } from 'fflate';
import { seededRandom } from '../../src/core/check';
import { previewBackup, readBackup, takeBackup, writeBackup } from '../../src/records/backup';
import { SHAPE_VERSION } from '../../src/records/schemas';
import { createStore } from '../../src/records/store';
import { asTexts, fragile, NOW, shopOf, tally, type Tally } from './shop';

type Random = () => number;
type Files = Record<string, Uint8Array>;

const pick = <T>(list: readonly T[], random: Random): T | undefined =>
  list[Math.floor(random() * list.length)];

/** Text spoiled in one place: a value of another type, a key that is none, a piece cut out or put in twice. */
function spoiltText(text: string, random: Random): string {
  const at = Math.floor(random() * text.length);
  const values = [
    'null',
    '-1',
    '1e999',
    '"x"',
    '[]',
    '{}',
    'true',
    '"../../x"',
    `"${'y'.repeat(9000)}"`,
    '-1e17',
    '"2026-13-45"',
  ];
  switch (Math.floor(random() * 6)) {
    case 0:
      return text.slice(0, at) + text.slice(at + 1 + Math.floor(random() * 40));
    case 1:
      return text.slice(0, at) + String.fromCharCode(Math.floor(random() * 65536)) + text.slice(at);
    case 2:
      return text.replace(/:"[^"]*"/, () => `:${pick(values, random)}`);
    case 3: {
      const numbers = [...text.matchAll(/:-?\d+(\.\d+)?/g)];
      const found = pick(numbers, random);
      return found
        ? text.slice(0, found.index) + `:${pick(values, random)}` + text.slice(found.index + found[0].length)
        : text;
    }
    case 4:
      return text.replace(/"(\w+)":/, '"__proto__":');
    default:
      return text.slice(0, at) + text.slice(Math.floor(random() * at));
  }
}

const PATHS = [
  '../../out.json',
  '/etc/passwd',
  'records/../piece.json',
  'C:\\x.json',
  'records/piece.json/',
  `${'a/'.repeat(40)}b.json`,
  'setup.exe',
  'pictures/ä.jpg',
  'records/PIECE.json',
];

/** An archive spoiled in one way. */
function spoiltZip(files: Files, random: Random): Uint8Array {
  const next: Files = { ...files };
  const names = Object.keys(next);
  const some = pick(names, random) ?? '';
  switch (Math.floor(random() * 6)) {
    case 0:
      delete next[some];
      break;
    case 1:
      next[some] = strToU8(spoiltText(Buffer.from(next[some] ?? []).toString('latin1'), random), true);
      break;
    case 2:
      next[pick(PATHS, random) ?? 'x'] = strToU8('{}');
      break;
    case 3:
      // A bomb in small: it unpacks to far more than it takes.
      next['records/piece.json'] = strToU8(`[${' '.repeat(300_000)}]`);
      break;
    case 4:
      next[some.replace('pictures/', 'records/')] = next[some] ?? new Uint8Array();
      break;
    default: {
      const bytes = zipSync(next, { level: 1 });
      const flips = 1 + Math.floor(random() * 4);
      for (let i = 0; i < flips; i++) bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
      return random() < 0.3 ? bytes.subarray(0, Math.floor(random() * bytes.length)) : bytes;
    }
  }
  return zipSync(next, { level: 1 });
}

const HERE = { now: NOW, device: 'torture' };

async function tryOne(bytes: Uint8Array | string, result: Tally): Promise<void> {
  result.done++;
  const { storage } = fragile({});
  const store = createStore(storage, { now: () => NOW });
  try {
    const backup = await readBackup(
      new Blob([typeof bytes === 'string' ? bytes : new Uint8Array(bytes)]),
      'spoilt',
    );
    await previewBackup(store, backup, NOW);
    await takeBackup(store, backup, {}, HERE);
    // What came in goes out, and in again, and is the same.
    const { blob } = await writeBackup(store, { savedAt: NOW });
    const again = await readBackup(blob, 'again');
    const records = (await store.keys()).records.filter((k) => !k.startsWith('picture/')).length;
    if (again.unreadable.length > 0 || again.records.length !== records) result.lost++;
  } catch (error) {
    const isOurs = error instanceof RangeError && error.message.includes('Nothing was changed.');
    if (!isOurs)
      result.foreign.push(error instanceof Error ? `${error.name}: ${error.message}` : String(error));
  }
  if (({} as { polluted?: boolean }).polluted) result.foreign.push('The prototype was reached.');
}

/** Half of them archives, half of them files of the old kind. */
export async function spoiltFiles(count: number): Promise<Tally> {
  const random = seededRandom(11);
  const result = tally();
  const shop = shopOf(2);
  const store = createStore(fragile(asTexts(shop)).storage, { now: () => NOW });
  const { blob } = await writeBackup(store, { savedAt: NOW });
  const files = unzipSync(new Uint8Array(await blob.arrayBuffer()));
  const old = JSON.stringify({
    format: 'rustic-lantern',
    formatVersion: 1,
    shapeVersion: SHAPE_VERSION,
    savedAt: NOW,
    records: shop,
  });
  for (let i = 0; i < count; i++)
    await tryOne(i % 2 === 0 ? spoiltZip(files, random) : spoiltText(old, random), result);
  return result;
}
