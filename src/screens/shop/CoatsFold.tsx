import { useState } from 'react';
import { COAT_FIGURES, COATS, coatsOf, type CoatFigure, type OwnCoats } from '@/core/bench';
import { describeSource } from '@/core/sources';
import { FINISH_GOALS } from '@/core/terms';
import type { Shop } from '@/records';
import { Button, Chips, Fold, Stepper, Text } from '@/ui';

type Coated = keyof typeof COATS;

/** Top coats: how many and how long between, from the book or from the label of the owner's own. */
export function CoatsFold({ shop, onChange }: { shop: Shop; onChange: (patch: Partial<Shop>) => void }) {
  const [finish, setFinish] = useState<Coated>('shellac');
  const own = shop.coats?.[finish] ?? {};
  const coats = coatsOf(finish, own);
  const set = (next: OwnCoats): void => onChange({ coats: { ...shop.coats, [finish]: next } });
  return (
    <Fold title="Top coats, and your own product">
      <Chips<Coated>
        label="Finish"
        bare
        options={(Object.keys(COATS) as Coated[]).map((value) => ({ value, label: FINISH_GOALS[value] }))}
        value={finish}
        onChange={setFinish}
      />
      <Text>{coats.detail}</Text>
      <Text kind="quiet">Enter what your label says otherwise; every plan that follows goes by it.</Text>
      {(Object.keys(COAT_FIGURES) as CoatFigure[]).map((f) => (
        <Stepper
          key={f}
          label={COAT_FIGURES[f].label}
          unit={COAT_FIGURES[f].unit}
          help={describeSource(coats[f].source)}
          value={coats[f].value}
          least={COAT_FIGURES[f].least}
          most={COAT_FIGURES[f].most}
          step={f === 'count' ? 1 : 30}
          onChange={(value) => set({ ...own, [f]: value })}
        />
      ))}
      {Object.keys(own).length > 0 ? (
        <Button label="Back to the common kind" onPress={() => set({})} />
      ) : null}
    </Fold>
  );
}
