import { useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { describeSource } from '@/core/sources';
import { lowerFirst, SCHOOLS } from '@/core/terms';
import { WAY_IDS, WAYS, WAYS_SOURCE, waysThatMatter, type WayId } from '@/core/ways';
import type { Piece } from '@/records';
import { Chips, Fold, Text, useTheme } from '@/ui';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useChange';
import { usePieceView } from '../shared/usePiece';
import { chainFor, linksOfChain, waysOf } from '@/core/job';

/** Where practitioners disagree: both ways with their reasons, and the one that this piece's plan takes. */
export function WaysScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = usePieceView(id);
  const change = useChange();
  const { piece, faces, damages, shop } = view;
  if (!piece) return <Missing what="This piece" loading={view.loading} />;
  const repairs = damages.map((d) => {
    const face = faces.find((f) => f.id === d.body.faceId)?.body;
    const onFace = damages.filter((o) => o.body.faceId === d.body.faceId).map((o) => o.body);
    const chain = chainFor(piece.body, face, d.body, onFace, shop);
    return { kind: d.body.kind, methods: chain ? linksOfChain(chain) : [] };
  });
  const matter = waysThatMatter({ goal: piece.body.goal, faces: faces.map((f) => f.body), repairs });
  const rest = WAY_IDS.filter((w) => !matter.includes(w));
  const choose = (way: WayId, value: string): Promise<boolean> =>
    change(piece, { ways: { ...piece.body.ways, [way]: value } });
  return (
    <Page
      title="Where the trade disagrees"
      eyebrow={`${piece.body.name} · ${SCHOOLS[piece.body.school].label.toLowerCase()}`}
      back={{ href: `/piece/${piece.id}`, label: piece.body.name }}
      list={<TrailList view={view} />}
    >
      <Text>
        On these questions good practitioners differ. Both ways are shown with their reasons; the plan takes
        the one that the school of this piece would, until you switch it.
      </Text>
      {matter.map((w) => (
        <Question key={w} id={w} piece={piece.body} onChoose={choose} />
      ))}
      {rest.length > 0 ? (
        <Fold title={`Not for this piece as it stands (${rest.length})`}>
          <View style={styles.list}>
            {rest.map((w) => (
              <Question key={w} id={w} piece={piece.body} onChoose={choose} />
            ))}
          </View>
        </Fold>
      ) : null}
      <Text kind="quiet">{describeSource(WAYS_SOURCE)}</Text>
    </Page>
  );
}

function Question({
  id,
  piece,
  onChoose,
}: {
  id: WayId;
  piece: Piece;
  onChoose: (id: WayId, value: string) => void;
}) {
  const theme = useTheme();
  const { question, changes, ways, suggested } = WAYS[id];
  const taken: string = waysOf(piece)[id];
  const own: string = suggested[piece.school];
  const list = Object.entries(ways);
  return (
    <View style={styles.question}>
      <Text kind="heading">{question}</Text>
      <View style={styles.list}>
        {list.map(([value, way]) => (
          <View
            key={value}
            style={[styles.way, { borderColor: value === taken ? theme.lampEdge : theme.line }]}
          >
            <Text kind="strong">{`${way.label}${value === taken ? ' (this plan)' : ''}`}</Text>
            <Text>{way.why}</Text>
            <Text kind="quiet">{`Fits: ${way.fits}`}</Text>
          </View>
        ))}
      </View>
      <Chips
        label={`This plan takes${taken === own ? `, as its school does` : ', as you switched it'}`}
        help={`It changes ${lowerFirst(changes)}`}
        options={list.map(([value, way]) => ({ value, label: way.label }))}
        value={taken}
        onChange={(value) => onChoose(id, value)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  question: { gap: 10 },
  list: { gap: 12 },
  way: { borderLeftWidth: 4, paddingLeft: 12, gap: 2 },
});
