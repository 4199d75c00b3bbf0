import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { FINISH_GOALS, RESTS, SCHOOLS } from '@/core/terms';
import { cautionsFor, HAZARDS, type Hazard } from '@/core/safety';
import { useClimate } from '@/instruments';
import { createRecord, newFace, type Piece, type Stored } from '@/records';
import {
  Button,
  CheckChips,
  Chips,
  DateField,
  FilePick,
  Fold,
  optionsOf,
  Progress,
  Section,
  Text,
  TextField,
} from '@/ui';
import { keepPhoto } from '../shared/keepPhoto';
import { AsideNotice } from '../shared/AsideNotice';
import { Cautions } from '../shared/Cautions';
import { AirFields, COMMON_HOME } from '../shared/air';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { Photos } from '../shared/Photos';
import { LinkRow } from '../shared/LinkRow';
import { TrailList } from '../shared/Trail';
import { useAct } from '../shared/useAct';
import { useDelete } from '../shared/useDelete';
import { useChange } from '../shared/useChange';
import { useSaving } from '../data/useSaving';
import { usePieceView } from '../shared/usePiece';
import { surfaceRisk } from '@/core/job';

/** A piece's own facts, and its faces. */
export function AboutScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = usePieceView(id);
  const change = useChange();
  const act = useAct();
  const erase = useDelete();
  const [busy, setBusy] = useState(false);
  const { climate } = useClimate();
  const { piece, faces } = view;
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const set = (patch: Partial<Piece>): Promise<boolean> => change(piece, patch);
  const parts = piece.body.parts ?? [];
  // Old paint on any face is the first thing to know at intake.
  const worst = faces.find((f) => f.body.finishNow === 'paint') ?? faces[0];
  const home = piece.body.home ?? COMMON_HOME;
  const addFace = (file?: File): Promise<void> =>
    act(async () => {
      setBusy(true);
      try {
        const body = newFace(piece.id, faces.length === 0 ? 'Top' : `Face ${faces.length + 1}`);
        if (file) {
          body.picture = await keepPhoto(file);
        }
        const face = await createRecord('face', body);
        router.push(`/face/${face.id}`);
      } finally {
        setBusy(false);
      }
    });
  const remove = (): Promise<void> =>
    erase(
      [
        { kind: 'piece', id: piece.id },
        ...view.faces.map((f) => ({ kind: 'face' as const, id: f.id })),
        ...view.damages.map((d) => ({ kind: 'damage' as const, id: d.id })),
        ...view.log.map((l) => ({ kind: 'log' as const, id: l.id })),
      ],
      piece.body.name,
      '/',
    );
  return (
    <Page
      title="About this piece"
      eyebrow={piece.body.name}
      back={{ href: `/piece/${piece.id}`, label: piece.body.name }}
      list={<TrailList view={view} />}
    >
      <AsideNotice kinds={['face', 'damage', 'log']} of={piece.id} />
      <TextField
        label="Name"
        value={piece.body.name}
        onChange={(name) => set({ name: name.trim() || piece.body.name })}
        most={120}
      />
      <TextField label="Owner" value={piece.body.client} onChange={(client) => set({ client })} most={120} />
      <Chips
        label="School"
        help={SCHOOLS[piece.body.school].aim}
        options={optionsOf(SCHOOLS)}
        value={piece.body.school}
        onChange={(school) => set({ school })}
      />
      <Chips
        label="Finish in the end"
        options={optionsOf(FINISH_GOALS)}
        value={piece.body.goal}
        onChange={(goal) => set({ goal })}
      />
      <DateField
        label="To be ready by"
        value={piece.body.deadline}
        onChange={(deadline) => set({ deadline })}
      />
      <View style={{ gap: 8 }}>
        <Text kind="strong">What is in it, or feared of it</Text>
        <CheckChips<Hazard>
          label="What is in it, or feared of it"
          options={optionsOf(HAZARDS)}
          values={piece.body.holds ?? []}
          onChange={(holds) => set({ holds })}
        />
      </View>
      <Cautions
        ids={cautionsFor(['openInside', 'clean', 'buyWood'], surfaceRisk(piece.body, worst?.body))}
        title="Before you open, clean or move it"
      />
      <TextField label="Notes" value={piece.body.note} onChange={(note) => set({ note })} lines={3} />
      <Section
        title="Faces"
        help="Each face is photographed once, square on or from an angle, in even light. Lay something of known size on it."
      >
        <View>
          {faces.map((f) => (
            <LinkRow
              key={f.id}
              href={`/face/${f.id}`}
              title={f.body.name}
              detail={f.body.picture ? 'With a photo' : 'Without a photo'}
            />
          ))}
        </View>
        {busy ? <Progress label="Opening the photo" fraction={0.5} /> : null}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
          <FilePick
            label="Add a face from a photo"
            accept="image/png,image/jpeg"
            kind={faces.length === 0 ? 'main' : 'plain'}
            onFile={addFace}
          />
          <Button label="Add a face without a photo" kind="quiet" onPress={() => addFace()} />
        </View>
      </Section>
      <View>
        <LinkRow
          href={`/piece/${piece.id}/parts`}
          title="Parts and hardware"
          detail="What was taken off, and where it goes back"
          value={parts.length > 0 ? `${parts.filter((p) => p.back).length}/${parts.length}` : ''}
        />
        <Fold title="The air where it lives">
          <Text kind="quiet">
            A crack opens in the driest month and closes in the dampest. Ask the owner, or lay a
            thermo-hygrometer there for a year.
          </Text>
          {(['dry', 'damp'] as const).map((season) => (
            <AirFields
              key={season}
              title={season === 'dry' ? 'Driest month' : 'Dampest month'}
              air={home[season]}
              {...(climate ? { reading: climate } : {})}
              onChange={(air) => set({ home: { ...home, [season]: air } })}
            />
          ))}
        </Fold>
        <Photos
          title="Photos of the whole piece"
          photos={piece.body.photos ?? []}
          onChange={(photos) => set({ photos })}
        />
      </View>
      <KeepFold piece={piece} onRest={(rest) => set({ rest })} />
      <Fold title="Delete this piece">
        <Text kind="quiet">Its faces, damages and log go with it. You can undo it right after.</Text>
        <Button label="Delete this piece" kind="danger" onPress={remove} />
      </Fold>
    </Page>
  );
}

/** A piece put to sleep or away, and a piece as a file of its own. */
function KeepFold({ piece, onRest }: { piece: Stored<'piece'>; onRest: (rest: Piece['rest']) => void }) {
  const { going, cancel, save } = useSaving({ id: piece.id, name: piece.body.name });
  const { rest } = piece.body;
  return (
    <>
      <Fold title="Put it to sleep, or away">
        <Chips<'no' | NonNullable<Piece['rest']>>
          label="This piece"
          help="A piece that sleeps or was handed back is not planned at the bench and costs no time there. All that is known of it stays."
          options={[{ value: 'no', label: 'Is in work' }, ...optionsOf(RESTS)]}
          value={rest ?? 'no'}
          onChange={(value) => onRest(value === 'no' ? undefined : value)}
        />
      </Fold>
      <Fold title="Save this piece to a file">
        <Text kind="quiet">
          A small file of this piece alone, with its photos, to send or to keep. “Your data” in the shop reads
          it in.
        </Text>
        {going ? (
          <Progress label={going.label} fraction={going.fraction} onCancel={cancel} />
        ) : (
          <Button label="Save this piece to a file" onPress={save} />
        )}
      </Fold>
    </>
  );
}
