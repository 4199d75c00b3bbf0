import { useState } from 'react';
import { View } from 'react-native';
import {
  guessColumns,
  importVeneers,
  readTable,
  STOCK_COLUMNS,
  useShop,
  veneersIn,
  type Mapping,
  type StockColumn,
  type Table,
} from '@/records';
import { Button, Chips, FilePick, Fold, Notice, Row, Text, useSay } from '@/ui';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';

/** No column. */
const NONE = -1;
const SHOWN = 5;

/** Veneers from a list that a spreadsheet saved: which column is what, what comes of it, then whether to take it. */
export function ListFold() {
  const act = useAct();
  const [list, setList] = useState<{ name: string; table: Table; mapping: Mapping }>();
  const open = (file: File): void =>
    act(async () => {
      const table = readTable(await file.text(), file.name);
      setList({ name: file.name, table, mapping: guessColumns(table.header) });
    });
  return (
    <Fold title="Read in a list from a spreadsheet">
      <Text kind="quiet">
        Save the list as CSV. Its first row names the columns; lengths are read in your unit, or in the unit
        that a heading or a cell names.
      </Text>
      <FilePick label="Choose a CSV list" accept=".csv,text/csv,text/plain" onFile={open} />
      {list ? (
        <Chosen
          key={list.name}
          {...list}
          onMapping={(mapping) => setList({ ...list, mapping })}
          onDone={() => setList(undefined)}
        />
      ) : null}
    </Fold>
  );
}

function Chosen({
  name,
  table,
  mapping,
  onMapping,
  onDone,
}: {
  name: string;
  table: Table;
  mapping: Mapping;
  onMapping: (mapping: Mapping) => void;
  onDone: () => void;
}) {
  const { shop } = useShop();
  const { length } = useUnits();
  const act = useAct();
  const say = useSay();
  const { veneers, refused } = veneersIn(table, mapping, shop.lengthUnit);
  const pick = (column: StockColumn, at: number): void => {
    const { [column]: _, ...others } = mapping;
    onMapping(at === NONE ? others : { ...others, [column]: at });
  };
  const take = (): void =>
    act(async () => {
      const undo = await importVeneers(veneers);
      onDone();
      say({
        text: `${veneers.length} ${veneers.length === 1 ? 'veneer' : 'veneers'} came onto the shelf.`,
        action: { label: 'Undo', run: () => act(undo) },
      });
    });
  return (
    <View style={{ gap: 16 }}>
      <Text kind="strong" verbatim>{`${name}: ${table.rows.length} rows`}</Text>
      {(Object.keys(STOCK_COLUMNS) as StockColumn[]).map((column) => (
        <Chips<number>
          key={column}
          label={`${STOCK_COLUMNS[column].label}${STOCK_COLUMNS[column].needed ? '' : ', if there is one'}`}
          options={[
            ...table.header.map((h, value) => ({ value, label: h || `Column ${value + 1}` })),
            { value: NONE, label: 'None' },
          ]}
          value={mapping[column] ?? NONE}
          onChange={(at) => pick(column, at)}
        />
      ))}
      <View>
        {veneers.slice(0, SHOWN).map((v, i) => (
          <Row
            key={i}
            title={v.name}
            detail={`${v.species || 'wood not said'}, ${length(v.alongMm)} along × ${length(v.acrossMm)} across`}
            value={length(v.thicknessMm)}
          />
        ))}
      </View>
      {veneers.length > SHOWN ? <Text kind="quiet">{`And ${veneers.length - SHOWN} more.`}</Text> : null}
      {refused.length > 0 ? (
        <Notice
          kind="stop"
          title={`${refused.length} of ${table.rows.length} rows are no veneer and stay out`}
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
          label={`Take ${veneers.length} onto the shelf`}
          kind="main"
          disabled={veneers.length === 0}
          onPress={take}
        />
        <Button label="Leave it" onPress={onDone} />
      </View>
    </View>
  );
}
