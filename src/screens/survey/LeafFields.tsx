import type { FaceGrain } from '@/records';
import { Button, Chips, Stepper, Text, TextField } from '@/ui';
import { useAct } from '../shared/useAct';

type Leaf = Extract<FaceGrain, { kind: 'zones' }>['zones'][number];

/** Leaves of a face with directions of their own, one of them open. @param fresh makes one more */
export function LeafFields({
  leaves,
  open,
  onOpen,
  onChange,
  fresh,
}: {
  leaves: Leaf[];
  open: number;
  onOpen: (index: number) => void;
  onChange: (leaves: Leaf[]) => Promise<boolean>;
  fresh: () => Leaf;
}) {
  const act = useAct();
  const leaf = leaves[open];
  const change = (patch: Partial<Leaf>): Promise<boolean> =>
    onChange(leaves.map((l, i) => (i === open ? { ...l, ...patch } : l)));
  return (
    <>
      <Text>Each leaf has four corners to drag and a direction. What lies in none has the face’s own.</Text>
      {leaves.length > 0 ? (
        <Chips<number>
          label="Leaf"
          options={leaves.map((l, i) => ({ value: i, label: l.name || `Leaf ${i + 1}` }))}
          value={open}
          onChange={onOpen}
        />
      ) : null}
      {leaf ? (
        <>
          <TextField
            label="Name of the leaf"
            value={leaf.name}
            onChange={(name) => change({ name })}
            most={80}
          />
          <Stepper
            label="Direction, from level, clockwise"
            value={Math.round(leaf.degrees)}
            unit="°"
            least={0}
            most={180}
            step={5}
            onChange={(degrees) => change({ degrees })}
          />
          <Button
            label="Take this leaf out"
            onPress={() =>
              act(() => {
                onOpen(0);
                onChange(leaves.filter((_, i) => i !== open));
              })
            }
          />
        </>
      ) : null}
      <Button
        label="Add a leaf"
        onPress={() =>
          act(() => {
            onOpen(leaves.length);
            onChange([...leaves, fresh()]);
          })
        }
      />
    </>
  );
}
