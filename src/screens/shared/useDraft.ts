import { useCallback, useState } from 'react';

const PREFIX = 'rustic-lantern.draft.';
const box = (): Storage | undefined => (typeof localStorage === 'undefined' ? undefined : localStorage);

/** What is typed into a form that is saved by a button: it survives a reload, Back and closing, until the button was pressed. */
export function useDraft(name: string): [text: string, set: (text: string) => void, drop: () => void] {
  const key = `${PREFIX}${name}`;
  const [text, setText] = useState(() => box()?.getItem(key) ?? '');
  const set = useCallback(
    (next: string) => {
      setText(next);
      try {
        box()?.setItem(key, next);
      } catch {
        // No room for it: it still stands in the form.
      }
    },
    [key],
  );
  const drop = useCallback(() => {
    setText('');
    box()?.removeItem(key);
  }, [key]);
  return [text, set, drop];
}
