import { useState } from 'react';
import { View } from 'react-native';
import { guessColumns, readTable, type ListColumn, type Listed, type Mapping, type Table } from '@/records';
import { Button, Chips, FilePick, Fold, Notice, Row, Text, useSay } from '@/ui';
import { useAct } from './useAct';

/** No column. */
const NONE = -1;
const SHOWN = 5;

/** What is read out of a list: its columns, how a row is shown, and how all of it is taken in. */
export type ListKind<C extends string, T> = {
  columns: Record<C, ListColumn>;
  help: string;
  /** “veneer” and “veneers”. */
  words: [one: string, many: string];
  read: (table: Table, mapping: Mapping<C>) => Listed<T>;
  row: (item: T) => { title: string; detail: string; value: string };
  /** Takes them in; the returned function takes them out again. */
  take: (items: readonly T[]) => Promise<() => Promise<unknown>>;
};

/** A list that a spreadsheet saved: which column is what, what comes of it, then whether to take it. */
export function ListFold<C extends string, T>({ kind }: { kind: ListKind<C, T> }) {
  const act = useAct();
  const [list, setList] = useState<{ name: string; table: Table; mapping: Mapping<C> }>();
  const open = (file: File): Promise<void> =>
    act(async () => {
      const table = readTable(await file.text(), file.name);
      setList({ name: file.name, table, mapping: guessColumns(table.header, kind.columns) });
    });
  return (
    <Fold title="Read in a list from a spreadsheet">
      <Text kind="quiet">{`Save the list as CSV. Its first row names the columns. ${kind.help}`}</Text>
      <FilePick label="Choose a CSV list" accept=".csv,text/csv,text/plain" onFile={open} />
      {list ? (
        <Chosen
          key={list.name}
          kind={kind}
          {...list}
          onMapping={(mapping) => setList({ ...list, mapping })}
          onDone={() => setList(undefined)}
        />
      ) : null}
    </Fold>
  );
}

function Chosen<C extends string, T>({
  kind,
  name,
  table,
  mapping,
  onMapping,
  onDone,
}: {
  kind: ListKind<C, T>;
  name: string;
  table: Table;
  mapping: Mapping<C>;
  onMapping: (mapping: Mapping<C>) => void;
  onDone: () => void;
}) {
  const act = useAct();
  const say = useSay();
  const { items, refused } = kind.read(table, mapping);
  const [one, many] = kind.words;
  const pick = (column: C, at: number): void => {
    onMapping({ ...mapping, [column]: at === NONE ? undefined : at });
  };
  const take = (): Promise<void> =>
    act(async () => {
      const undo = await kind.take(items);
      onDone();
      say({
        text: `${items.length} ${items.length === 1 ? one : many} came onto the shelf.`,
        action: { label: 'Undo', run: () => act(undo) },
      });
    });
  return (
    <View style={{ gap: 16 }}>
      <Text kind="strong" verbatim>{`${name}: ${table.rows.length} rows`}</Text>
      {(Object.keys(kind.columns) as C[]).map((column) => (
        <Chips<number>
          key={column}
          label={`${kind.columns[column].label}${kind.columns[column].needed ? '' : ', if there is one'}`}
          options={[
            ...table.header.map((h, value) => ({ value, label: h || `Column ${value + 1}` })),
            { value: NONE, label: 'None' },
          ]}
          value={mapping[column] ?? NONE}
          onChange={(at) => pick(column, at)}
        />
      ))}
      <View>
        {items.slice(0, SHOWN).map((item, i) => (
          <Row key={i} {...kind.row(item)} />
        ))}
      </View>
      {items.length > SHOWN ? <Text kind="quiet">{`And ${items.length - SHOWN} more.`}</Text> : null}
      {refused.length > 0 ? (
        <Notice
          kind="stop"
          title={`${refused.length} of ${table.rows.length} rows are no ${one} and stay out`}
        >
          <View style={{ gap: 4 }}>
            {refused.slice(0, SHOWN).map((r) => (
              <Text key={r.row} kind="quiet" verbatim>{`Row ${r.row}: ${r.reason}`}</Text>
            ))}
          </View>
        </Notice>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
        <Button
          label={`Take ${items.length} onto the shelf`}
          kind="main"
          disabled={items.length === 0}
          onPress={take}
        />
        <Button label="Leave it" onPress={onDone} />
      </View>
    </View>
  );
}
