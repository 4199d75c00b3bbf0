import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { newId, type Part, type Piece } from '@/records';
import { Button, Chips, Figure, Fold, LengthField, LitCard, optionsOf, Stepper, Text, TextField, useSay, useTheme } from '@/ui'; // prettier-ignore
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';
import { usePieceView } from '../shared/usePiece';
import { PartHold } from './PartHold';
import { useUnits } from '../shared/useUnits';

const KINDS: Record<Part['kind'], string> = {
  screw: 'Screws',
  hardware: 'Hardware',
  part: 'Part of the piece',
};

const EMPTY: Omit<Part, 'id'> = { kind: 'screw', label: '', count: 1, from: '', odd: '', back: false };

/** What was taken off, where it came from, and whether it is back: the tray on the bench, written down. */
export function PartsScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = usePieceView(id);
  const change = useChange();
  const say = useSay();
  const { piece } = view;
  const act = useAct();
  const latest = useLatest(view);
  const [draft, setDraft] = useState(EMPTY);
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const parts = piece.body.parts ?? [];
  const put = (next: Part[], of = piece): Promise<boolean> =>
    change(of, { parts: next } satisfies Partial<Piece>);
  const add = (): Promise<void> =>
    act(async () => {
      const letter =
        String.fromCharCode(65 + (parts.length % 26)) +
        (parts.length >= 26 ? Math.floor(parts.length / 26) : '');
      const label = draft.label.trim() || `Bag ${letter}`;
      if (await put([...parts, { ...draft, id: newId(), label }])) setDraft({ ...EMPTY, kind: draft.kind });
    });
  const remove = (part: Part): void => {
    put(parts.filter((p) => p.id !== part.id));
    const at = parts.indexOf(part);
    const putBack = (): void => {
      const now = latest.current.piece;
      const left = now?.body.parts ?? [];
      if (now) put([...left.slice(0, at), part, ...left.slice(at)], now);
    };
    say({ text: `${part.label} was taken off the tray.`, action: { label: 'Undo', run: putBack } });
  };
  const photos = [
    ...view.faces.flatMap((f) => (f.body.picture ? [{ id: f.body.picture.id, label: f.body.name }] : [])),
    ...(piece.body.photos ?? []).map((p, i) => ({ id: p.pictureId, label: p.note || `Photo ${i + 1}` })),
  ];
  const back = parts.filter((p) => p.back).length;
  const odd = parts.filter((p) => p.odd !== '').length;
  return (
    <Page
      title="Parts and hardware"
      eyebrow={piece.body.name}
      back={{ href: `/piece/${piece.id}`, label: piece.body.name }}
      list={<TrailList view={view} />}
    >
      {parts.length > 0 ? (
        <View style={styles.figures}>
          <Figure label="Back in place" value={`${back} of ${parts.length}`} />
          <Figure label="Odd ones" value={String(odd)} />
        </View>
      ) : (
        <Text>
          Write down what comes off before it is off: bag it, label it, and note the screw that is shorter
          than the rest. Tick each when it is back.
        </Text>
      )}
      <View>
        {parts.map((p) => (
          <PartRow
            key={p.id}
            part={p}
            parts={parts}
            photos={photos}
            onChange={(patch) => put(parts.map((o) => (o.id === p.id ? { ...o, ...patch } : o)))}
            onRemove={() => remove(p)}
          />
        ))}
      </View>
      <LitCard eyebrow="On the tray" title="Add what you take off">
        <Chips<Part['kind']>
          label="What is it?"
          options={optionsOf(KINDS)}
          value={draft.kind}
          onChange={(kind) => setDraft({ ...draft, kind })}
        />
        <TextField
          label="Label on the bag"
          help="Left empty, the next letter is taken."
          value={draft.label}
          onChange={(label) => setDraft({ ...draft, label })}
          most={120}
        />
        <TextField
          label="Where it came from"
          value={draft.from}
          onChange={(from) => setDraft({ ...draft, from })}
          most={300}
        />
        <Stepper
          label="How many"
          value={draft.count}
          onChange={(count) => setDraft({ ...draft, count })}
          least={1}
          most={999}
        />
        <PartLength part={draft} onChange={(lengthMm) => setDraft({ ...draft, lengthMm })} />
        <TextField
          label="Odd one out"
          help="Such as: one is 3 mm shorter and sits at the lock."
          value={draft.odd}
          onChange={(text) => setDraft({ ...draft, odd: text })}
          most={300}
        />
        <Button label="Put it on the tray" kind="main" onPress={add} />
      </LitCard>
    </Page>
  );
}

function PartLength({
  part,
  onChange,
}: {
  part: Omit<Part, 'id'>;
  onChange: (mm: number | undefined) => void;
}) {
  const { unit } = useUnits();
  return (
    <LengthField
      label={part.kind === 'screw' ? 'Length of the screws' : 'Length, if it matters'}
      help="Leave it empty, or type 0, when it does not matter."
      valueMm={part.lengthMm}
      unit={unit}
      check={(mm) => {
        if (mm < 0 || mm > 3000) throw new RangeError('A length lies between 0 mm and 3000 mm.');
      }}
      onChange={(mm) => onChange(mm >= 1 ? mm : undefined)}
    />
  );
}

function PartRow({
  part,
  parts,
  photos,
  onChange,
  onRemove,
}: {
  part: Part;
  parts: readonly Part[];
  photos: readonly { id: string; label: string }[];
  onChange: (patch: Partial<Part>) => void;
  onRemove: () => void;
}) {
  const theme = useTheme();
  const { length } = useUnits();
  const what = [
    `${part.count} × ${KINDS[part.kind].toLowerCase()}`,
    part.lengthMm === undefined ? '' : length(part.lengthMm),
    part.from,
  ].filter(Boolean);
  return (
    <View style={[styles.part, { borderColor: theme.line }]}>
      <View style={styles.line}>
        <Pressable
          role="checkbox"
          aria-checked={part.back}
          aria-label={`${part.label} is back in its place`}
          onPress={() => onChange({ back: !part.back })}
          style={[
            styles.box,
            { borderColor: theme.control, backgroundColor: part.back ? theme.verdigris : 'transparent' },
          ]}
        >
          <Text kind="strong" tone={part.back ? 'onChosen' : 'ink'}>
            {part.back ? '✓' : ''}
          </Text>
        </Pressable>
        <View style={styles.grow}>
          <Text kind="strong">{part.label}</Text>
          <Text kind="quiet">{what.join(' · ')}</Text>
          {part.odd ? <Text tone="oxblood">{`Odd one out: ${part.odd}`}</Text> : null}
        </View>
      </View>
      <Fold title="How it is held, and where it was">
        <PartHold part={part} parts={parts} photos={photos} onChange={onChange} />
      </Fold>
      <Fold title="Change or take off the tray">
        <TextField
          label="Label"
          value={part.label}
          onChange={(label) => onChange({ label: label.trim() || part.label })}
          most={120}
        />
        <TextField
          label="Where it came from"
          value={part.from}
          onChange={(from) => onChange({ from })}
          most={300}
        />
        <TextField
          label="Odd one out"
          value={part.odd}
          onChange={(text) => onChange({ odd: text })}
          most={300}
        />
        <PartLength part={part} onChange={(lengthMm) => onChange({ lengthMm })} />
        <Button
          label="Take it off the tray"
          name={`Take ${part.label} off the tray`}
          kind="danger"
          onPress={onRemove}
        />
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
  part: { borderBottomWidth: 1, paddingVertical: 8 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  grow: { flex: 1 },
  box: {
    width: 48,
    height: 48,
    borderWidth: 1.5,
    borderRadius: 6,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
