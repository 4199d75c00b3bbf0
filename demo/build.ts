// Writes the demo scenario as an export file that the app reads in like any other.
import { mkdirSync, writeFileSync } from 'node:fs';
import { exportText, importText } from '../src/records/transfer';
import { readingRoom } from './scenario';

async function main(): Promise<void> {
  const text = exportText(await readingRoom(), '2026-03-02T09:00:00');
  const { records, pieces, pictures } = importText(text, 'demo');
  mkdirSync('public/demo', { recursive: true });
  writeFileSync('public/demo/reading-room.lantern.json', text);
  console.log(
    `demo: ${records.length} records, ${pieces} pieces, ${pictures} pictures, ${(text.length / 1e6).toFixed(1)} MB`,
  );
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
