// The shell door to the registry: JSON in, JSON out on standard output alone.
import { compute } from '../src/core/computations';
import { withImages } from './images';

async function main(): Promise<void> {
  const name = process.argv[2] ?? '';
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(Buffer.from(chunk));
  const text = Buffer.concat(chunks).toString('utf8');
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    throw new RangeError(`The input is not JSON. Give one JSON object on standard input.`);
  }
  process.stdout.write(`${JSON.stringify(await compute(name, withImages(input)))}\n`);
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = error instanceof RangeError ? 2 : 1;
});
