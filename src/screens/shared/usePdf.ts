import { useCallback } from 'react';
import { missingWords, type Page } from '@/core/print';
import { downloadPdf } from '@/instruments';
import { useShop } from '@/records';
import { useSay } from '@/ui';

/** Hands pages on as a PDF, and tells when a letter could not be printed. */
export function usePdf(): (title: string, pages: readonly Page[], name: string) => Promise<void> {
  const say = useSay();
  const { printerScale = 1 } = useShop().shop;
  return useCallback(
    async (title, pages, name) => {
      const told = missingWords(await downloadPdf(title, pages, name, printerScale));
      if (told) say({ text: told, stop: true });
    },
    [say, printerScale],
  );
}
