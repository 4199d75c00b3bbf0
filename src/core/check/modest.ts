const OPENS = new Set([0x7b, 0x5b]); // { [
const CLOSES = new Set([0x7d, 0x5d]); // } ]
const [QUOTE, BACKSLASH, COMMA] = [0x22, 0x5c, 0x2c];

/** Nothing of a shop is nested deeper, nor lists more values at one time. */
export const MOST_DEPTH = 40;
export const MOST_VALUES = 5_000_000;

type Letters = string | Uint8Array;
const codeAt = (text: Letters, i: number): number =>
  typeof text === 'string' ? text.charCodeAt(i) : (text[i] ?? 0);
const quoteFrom = (text: Letters, i: number): number =>
  typeof text === 'string' ? text.indexOf('"', i) : text.indexOf(QUOTE, i);

/** Where a text in quotes that begins at `start` ends; where the letters end when it does not. */
function closing(text: Letters, start: number): number {
  for (let at = quoteFrom(text, start + 1); at >= 0; at = quoteFrom(text, at + 1)) {
    let slashes = 0;
    while (codeAt(text, at - 1 - slashes) === BACKSLASH) slashes++;
    if (slashes % 2 === 0) return at;
  }
  return text.length;
}

/**
 * Refuses JSON that is nested too deep, or holds too many values, to be read without harm; before it is read. Whether it is JSON at all is
 * not looked at.
 *
 * @param text or its bytes in UTF-8
 * @throws RangeError that says which of the two it is
 */
export function assertModest(text: Letters): void {
  let [depth, values] = [0, 0];
  for (let i = 0; i < text.length; i++) {
    const code = codeAt(text, i);
    if (code === QUOTE) i = closing(text, i);
    else if (code === COMMA) values++;
    else if (OPENS.has(code)) {
      values++;
      if (++depth > MOST_DEPTH) throw new RangeError(`It is nested more than ${MOST_DEPTH} deep.`);
    } else if (CLOSES.has(code)) depth--;
    if (values > MOST_VALUES) throw new RangeError(`It holds more than ${MOST_VALUES} values.`);
  }
}

/**
 * The items of a list in JSON, each as its own text, so that one that cannot be read hides no other. A list that was cut off gives
 * those that are whole.
 *
 * @param most items; the rest is counted
 * @returns nothing when the text does not begin a list
 */
export function itemsOf(
  text: string,
  most: number,
): { items: string[]; over: number; whole: boolean } | undefined {
  const first = /\S/.exec(text)?.index ?? 0;
  if (text[first] !== '[') return undefined;
  const items: string[] = [];
  let [depth, over, begun, whole] = [0, 0, first + 1, false];
  const end = (at: number): void => {
    const item = text.slice(begun, at).trim();
    if (item !== '') {
      if (items.length < most) items.push(item);
      else over++;
    }
    begun = at + 1;
  };
  let i = first;
  for (; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code === QUOTE) i = closing(text, i);
    else if (OPENS.has(code)) depth++;
    else if (CLOSES.has(code)) {
      depth--;
      if (depth === 0) {
        end(i);
        whole = true;
        break;
      }
    } else if (code === COMMA && depth === 1) end(i);
  }
  if (whole && text.slice(i + 1).trim() !== '') whole = false;
  return { items, over, whole };
}
