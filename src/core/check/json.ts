import { parse } from 'secure-json-parse';

/**
 * JSON from outside. Keys that reach into the language's own objects (`__proto__`, `constructor.prototype`) are refused.
 *
 * @throws SyntaxError for text that is not JSON, RangeError for such keys
 */
export function parseJson(text: string): unknown {
  try {
    return parse(text);
  } catch (error) {
    if (error instanceof SyntaxError && /forbidden/.test(error.message)) {
      throw new RangeError('It holds a key such as __proto__, which no export has.');
    }
    throw error;
  }
}
