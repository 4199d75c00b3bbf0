import type { Fit } from '@/core/pigment';
import { learningFrom, type OnShelf } from '@/core/shelf';
import { useList, type Stored } from '@/records';
import { useComputed } from './useComputed';

/** The colour shelf, its test boards, and what they have taught; that comes from the worker. */
export function useShelf(): {
  shelf: Stored<'colour'>[];
  boards: Stored<'board'>[];
  fit: Fit | undefined;
  loading: boolean;
} {
  const { records: shelf, loading } = useList('colour');
  const { records: boards } = useList('board');
  const input = learningFrom(shelf, boards);
  const { data } = useComputed('colour.fit', input.products.length > 0 ? input : undefined);
  return { shelf, boards, fit: data, loading };
}

/** Name of a product on the shelf. */
export const namesOf = (shelf: readonly OnShelf[]): ((id: string) => string) => {
  const names = new Map(shelf.map((c) => [c.id, c.body.name]));
  return (id) => names.get(id) ?? 'a colour that is gone';
};
