import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import useSWR from 'swr';
import type { Lab } from '@/core/colour';
import { boardOf, viewOf } from '@/core/job';
import { EVEN_SOURCE, type EvenPlan } from '@/core/pigment';
import { CLOSE_ENOUGH, differenceWords, evenInput, evenOutlook, outlookWords } from '@/core/shelf';
import { describeSource } from '@/core/sources';
import type { Stored } from '@/records';
import { Figure, FilePick, Notice, Progress, Section, Stepper, Text, TextField } from '@/ui';
import { computeInWorker, fileTones, tonesOfPlace } from '@/worker';
import { EmptyShelf } from '../blend/EmptyShelf';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { Tone } from '../shared/Swatch';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { usePieceView } from '../shared/usePiece';
import { namesOf, useShelf } from '../shared/useShelf';
import { Figures } from '../special/parts';

type Part = { id: string; name: string; lab: Lab };

/** Colours of the faces that have a photo; a photo that cannot be read leaves its face out. */
function useFaceColours(faces: readonly Stored<'face'>[]): { parts: Part[]; loading: boolean } {
  const seen = faces.flatMap((f) => {
    const board = boardOf(f.body);
    const pictureId = f.body.picture?.id;
    return board.ok && pictureId
      ? [
          {
            id: f.id,
            name: f.body.name,
            view: viewOf(board.value, pictureId),
            outline: board.value.plane.outline,
          },
        ]
      : [];
  });
  const key = seen.length > 0 ? ['face-colours', JSON.stringify(seen)] : null;
  const { data, isLoading } = useSWR<Part[]>(key, async () => {
    const read = await Promise.all(
      seen.map(async ({ id, name, view, outline }): Promise<Part[]> => {
        const tones = await tonesOfPlace(view, outline, outline).catch(() => undefined);
        return tones ? [{ id, name, lab: tones.mean }] : [];
      }),
    );
    return read.flat();
  });
  return { parts: data ?? [], loading: isLoading };
}

/** Parts of different woods, or of one top, brought to one colour with products that go on all of them. */
export function EvenScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = usePieceView(id);
  const { parts: fromFaces, loading } = useFaceColours(view.faces);
  const { shelf, fit } = useShelf();
  const act = useAct();
  const [own, setOwn] = useState<readonly Part[]>([]);
  const [name, setName] = useState('');
  const [within, setWithin] = useState(CLOSE_ENOUGH.start.value);
  const parts = [...fromFaces, ...own];
  const input = evenInput(parts, shelf, fit, within);
  const { data: plan, error } = useSWR<EvenPlan, Error>(
    input ? ['even', JSON.stringify(input)] : null,
    async () => (await computeInWorker('colour.even', input)) as EvenPlan,
    { keepPreviousData: true, revalidateOnFocus: false, shouldRetryOnError: false },
  );
  const { piece } = view;
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const add = (file: File): void =>
    act(async () => {
      const { mean } = await fileTones(file, file.name);
      const number = own.length + 1;
      setOwn([...own, { id: `photo${number}`, name: name.trim() || `Part ${number}`, lab: mean }]);
      setName('');
    });
  const partName = (partId: string): string => parts.find((p) => p.id === partId)?.name ?? '';
  const productName = namesOf(shelf);
  return (
    <Page
      title="Even out its parts"
      eyebrow={piece.body.name}
      back={{ href: `/piece/${piece.id}`, label: piece.body.name }}
      list={<TrailList view={view} />}
    >
      <Text kind="quiet">{describeSource(EVEN_SOURCE)}</Text>
      {loading ? <Progress label="Reading the colours from the photos" fraction={0.5} /> : null}
      {parts.length > 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {parts.map((p) => (
            <Tone key={p.id} lab={p.lab} label={p.name} wide />
          ))}
        </View>
      ) : null}
      <Section
        title="Another part"
        help="Wipe it with spirits, or photograph it under its finish like the others: filling the picture, in the same light."
      >
        <TextField label="Name of the part" value={name} most={60} onChange={setName} />
        <FilePick label="Add a part from a photo" accept="image/png,image/jpeg" onFile={add} />
      </Section>
      <Stepper
        label="They may differ by"
        unit="ΔE00"
        value={within}
        least={CLOSE_ENOUGH.least.value}
        most={CLOSE_ENOUGH.most.value}
        onChange={setWithin}
      />
      {!loading && parts.length < 2 ? (
        <Notice kind="rest" title="Two parts at least">
          Faces with a photo are parts on their own; add the others from a photo.
        </Notice>
      ) : null}
      {parts.length >= 2 && !input ? (
        <EmptyShelf
          title="No dye, glaze or toner on the shelf yet"
          what="which of them evens the parts out"
        />
      ) : null}
      {error ? <Notice kind="stop">{error.message}</Notice> : null}
      {input && plan ? (
        <Section title="In this order">
          <Figures>
            <Figure label="They differ by" value={plan.before.toFixed(1)} unit="ΔE00" />
            <Figure
              label="Afterwards"
              value={differenceWords(evenOutlook(plan, input.parts))}
              unit="ΔE00"
              note={outlookWords(evenOutlook(plan, input.parts))}
              alarm={!plan.reached}
            />
          </Figures>
          {plan.steps.map(({ productId, on }, i) => (
            <Text key={productId}>
              {`${i + 1}. ${productName(productId)}: ${on.map((o) => `${o.coats === 1 ? 'one thin coat' : `${o.coats} thin coats`} on ${partName(o.partId)}`).join(', ')}.`}
            </Text>
          ))}
          <Text kind="strong">
            {plan.steps.length === 0
              ? 'They are as near to each other as your products bring them: nothing goes on.'
              : `${partName(plan.goal)} stays as it is; the others are brought to it.`}
          </Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {plan.parts.map((p) => (
              <Tone key={p.id} lab={p.lab} label={`${partName(p.id)}, then`} wide />
            ))}
          </View>
          <Text>{plan.words}</Text>
        </Section>
      ) : null}
    </Page>
  );
}
