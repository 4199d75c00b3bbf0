import useSWR, { mutate } from 'swr';

const CLEARING = 'clearing';

export const noteClearing = (): void => void mutate<boolean>(CLEARING, true, { revalidate: false });

/** The store is being cleared from outside: what is open stands until the page is closed. */
export function useClearing(): boolean {
  const { data = false } = useSWR<boolean>(CLEARING, null);
  return data;
}
