import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import type { Lab } from '@/core/colour';
import { CARRIERS, COLOUR_KINDS, learnedWords, STRENGTH_HELP, STRENGTH_LIMITS, roleOf, swatchDoubt, type Carrier, type ColourKind } from '@/core/shelf'; // prettier-ignore
import { readColour } from '@/instruments';
import { type Colour } from '@/records';
import { Button, Chips, FilePick, Stepper, Text, TextField, useSay } from '@/ui';
import { call } from '@/worker';
import { keepPhoto } from '../shared/keepPhoto';
import { LinkRow } from '../shared/LinkRow';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { PhotoSwatch, Swatch, Tone } from '../shared/Swatch';
import { useAct } from '../shared/useAct';
import { useLatest } from '../shared/useLatest';
import { useDelete } from '../shared/useDelete';
import { useChange } from '../shared/useChange';
import { useShelf } from '../shared/useShelf';

const AXES = [
  { label: 'Lightness L*, black 0, white 100', least: 0, most: 100 },
  { label: 'Red a* (green is below 0)', least: -100, most: 100 },
  { label: 'Yellow b* (blue is below 0)', least: -100, most: 100 },
] as const;

/** One product of the colour shelf. */
export function ColourScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { shelf, fit, loading } = useShelf();
  const change = useChange();
  const act = useAct();
  const erase = useDelete();
  const say = useSay();
  const record = shelf.find((c) => c.id === id);
  const put = useLatest((patch: Partial<Colour>) => change(record, patch));
  if (!record) return <Missing what="This colour" loading={loading} />;
  const { body } = record;
  // What has been changed is no longer out of the starter shelf.
  const set = (patch: Partial<Colour>): void => void change(record, { ...patch, general: undefined });
  const use = roleOf(body.kind);
  const photo = (file: File): Promise<void> =>
    act(async () => {
      const { id: pictureId } = await keepPhoto(file);
      const read = await call('swatchTones', { pictureId });
      const { lab, pictureId: before, general } = body;
      set({ pictureId, lab: read.mean });
      const doubt = swatchDoubt(read, 'product');
      if (doubt)
        say({
          text: doubt,
          action: { label: 'Undo', run: () => void put.current({ lab, pictureId: before, general }) },
        });
    });
  const setAxis = (axis: number, value: number): void => {
    const [l, a, b] = body.lab.map((v, i) => (i === axis ? value : v));
    const lab: Lab = [l ?? 0, a ?? 0, b ?? 0];
    set({ lab });
  };
  const remove = (): Promise<void> => erase([{ kind: 'colour', id: record.id }], body.name, '/colours');
  const learned = fit ? learnedWords(fit, record.id) : undefined;
  return (
    <Page
      title={body.name}
      eyebrow="Colour shelf"
      back={{ href: '/colours', label: 'Colour shelf' }}
      list={
        <View style={{ padding: 16 }}>
          {shelf.map((c) => (
            <LinkRow
              key={c.id}
              href={`/colours/${c.id}`}
              title={c.body.name}
              detail={COLOUR_KINDS[c.body.kind].label}
              mark={<Swatch lab={c.body.lab} name={c.body.name} size={28} />}
            />
          ))}
        </View>
      }
    >
      <View style={{ flexDirection: 'row', gap: 16, flexWrap: 'wrap' }}>
        <View style={{ width: 150 }}>
          <Tone lab={body.lab} label={`L* ${body.lab.map((v) => Math.round(v)).join(', ')}`} />
        </View>
        {body.pictureId ? <PhotoSwatch pictureId={body.pictureId} name={body.name} /> : null}
      </View>
      <Text kind="quiet">{COLOUR_KINDS[body.kind].help}</Text>
      <FilePick
        label={body.pictureId ? 'Take its colour from another photo' : 'Take its colour from a photo'}
        accept="image/png,image/jpeg"
        onFile={photo}
      />
      <Button
        label="Read it with the colour reader"
        kind="quiet"
        onPress={() => act(async () => set({ lab: (await readColour()).lab }))}
      />
      {learned ? <Text>{learned}</Text> : null}
      {body.general ? (
        <Text kind="quiet">A general kind, its colour from memory. Change it to your own tin.</Text>
      ) : null}
      <TextField
        label="Name"
        value={body.name}
        onChange={(name) => set({ name: name.trim() || body.name })}
        most={120}
      />
      <Chips<ColourKind>
        label="What it is"
        options={(Object.keys(COLOUR_KINDS) as ColourKind[]).map((value) => ({
          value,
          label: COLOUR_KINDS[value].label,
        }))}
        value={body.kind}
        onChange={(kind) => set({ kind })}
      />
      <Chips<Carrier>
        label="Thinned with"
        options={(Object.keys(CARRIERS) as Carrier[]).map((value) => ({ value, label: CARRIERS[value] }))}
        value={body.carrier}
        onChange={(carrier) => set({ carrier })}
      />
      {AXES.map(({ label, least, most }, axis) => (
        <Stepper
          key={label}
          label={label}
          value={body.lab[axis] ?? 0}
          least={least}
          most={most}
          decimals={1}
          onChange={(value) => setAxis(axis, value)}
        />
      ))}
      <Stepper
        label="Strength"
        help={STRENGTH_HELP[use]}
        value={body.strength}
        least={STRENGTH_LIMITS.least}
        most={STRENGTH_LIMITS.most}
        step={STRENGTH_LIMITS.step[use]}
        decimals={2}
        onChange={(strength) => set({ strength })}
      />
      <TextField
        label="Note"
        help="Which tin, how it was thinned, where it was bought."
        value={body.note}
        onChange={(note) => set({ note })}
        lines={2}
      />
      <Button label="Delete this colour" kind="danger" onPress={remove} />
    </Page>
  );
}
