import { parseJson } from '../src/core/check';
import { compute } from '../src/core/computations';
import { assertAffordable } from './cost';

/** What was sent, as JSON. @throws RangeError for text that is none, or that is too deep or too long to be read */
function parsed(sent: Uint8Array): unknown {
  try {
    return parseJson(Buffer.from(sent).toString('utf8'));
  } catch (error) {
    if (error instanceof SyntaxError)
      throw new RangeError(`The input is not readable as JSON: ${error.message}`);
    throw error;
  }
}

/** Reads what was sent and computes it: on the spot for what is light, in a thread otherwise, so that reading holds nobody up. */
export async function answer(name: string, sent: Uint8Array, signal?: AbortSignal): Promise<unknown> {
  const input = parsed(sent);
  assertAffordable(name, input);
  return compute(name, input, signal ? { signal } : {});
}
