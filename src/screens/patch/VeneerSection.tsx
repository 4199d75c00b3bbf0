import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { matchSchool, rankForPatch, rankForPiece, type PatchToMatch } from '@/core/job';
import { describeSource } from '@/core/sources';
import { SCHOOLS } from '@/core/terms';
import {
  SHIM_SHEET_MM,
  STOCK_PARTS,
  STOCK_WEIGHTS,
  STOCK_WEIGHTS_SOURCE,
  type Patch,
  type StockPart,
  type StockRank,
} from '@/core/veneer';
import { useList, type Piece, type Stored } from '@/records';
import { Button, Chips, Notice, Progress, Section, Text, useTheme } from '@/ui';
import { PhotoSwatch, Tone } from '../shared/Swatch';
import { useUnits } from '../shared/useUnits';
import { useOldCard, useOldCards, useStockCards } from '../shared/useWorkshop';

/** A patch of the piece where it lies. */
export type PatchPlace = {
  damage: Stored<'damage'>;
  face: Stored<'face'>;
  onFace: readonly Stored<'damage'>[];
  patch: Patch;
};

const PARTS = Object.keys(STOCK_PARTS).filter((p): p is StockPart => p in STOCK_PARTS);

/** The stock ranked for a patch, each part of the score shown; what is not ranked can be taken by hand. */
export function VeneerSection({
  damage,
  face,
  onFace,
  piece,
  patch,
  together,
  onChoose,
}: {
  damage: Stored<'damage'>;
  face: Stored<'face'>;
  onFace: readonly Stored<'damage'>[];
  piece: Piece;
  patch: Patch | undefined;
  /** All patches of the piece that are decided, this one too. */
  together: readonly PatchPlace[];
  onChoose: (veneerId: string) => void;
}) {
  const { length } = useUnits();
  const { records } = useList('veneer');
  const old = useOldCard(damage, face, onFace);
  const { stock, loading } = useStockCards();
  const [all, setAll] = useState(false);
  const cards = useOldCards(all ? together : []);
  const chosen = damage.body.patch.veneerId;
  const matched = together.flatMap((p): PatchToMatch[] => {
    const card = cards.get(p.damage.id);
    return card ? [{ damageId: p.damage.id, old: card, patch: p.patch, face: p.face.body }] : [];
  });
  const ranking =
    stock.length === 0
      ? undefined
      : all && matched.length > 0
        ? rankForPiece(matched, piece, stock)
        : patch && old.card
          ? rankForPatch(old.card, patch, face.body, piece, stock)
          : undefined;
  const ranked = ranking?.ok ? ranking.value.ranked : [];
  const byHand = records.filter((v) => !ranked.some((r) => r.id === v.id));
  const school = matchSchool(piece);
  const weights = STOCK_WEIGHTS[school];
  return (
    <Section
      title="The veneer to cut it from"
      help="Nearest first. Lighter goes before darker: colour is added, not removed."
    >
      {old.loading || loading ? (
        <Progress label="Reading figure and colour from the photos" fraction={0.5} />
      ) : null}
      {old.problem ? (
        <Notice kind="stop" title="The old wood could not be read">
          {old.problem}
        </Notice>
      ) : null}
      {!face.body.picture ? (
        <Notice kind="rest">
          The face has no photo, so its figure and colour are not known. Add a photo to rank your stock.
        </Notice>
      ) : null}
      {records.length === 0 ? (
        <View style={{ gap: 12 }}>
          <Text>
            There is no veneer in the stock yet. Photograph what you have, with its thickness and size.
          </Text>
          <Button label="Open the stock" onPress={() => router.push('/stock')} />
        </View>
      ) : null}
      {old.card ? (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Tone lab={old.card.tones.ground} label="Old ground" />
          <Tone lab={old.card.tones.mid} label="Old, whole" />
          <Tone lab={old.card.tones.line} label="Old lines" />
        </View>
      ) : null}
      {!old.loading && !loading && byHand.length > 0 ? (
        <Chips
          label={ranked.length > 0 ? 'Or one that is not ranked' : 'Choose it by hand'}
          help="Hold it against the old wood in the light the piece will stand in."
          options={byHand.map((v) => ({ value: v.id, label: v.body.name }))}
          value={chosen}
          onChange={onChoose}
        />
      ) : null}
      {together.length > 1 ? (
        <Chips
          label="Ranked for"
          options={[
            { value: false, label: 'This place' },
            { value: true, label: `All ${together.length} patches of the piece, from one sheet` },
          ]}
          value={all}
          onChange={setAll}
        />
      ) : null}
      {ranking && !ranking.ok ? <Notice kind="stop">{ranking.problem}</Notice> : null}
      {ranked.length > 0 ? (
        <View>
          {ranked.map((match, i) => {
            const veneer = records.find((v) => v.id === match.id);
            return veneer ? (
              <VeneerChoice
                key={match.id}
                rank={i + 1}
                veneer={veneer}
                match={match}
                chosen={match.id === chosen}
                onChoose={() => onChoose(match.id)}
              />
            ) : null;
          })}
          <Text kind="label">
            {`Weights of “${SCHOOLS[school].label}”: ${PARTS.map((p) => `${STOCK_PARTS[p].toLowerCase()} ${Math.round(100 * weights[p])} %`).join(', ')}. ${describeSource(STOCK_WEIGHTS_SOURCE)}`}
          </Text>
          <Text kind="label">{`A shim sheet counts ${length(SHIM_SHEET_MM.value)}. ${describeSource(SHIM_SHEET_MM.source)}`}</Text>
        </View>
      ) : null}
    </Section>
  );
}

function VeneerChoice({
  rank,
  veneer,
  match,
  chosen,
  onChoose,
}: {
  rank: number;
  veneer: Stored<'veneer'>;
  match: StockRank['ranked'][number];
  chosen: boolean;
  onChoose: () => void;
}) {
  const theme = useTheme();
  const { name, pictureId } = veneer.body;
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={`${name}, ${Math.round(match.score)} of 100, colour difference ${match.deltaE00.toFixed(1)}`}
      onPress={onChoose}
      style={[styles.choice, { borderColor: theme.line }, chosen && { backgroundColor: theme.verdigrisFill }]}
    >
      <View style={styles.row}>
        <PhotoSwatch pictureId={pictureId} name={name} />
        <View style={styles.text}>
          <Text kind="strong">{`${rank}. ${name}${chosen ? ' (chosen)' : ''}`}</Text>
          <Text kind="quiet">{match.why.join(' ')}</Text>
        </View>
        <View style={styles.end}>
          <Text kind="number">{String(Math.round(match.score))}</Text>
          <Text kind="label">of 100</Text>
        </View>
      </View>
      <View style={styles.parts}>
        {PARTS.map((part) => (
          <View key={part} style={styles.part}>
            <View style={[styles.track, { backgroundColor: theme.line }]}>
              <View
                style={[
                  styles.bar,
                  { width: `${100 * match.parts[part]}%`, backgroundColor: theme.verdigris },
                ]}
              />
            </View>
            <Text kind="label">{STOCK_PARTS[part]}</Text>
          </View>
        ))}
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  choice: { gap: 8, paddingVertical: 10, borderBottomWidth: 1, minHeight: 88 },
  row: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  text: { flex: 1 },
  end: { alignItems: 'flex-end' },
  parts: { flexDirection: 'row', gap: 6 },
  part: { flex: 1, gap: 2 },
  track: { height: 6, borderRadius: 3, overflow: 'hidden' },
  bar: { height: 6 },
});
