import { useState } from 'react';
import { View } from 'react-native';
import { deltaE00 } from '@/core/colour';
import { predictedBoard, boardWords } from '@/core/shelf';
import type { Fit } from '@/core/pigment';
import { type Stored } from '@/records';
import { Button, Fold, SearchField, Text } from '@/ui';
import { Tone } from '../shared/Swatch';
import { namesOf } from '../shared/useShelf';
import { useDelete } from '../shared/useDelete';

/** The test boards, looked through by wood, product or name. */
export function BoardList({
  boards,
  shelf,
  fit,
}: {
  boards: readonly Stored<'board'>[];
  shelf: readonly Stored<'colour'>[];
  fit: Fit | undefined;
}) {
  const [text, setText] = useState('');
  const erase = useDelete();
  const nameOf = namesOf(shelf);
  const wanted = text.trim().toLowerCase();
  const found = boards.filter(({ body }) =>
    `${body.name} ${body.wood} ${boardWords(body, nameOf)} ${body.note}`.toLowerCase().includes(wanted),
  );
  const remove = (board: Stored<'board'>): Promise<void> =>
    erase([{ kind: 'board', id: board.id }], board.body.name);
  return (
    <View style={{ gap: 12 }}>
      <SearchField label="Find a board" value={text} onChange={setText} />
      {found.map((board) => {
        const { body } = board;
        const now = fit ? predictedBoard(body, shelf, fit) : undefined;
        return (
          <Fold key={board.id} title={`${body.name}, on ${body.wood || 'a wood that is not said'}`}>
            <View style={{ flexDirection: 'row', gap: 8 }}>
              <Tone lab={body.ground} label="Bare" />
              <Tone lab={body.measured} label="As it came out" />
              {now ? <Tone lab={now} label="As it would be expected now" /> : null}
            </View>
            <Text>{boardWords(body, nameOf)}</Text>
            {now ? (
              <Text kind="quiet">{`Expected and measured differ by ${deltaE00(now, body.measured).toFixed(1)} ΔE00.`}</Text>
            ) : null}
            {body.note ? <Text verbatim>{body.note}</Text> : null}
            <Button
              label="Delete this board"
              name={`Delete ${body.name}`}
              kind="danger"
              onPress={() => remove(board)}
            />
          </Fold>
        );
      })}
      {found.length === 0 ? <Text kind="quiet">No board says that.</Text> : null}
    </View>
  );
}
