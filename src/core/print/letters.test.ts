import fc from 'fast-check';
import { escapeXml } from './svg';
import { inLettersOf, missingWords, printable } from './letters';
import { breakLines } from './textPages';

const latin = (c: number): boolean => (c >= 0x20 && c < 0x7f) || (c >= 0xa0 && c <= 0x17f);
const set = (text: string) => {
  const missing = new Set<string>();
  return [inLettersOf(text, latin, missing), [...missing]];
};

test.each([
  ['accents put on one by one', 'Cafe\u0301 Sto\u0308hr', ['Café Stöhr', []]],
  ['an accent that the face lacks is left out', 'Ṣarıçam', ['Sarıçam', []]],
  ['letters of another script are told, each once', 'Жук Жан', ['??? ???', ['Ж', 'у', 'к', 'а', 'н']]],
  [
    'an emoji with its joiners and colour is one letter',
    'oak 👍🏽 👩‍🔧 ok',
    ['oak ?? ?? ok', ['👍', '🏽', '👩', '🔧']],
  ],
  ['control characters are no letters', 'a\u0000b\u0007c\u001bd', ['abcd', []]],
  ['half a letter', 'x\ud83d y', ['x? y', ['\ufffd']]],
])('%s', (_, text, expected) => {
  expect(set(text)).toEqual(expected);
});

test('nothing is said when every letter was printed', () => {
  expect(missingWords([])).toBeUndefined();
  expect(missingWords(['Ж', '漢'])).toContain('no Ж 漢;');
});

test('any text at all makes XML that a parser of its own takes', () => {
  // The characters that XML 1.0 allows (W3C, 2008, section 2.2).
  const allowed = /^[\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]*$/u;
  fc.assert(
    fc.property(fc.string16bits(), (text) => {
      const escaped = escapeXml(text);
      expect(allowed.test(escaped)).toBe(true);
      expect(escaped.replace(/&(amp|lt|gt|quot);/g, '')).not.toMatch(/[<>&"]/);
    }),
    { numRuns: 2000 },
  );
});

test('a word without end is broken, and no letter of two halves is torn', () => {
  const lines = breakLines(`${'a'.repeat(95)}${'👍'.repeat(30)}`, 40);
  expect(lines.every((l) => [...l].length <= 40)).toBe(true);
  expect(lines.join('')).toBe(`${'a'.repeat(95)}${'👍'.repeat(30)}`);
  expect(lines.every((l) => printable(l) === l)).toBe(true);
});
