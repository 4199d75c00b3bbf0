// Writes the demo scenario as an export file that the app reads in like any other.
import { mkdirSync, writeFileSync } from 'node:fs';
import { importText } from '../src/records/transfer';
import type { Kind } from '../src/records/types';
import { readingRoom } from './scenario';
import { singleFile } from './singleFile';

async function main(): Promise<void> {
  const text = singleFile(await readingRoom(), '2026-03-02T09:00:00');
  const { records } = importText(text, 'demo');
  const count = (kind: Kind): number => records.filter((r) => r.kind === kind).length;
  mkdirSync('public/demo', { recursive: true });
  writeFileSync('public/demo/reading-room.lantern.json', text);
  console.log(
    `demo: ${records.length} records, ${count('piece')} pieces, ${count('picture')} pictures, ${(text.length / 1e6).toFixed(1)} MB`,
  );
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
