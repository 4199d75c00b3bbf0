import { parse } from 'secure-json-parse';
import { assertModest } from './modest';

/**
 * JSON from outside. Keys that reach into the language's own objects (`__proto__`, `constructor.prototype`) are refused, and so is
 * what is nested deeper or holds more than anything here.
 *
 * @throws SyntaxError for text that is not JSON, RangeError for such keys, or for more than is safe to read
 */
export function parseJson(text: string): unknown {
  assertModest(text);
  try {
    return parse(text);
  } catch (error) {
    if (error instanceof SyntaxError && /forbidden/.test(error.message)) {
      throw new RangeError('It holds a key such as __proto__, which no export has.');
    }
    throw error;
  }
}
