import useSWR, { mutate } from 'swr';

/** Something that was typed, could not be saved, and is kept beside the store. */
export type Held = {
  key: string;
  /** The record it was typed into, as its owner would call it. */
  title: string;
  /** Field by field. */
  what: string[];
  /** The text itself. */
  text?: string;
  problem: string;
  /** Something else stands in the field by now. */
  conflict: boolean;
};

const HELD = 'held';
const NONE: Held[] = [];

export const noteHeld = (held: Held[]): void => void mutate<Held[]>(HELD, held, { revalidate: false });

/** What is kept beside the store because it could not be saved. */
export function useHeld(): Held[] {
  const { data = NONE } = useSWR<Held[]>(HELD, null);
  return data;
}
