import { useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { CONDITION_FORMULA, CONDITION_SOURCE, type Condition } from '@/core/condition';
import { DAMAGE_KINDS } from '@/core/damage';
import { jpegBytes, toHtml, type Page as Sheet } from '@/core/print';
import { describeSource } from '@/core/sources';
import { browserStore, localNow, useShop, type Stored } from '@/records';
import { Button, Figure, LitCard, Progress, Section, Text, useTheme } from '@/ui';
import { FaceBoard } from '../shared/FaceBoard';
import { LongList } from '../shared/LongList';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { download, fileName, printHtml } from '@/instruments';
import { LinkRow } from '../shared/LinkRow';
import { TrailList } from '../shared/Trail';
import { useFacePictures } from '../shared/useFacePictures';
import { usePdf } from '../shared/usePdf';
import { usePieceView, type PieceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { reportPages, type ReportPictures } from '@/core/papers';
import { boardOf, conditionFor, damageLabel, measuredWords } from '@/core/job';

/** The photos of a piece and its faces as they were taken, beside the faces drawn square on. */
async function photosOf(view: PieceView): Promise<ReportPictures['photos']> {
  const ids = [view.piece, ...view.faces].flatMap((r) => r?.body.photos ?? []).map((p) => p.pictureId);
  const photos = new Map<string, { jpeg: Uint8Array; aspect: number }>();
  for (const id of ids) {
    const stored = await browserStore.get('picture', id);
    if (stored)
      photos.set(id, {
        jpeg: jpegBytes(stored.body.jpeg),
        aspect: stored.body.widthPx / stored.body.heightPx,
      });
  }
  return photos;
}

/** The condition of a piece: score, every face with its damages, the worst first; on paper as a report. */
export function ReportScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = usePieceView(id);
  const { shop } = useShop();
  const pdf = usePdf();
  const units = useUnits();
  const { progress, withFaces } = useFacePictures(view);
  const { piece, faces, damages } = view;
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const title = `Condition of ${piece.body.name}`;
  const name = `${fileName(piece.body.name)}-condition`;
  const whole = conditionFor(damages, faces);
  const make = (give: (pages: Sheet[]) => Promise<void> | void): void =>
    withFaces(async (drawn) => {
      const pictures = { faces: drawn, photos: await photosOf(view) };
      await give(reportPages({ ...view, piece }, pictures, shop.paper, units, localNow().slice(0, 10)));
    });
  return (
    <Page
      title="Condition report"
      eyebrow={piece.body.name}
      back={{ href: `/piece/${piece.id}`, label: piece.body.name }}
      list={<TrailList view={view} />}
    >
      <View style={styles.head}>
        <Score condition={whole} />
        <Figure label="Damages" value={String(whole.count)} />
        <Figure
          label="Damaged area"
          value={units.area(whole.damagedMm2)}
          note={`${(100 * whole.share).toFixed(1)} % of the faces`}
        />
        <Figure
          label="Getting worse"
          value={String(whole.byGravity[3])}
          note="by themselves"
          alarm={whole.byGravity[3] > 0}
        />
      </View>
      <LitCard eyebrow="For the owner" title="On paper">
        <Text>Score, a map of every face with numbered damages, measurements, repairs and reasons.</Text>
        {progress === undefined ? (
          <View style={styles.row}>
            <Button
              label="Report as PDF"
              kind="main"
              onPress={() => make((pages) => pdf(title, pages, `${name}.pdf`))}
            />
            <Button label="Print it" onPress={() => make((pages) => printHtml(toHtml(title, pages)))} />
            <Button
              label="Save it as a page"
              kind="quiet"
              onPress={() => make((pages) => download(toHtml(title, pages), `${name}.html`, 'text/html'))}
            />
          </View>
        ) : (
          <Progress label="Drawing the faces square on" fraction={progress} />
        )}
      </LitCard>
      <Section title="The worst first">
        <View>
          <LongList items={whole.worst}>
            {(w) => {
              const d = damages.find((o) => o.id === w.id);
              const face = faces.find((f) => f.id === d?.body.faceId);
              return d ? (
                <LinkRow
                  key={w.id}
                  href={`/damage/${d.id}/decide`}
                  title={damageLabel(d.body)}
                  detail={`${face?.body.name ?? 'On no face yet'}: ${measuredWords(d, face, units)}`}
                  value={`−${w.points}`}
                />
              ) : null;
            }}
          </LongList>
        </View>
        {whole.worst.length === 0 ? <Text kind="quiet">No damage has been marked on this piece.</Text> : null}
        <Text kind="quiet">{CONDITION_FORMULA}</Text>
        <Text kind="label">{describeSource(CONDITION_SOURCE)}</Text>
      </Section>
      {faces.map((f) => (
        <FaceReport key={f.id} face={f} onFace={damages.filter((d) => d.body.faceId === f.id)} />
      ))}
      {whole.byKind.length > 0 ? (
        <Section title="By kind">
          {whole.byKind.map((k) => (
            <Text key={k.kind}>{`${k.count} × ${DAMAGE_KINDS[k.kind].label.toLowerCase()}`}</Text>
          ))}
        </Section>
      ) : null}
    </Page>
  );
}

function FaceReport({ face, onFace }: { face: Stored<'face'>; onFace: readonly Stored<'damage'>[] }) {
  const { area } = useUnits();
  const own = conditionFor(onFace, [face]);
  const board = boardOf(face.body);
  return (
    <Section title={face.body.name}>
      {board.ok ? (
        <View style={styles.map}>
          <FaceBoard
            face={face}
            damages={onFace}
            still
            label={`Map of ${face.body.name}`}
            phoneHeight={260}
            wideHeight={340}
          />
        </View>
      ) : (
        <Text kind="quiet">{board.problem}</Text>
      )}
      <Text>
        {`Score ${own.score} of 100. ${own.count} ${own.count === 1 ? 'damage' : 'damages'} over ${area(own.damagedMm2)}, ${(100 * own.share).toFixed(1)} % of the face.`}
      </Text>
    </Section>
  );
}

/** The score as a figure and a bar; the bar's colour only repeats what the number says. */
function Score({ condition }: { condition: Condition }) {
  const theme = useTheme();
  return (
    <View style={styles.score}>
      <Figure label="Condition" value={String(condition.score)} unit="of 100" />
      <View style={[styles.track, { backgroundColor: theme.line }]}>
        <View
          style={{
            height: 8,
            width: `${condition.score}%`,
            backgroundColor: condition.score < 50 ? theme.oxblood : theme.verdigris,
          }}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
  score: { minWidth: 140, gap: 4 },
  track: { height: 8, borderRadius: 4, overflow: 'hidden' },
  map: { marginHorizontal: -8 },
});
