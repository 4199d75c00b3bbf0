import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import useSWR from 'swr';
import type { OwnStep } from '@/core/bench';
import type { Lab } from '@/core/colour';
import { boardOf, viewOf } from '@/core/job';
import { EVEN_SOURCE, type EvenPlan } from '@/core/pigment';
import {
  CLOSE_ENOUGH,
  differenceWords,
  evenForPlan,
  evenGoalWords,
  evenInput,
  evenOutlook,
  evenSteps,
  outlookWords,
  withEvenSteps,
} from '@/core/shelf';
import { describeSource } from '@/core/sources';
import { newId, type Stored } from '@/records';
import { Button, Figure, FilePick, Notice, Progress, Section, Stepper, Text, TextField, useSay } from '@/ui';
import { call } from '@/worker';
import { EmptyShelf } from '../blend/EmptyShelf';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { Tone } from '../shared/Swatch';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';
import { usePieceView } from '../shared/usePiece';
import { namesOf, useShelf } from '../shared/useShelf';
import { Figures } from '../special/parts';
import { useComputed } from '../shared/useComputed';

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
        const tones = await call('tonesWithin', { view, place: outline, face: outline }).catch(
          () => undefined,
        );
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
  const change = useChange();
  const say = useSay();
  const [name, setName] = useState('');
  const [within, setWithin] = useState(CLOSE_ENOUGH.start.value);
  const { piece } = view;
  const own = piece?.body.evenParts ?? [];
  const parts = [...fromFaces, ...own.map((p, i): Part => ({ id: `photo${i + 1}`, ...p }))];
  const input = evenInput(parts, shelf, fit, within);
  const { data: plan, error } = useComputed('colour.even', input);
  const undo = useLatest((ownSteps: OwnStep[]) => change(piece, { ownSteps }));
  const put = useLatest((evenParts: typeof own) => change(piece, { evenParts }));
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const add = (file: File): Promise<void> =>
    act(async () => {
      const { mean } = await call('fileTones', { file, name: file.name });
      await put.current([...own, { name: name.trim() || `Part ${own.length + 1}`, lab: mean }]);
      setName('');
    });
  const leaveOut = (index: number): void => {
    void put.current(own.filter((_, i) => i !== index));
    say({
      text: `${own[index]?.name ?? 'The part'} is left out.`,
      action: { label: 'Undo', run: () => void put.current(own) },
    });
  };
  const partName = (partId: string): string => parts.find((p) => p.id === partId)?.name ?? '';
  const productName = namesOf(shelf);
  const isFace = (partId: string): boolean => fromFaces.some((f) => f.id === partId);
  const intoPlan = (of: EvenPlan): Promise<void> =>
    act(async () => {
      const before = piece.body.ownSteps ?? [];
      const coats = evenForPlan(of, productName, partName, isFace).map((s) => ({ ...s, id: newId() }));
      const ownSteps = withEvenSteps(before, coats);
      if (await change(piece, { ownSteps }))
        say({
          text: `${coats.length === 1 ? 'One step stands' : `${coats.length} steps stand`} in the plan and at the bench.`,
          action: { label: 'Undo', run: () => void undo.current(before) },
        });
    });
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
        {own.map((p, i) => (
          <Button
            key={`${p.name} ${i}`}
            label={`Leave out ${p.name}`}
            kind="quiet"
            onPress={() => leaveOut(i)}
          />
        ))}
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
          {evenSteps(plan, productName, partName).map((step) => (
            <Text key={step}>{step}</Text>
          ))}
          <Text kind="strong">{evenGoalWords(plan, partName)}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {plan.parts.map((p) => (
              <Tone key={p.id} lab={p.lab} label={`${partName(p.id)}, then`} wide />
            ))}
          </View>
          <Text>{plan.words}</Text>
          {plan.steps.length > 0 ? (
            <Button label="Put these coats in the plan" kind="main" onPress={() => intoPlan(plan)} />
          ) : null}
        </Section>
      ) : null}
    </Page>
  );
}
