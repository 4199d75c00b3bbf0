import { router, useLocalSearchParams } from 'expo-router';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Circle, G, Line, Polygon as SvgPolygon } from 'react-native-svg';
import { contains, type Point } from '@/core/geometry';
import type { TapMap } from '@/core/tapping';
import { Button, Figure, materials, Notice, Text } from '@/ui';
import { FaceBoard, inPicture, onFaceMm } from '../shared/FaceBoard';
import { problemOf, Trouble, type Problem } from '../shared/Trouble';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { TrailList } from '../shared/Trail';
import { useChange } from '../shared/useChange';
import { useDamageView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';
import { EarPanel } from './EarPanel';
import { useEar } from './useEar';
import { boardOf, damageLabel, outlineMm, type Board } from '@/core/job';
import { useComputed } from '../shared/useComputed';

type PlacedTap = { x: number; y: number; hollow: boolean };

/** The map of taps, worked out in the worker and again at each tap. */
function useTapMap(
  board: Board | undefined,
  taps: PlacedTap[],
): { map?: TapMap; problem?: Problem; behind: boolean } {
  const input = board ? { outline: board.plane.outline, taps } : undefined;
  const { data, error, isValidating, mutate } = useComputed('damage.tapmap', input);
  // The map of the taps before stays in sight while the new one is worked out.
  return {
    ...(data ? { map: data } : {}),
    ...(error ? { problem: problemOf(error, () => void mutate()) } : {}),
    behind: isValidating,
  };
}

/** Tapping across veneer: where it sounds solid and where hollow, what is loose, and where to tap next. */
export function TapScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const view = useDamageView(id);
  const change = useChange();
  const { area, length } = useUnits();
  const [aimed, setAimed] = useState<Point>();
  const answered = useRef<object>(undefined);
  const { damage, face, piece } = view;
  const result = face ? boardOf(face.body) : undefined;
  const board = result?.ok ? result.value : undefined;
  const taps = board
    ? (damage?.body.taps ?? []).map(({ at, hollow }): PlacedTap => {
        const [x, y] = onFaceMm(board, at);
        return { x, y, hollow };
      })
    : [];
  const { map, problem, behind } = useTapMap(board, taps);
  const spot = aimed ?? (map ? ([map.next.x, map.next.y] as const) : undefined);
  // The simulated bench sounds hollow where this damage is already marked.
  const marked = damage && board ? outlineMm(damage.body, board) : [];
  const ear = useEar(() => spot !== undefined && marked.length >= 3 && contains(marked, spot));
  if (!damage || !piece) return <Missing what="This damage" loading={view.loading} />;
  const back = { href: `/damage/${damage.id}` as const, label: 'Outline' };
  if (!face || !board) {
    return (
      <Page title="Tap map" eyebrow={damageLabel(damage.body)} back={back}>
        <Notice kind="rest">Taps are placed on the face to scale. Set the scale of the face first.</Notice>
      </Page>
    );
  }
  const stored = damage.body.taps ?? [];
  const heard = async (hollow: boolean): Promise<void> => {
    // The second tap of a hand at one proposed place tells nothing new; a place that was pointed at is meant.
    if (!spot || (!aimed && answered.current === map?.next)) return;
    answered.current = map?.next;
    const saving = change(damage, { taps: [...stored, { at: inPicture(board, spot), hollow }] });
    setAimed(undefined);
    ear.clear();
    await saving;
  };
  const proposed = ear.heard?.hollow;
  const [largest, ...others] = map?.looseOutlines ?? [];
  const take = (): void => {
    if (!largest) return;
    change(damage, { outline: largest.map((p) => inPicture(board, p)), mark: undefined });
    router.push(`/damage/${damage.id}`);
  };
  return (
    <Page
      title="Tap map"
      eyebrow={`${piece.body.name} · ${face.body.name}`}
      back={back}
      list={<TrailList view={view} />}
      board={
        <FaceBoard
          face={face}
          damages={[]}
          label="Face with taps. Tap to choose another place."
          phoneHeight={330}
          onTap={setAimed}
          over={(k) => <Taps taps={taps} loose={map?.looseOutlines ?? []} spot={spot} k={k} />}
        />
      }
    >
      <Text>
        Tap the wood at the cross with a knuckle or a fingernail, and say how it sounds. The cross goes where
        a tap tells most; touch the picture to tap elsewhere.
      </Text>
      {spot ? (
        <View testID="next-tap">
          <Text kind="label">{`The cross is ${length(spot[0])} from the left, ${length(spot[1])} from the top.`}</Text>
        </View>
      ) : null}
      <View style={styles.two}>
        <View style={styles.half}>
          <Button
            big
            label={proposed === false ? 'Solid?' : 'Solid'}
            kind={proposed === true ? 'plain' : 'main'}
            name="It sounds solid"
            disabled={!spot}
            onPress={() => heard(false)}
          />
        </View>
        <View style={styles.half}>
          <Button
            big
            label={proposed === true ? 'Hollow?' : 'Hollow'}
            kind={proposed === false ? 'plain' : 'main'}
            name="It sounds hollow"
            disabled={!spot}
            onPress={() => heard(true)}
          />
        </View>
      </View>
      <EarPanel ear={ear} />
      {problem ? <Trouble problem={problem} /> : null}
      {map && map.disputed.length > 0 ? (
        <Notice
          kind="rest"
          title={`${map.disputed.length === 1 ? 'One spot sounded' : `${map.disputed.length} spots sounded`} both solid and hollow`}
        >
          Both taps are kept and weighed. Tap there again, and more tell than fewer.
        </Notice>
      ) : null}
      {map ? (
        <View style={styles.figures}>
          <Figure
            label="Loose"
            value={area(map.looseMm2)}
            note={others.length > 0 ? `in ${others.length + 1} places` : ' '}
            source="Worked out here: taps as noisy readings of a field over the face (Gaussian process); a misheard tap is outvoted by its neighbours."
          />
          <Figure
            label="Still open"
            value={String(Math.round(map.openShare * 100))}
            unit="%"
            note="of the face"
          />
          <Figure label="Taps" value={String(taps.length)} />
        </View>
      ) : null}
      <View style={styles.two}>
        <Button
          label="Take back the last tap"
          disabled={stored.length === 0}
          onPress={() => change(damage, { taps: stored.slice(0, -1) })}
        />
        <Button label="Take this as the outline" disabled={!largest || behind} onPress={take} />
      </View>
      {others.length > 0 ? (
        <Text kind="quiet">
          The largest loose place becomes the outline. Outline each other one as a damage of its own.
        </Text>
      ) : null}
      <Text kind="quiet">
        Filled discs sounded solid, open rings hollow. The pale field is more likely loose than not.
      </Text>
    </Page>
  );
}

function Taps({
  taps,
  loose,
  spot,
  k,
}: {
  taps: PlacedTap[];
  loose: TapMap['looseOutlines'];
  spot: Point | undefined;
  k: number;
}) {
  const px = 1 / k;
  return (
    <G>
      {loose.map((o, i) => (
        <SvgPolygon
          key={i}
          points={o.map((p) => p.join(',')).join(' ')}
          fill={materials.lit}
          fillOpacity={0.35}
          stroke={materials.lit}
          strokeWidth={2 * px}
          strokeDasharray={`${2 * px} ${4 * px}`}
        />
      ))}
      {taps.map((t, i) => (
        <G key={i}>
          <Circle cx={t.x} cy={t.y} r={7 * px} fill={materials.badge} />
          <Circle
            cx={t.x}
            cy={t.y}
            r={4.5 * px}
            fill={t.hollow ? materials.badge : materials.onBadge}
            stroke={materials.onBadge}
            strokeWidth={1.5 * px}
          />
        </G>
      ))}
      {spot ? (
        <G>
          <Circle
            cx={spot[0]}
            cy={spot[1]}
            r={15 * px}
            fill="none"
            stroke={materials.badge}
            strokeWidth={5 * px}
          />
          <Circle
            cx={spot[0]}
            cy={spot[1]}
            r={15 * px}
            fill="none"
            stroke={materials.onBadge}
            strokeWidth={2.5 * px}
          />
          <Line
            x1={spot[0] - 22 * px}
            x2={spot[0] + 22 * px}
            y1={spot[1]}
            y2={spot[1]}
            stroke={materials.onBadge}
            strokeWidth={2 * px}
          />
          <Line
            x1={spot[0]}
            x2={spot[0]}
            y1={spot[1] - 22 * px}
            y2={spot[1] + 22 * px}
            stroke={materials.onBadge}
            strokeWidth={2 * px}
          />
        </G>
      ) : null}
    </G>
  );
}

const styles = StyleSheet.create({
  two: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
  half: { flex: 1, minWidth: 130 },
  figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
});
