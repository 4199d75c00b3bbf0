/** Marks that add nothing by themselves: joiners, directions and variants of the letter before them. */
const SILENT = /[\u200b-\u200f\u2028-\u202e\u2060-\u2064\ufe00-\ufe0f\ufeff]|[\u{e0000}-\u{e007f}]/gu;
/** What no printed page and no XML may hold. */

const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufffe\uffff]/g;
const LONE_HALF = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

/** A text as it can be printed: letters and their accents in one, nothing that is no letter. */
export const printable = (text: string): string =>
  text.normalize('NFC').replace(LONE_HALF, '\ufffd').replace(CONTROL, '').replace(SILENT, '');

/** What stands for a letter that the face has not. */
const NO_LETTER = '?';

/**
 * A text in the letters that a face has: an accent it lacks is left out, any other letter stands as a question mark.
 *
 * @param has whether the face has a letter
 * @param missing gets the letters that could not be set
 */
export function inLettersOf(text: string, has: (codePoint: number) => boolean, missing: Set<string>): string {
  return [...printable(text)]
    .map((letter) => {
      if (has(letter.codePointAt(0) ?? 0)) return letter;
      const [base = ''] = [...letter.normalize('NFD')];
      if (base !== letter && has(base.codePointAt(0) ?? 0)) return base;
      if (/\p{M}/u.test(letter)) return '';
      if (/\s/u.test(letter)) return ' ';
      missing.add(letter);
      return NO_LETTER;
    })
    .join('');
}

/** What is said of letters that could not be printed; nothing when all were. */
export const missingWords = (missing: readonly string[]): string | undefined =>
  missing.length === 0
    ? undefined
    : `The printed face has no ${missing.slice(0, 12).join(' ')}${missing.length > 12 ? ' and others' : ''}; on the sheet each stands as “${NO_LETTER}”. What is stored stays as you typed it.`;
