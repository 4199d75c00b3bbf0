/** Text that could not be saved, kept where a reload cannot lose it: by the page, the field, and what the field held before. */
const PREFIX = 'rustic-lantern.unsaved.';

const box = (): Storage | undefined => (typeof localStorage === 'undefined' ? undefined : localStorage);
const keyOf = (field: string): string =>
  `${PREFIX}${typeof location === 'undefined' ? '' : location.pathname}.${field}`;

export function keepUnsaved(field: string, before: string, text: string): void {
  try {
    box()?.setItem(keyOf(field), JSON.stringify([before, text]));
  } catch {
    // No room for it: it still stands in the field.
  }
}

export const dropUnsaved = (field: string): void => box()?.removeItem(keyOf(field));

/** What was typed over `before` and could not be saved. */
export function unsavedText(field: string, before: string): string | undefined {
  try {
    const kept: unknown = JSON.parse(box()?.getItem(keyOf(field)) ?? 'null');
    return Array.isArray(kept) && kept[0] === before && typeof kept[1] === 'string' ? kept[1] : undefined;
  } catch {
    return undefined;
  }
}
