import { useRef } from 'react';
import { Button } from './Button';
import type { FilePickProps } from './FilePick.types';

/** A button that opens the browser's own file dialog. */
export function FilePick({ label, accept, onFile, kind = 'plain', camera = false }: FilePickProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        tabIndex={-1}
        {...(camera ? { capture: 'environment' as const } : {})}
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.currentTarget.files?.[0];
          event.currentTarget.value = '';
          if (file) onFile(file);
        }}
      />
      <Button label={label} kind={kind} onPress={() => input.current?.click()} />
    </>
  );
}
