import { useCallback } from 'react';
import { missingWords, type Page } from '@/core/print';
import { downloadPdf } from '@/instruments';
import { useSay } from '@/ui';

/** Hands pages on as a PDF, and tells when a letter could not be printed. */
export function usePdf(): (title: string, pages: readonly Page[], name: string) => Promise<void> {
  const say = useSay();
  return useCallback(
    async (title, pages, name) => {
      const told = missingWords(await downloadPdf(title, pages, name));
      if (told) say({ text: told, stop: true });
    },
    [say],
  );
}
