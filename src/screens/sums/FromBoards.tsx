import { View } from 'react-native';
import Svg, { Line, Polygon, Rect } from 'react-native-svg';
import { lumberPlan, takeWords, type Blanks, type LumberTake } from '@/core/letin';
import { removeRecords, useList, type Lumber, type Stored } from '@/records';
import { Button, materials, Notice, Section, Text, useSay, useTheme } from '@/ui';
import { LinkRow } from '../shared/LinkRow';
import { useAct } from '../shared/useAct';
import { useChange } from '../shared/useChange';
import { useLatest } from '../shared/useLatest';
import { useUnits } from '../shared/useUnits';

/** Which boards of the rack give the blocks, how they lie on them, and what is left. */
export function FromBoards({ blanks, species, kerfMm }: { blanks: Blanks; species: string; kerfMm: number }) {
  const { records, loading } = useList('lumber');
  const { length } = useUnits();
  if (loading) return null;
  const boards = records.map(({ id, body }) => ({ id, ...body }));
  const { takes, missing } = lumberPlan({
    blanks,
    boards: boards.map(({ id, species: wood, alongMm, acrossMm, thickMm }) => ({ id, species: wood, alongMm, acrossMm, thickMm })), // prettier-ignore
    species,
    kerfMm,
  });
  return (
    <Section title="From which board">
      {records.length === 0 ? (
        <LinkRow
          href="/stock"
          title="No boards in the rack yet"
          detail="Add them to the stock, and the blocks are laid out on the one of which least is spent"
        />
      ) : null}
      {takes.map((take) => {
        const board = records.find((b) => b.id === take.id);
        return board ? <Take key={take.id} board={board} take={take} blanks={blanks} /> : null;
      })}
      {records.length > 0 && missing > 0 ? (
        <Notice
          kind="rest"
          title={missing === blanks.count ? 'No board gives it' : `${missing} of ${blanks.count} are missing`}
        >
          {`It takes wood of ${length(blanks.alongMm)} along the grain, ${length(blanks.acrossMm)} across and ${length(blanks.thickMm)} thick, or a board glued up to that.`}
        </Notice>
      ) : null}
    </Section>
  );
}

/** One board with its blocks; what is sawn off it is taken from the stock. */
function Take({ board, take, blanks }: { board: Stored<'lumber'>; take: LumberTake; blanks: Blanks }) {
  const { length } = useUnits();
  const act = useAct();
  const say = useSay();
  const change = useChange();
  const put = useLatest((patch: Partial<Lumber>) => change(board, patch));
  const { alongMm, name } = board.body;
  const sawn = (): Promise<void> =>
    act(async () => {
      const undo =
        take.leftMm > 0
          ? (await change(board, { alongMm: take.leftMm })) && ((): unknown => put.current({ alongMm }))
          : await removeRecords([{ kind: 'lumber', id: board.id }]);
      if (!undo) return;
      say({
        text:
          take.leftMm > 0
            ? `${name} is ${length(take.leftMm)} long now.`
            : `${name} is used up and left the stock.`,
        action: { label: 'Undo', run: () => act(undo) },
      });
    });
  return (
    <View style={{ gap: 8 }}>
      <Text kind="strong" verbatim>
        {name}
      </Text>
      <BoardDrawing board={board.body} take={take} blanks={blanks} />
      <Text>{takeWords(take, length)}</Text>
      {take.sameWood ? null : (
        <Text kind="quiet">It is another wood than the face: look at its pores and colour first.</Text>
      )}
      <Button label={`Saw it off ${name}`} kind="quiet" onPress={sawn} />
    </View>
  );
}

/** The board to scale with its blocks from one end, the grain along it, and the cut. */
function BoardDrawing({ board, take, blanks }: { board: Lumber; take: LumberTake; blanks: Blanks }) {
  const theme = useTheme();
  const { alongMm, acrossMm } = board;
  const thin = alongMm / 320;
  const tall = Math.max(acrossMm, 24 * thin);
  return (
    <View
      role="img"
      aria-label={`The board to scale with ${take.places.length} ${take.places.length === 1 ? 'block' : 'blocks'} at its end and the line of the cut`}
    >
      <Svg
        width="100%"
        height={Math.min(160, (330 * tall) / alongMm)}
        viewBox={`${-2 * thin} ${-2 * thin} ${alongMm + 4 * thin} ${tall + 4 * thin}`}
      >
        <Rect
          x={0}
          y={0}
          width={alongMm}
          height={acrossMm}
          fill={materials.veneer}
          stroke={theme.ink}
          strokeWidth={thin}
        />
        {[0.2, 0.4, 0.6, 0.8].map((y) => (
          <Line
            key={y}
            x1={0}
            x2={alongMm}
            y1={y * acrossMm}
            y2={y * acrossMm}
            stroke={materials.shade}
            strokeWidth={thin / 2}
          />
        ))}
        {take.places.map(({ alongMm: x, acrossMm: y }) => (
          <Polygon
            key={`${x} ${y}`}
            points={`${x},${y} ${x + blanks.alongMm},${y} ${x + blanks.alongMm},${y + blanks.acrossMm} ${x},${y + blanks.acrossMm}`}
            fill={materials.core}
            stroke={theme.ink}
            strokeWidth={thin}
          />
        ))}
        <Line
          x1={take.cutOffMm}
          x2={take.cutOffMm}
          y1={0}
          y2={acrossMm}
          stroke={theme.oxblood}
          strokeWidth={1.5 * thin}
          strokeDasharray={`${6 * thin} ${4 * thin}`}
        />
      </Svg>
    </View>
  );
}
