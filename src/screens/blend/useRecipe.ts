import type { RecipeCoats } from '@/core/shelf';
import type { Stored } from '@/records';
import { useSay } from '@/ui';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';

/** The recipe kept with a repair: changed coat by coat, or another taken in its place, which can be undone. */
export function useRecipe(damage: Stored<'damage'>) {
  const change = useChange();
  const say = useSay();
  const kept = damage.body.coats;
  const put = useLatest((coats: RecipeCoats | undefined) =>
    change(damage, { coats: coats && coats.map((c) => ({ ...c })) }),
  );
  const take = (coats: RecipeCoats, text: string): void => {
    void put.current(coats);
    say({ text, action: { label: 'Undo', run: () => void put.current(kept) } });
  };
  return { kept, put, take };
}
