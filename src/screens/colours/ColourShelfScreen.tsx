import { router } from 'expo-router';
import { View } from 'react-native';
import { hexFromLab } from '@/core/colour';
import { COLOUR_KINDS, starterColours, STARTER_SHELF, roleOf, type ColourUse } from '@/core/shelf';
import { describeSource } from '@/core/sources';
import { COLOUR_COLUMNS, coloursIn, createRecord, importColours, type Colour } from '@/records';
import { Button, LitCard, Section, Text, useSay } from '@/ui';
import { AsideNotice } from '../shared/AsideNotice';
import { LinkRow } from '../shared/LinkRow';
import { Page } from '../shared/Page';
import { Swatch } from '../shared/Swatch';
import { useAct } from '../shared/useAct';
import { useShelf } from '../shared/useShelf';
import { BoardList } from './BoardList';
import { ListFold } from '../shared/ListFold';

const GROUPS: readonly { title: string; uses: readonly ColourUse[]; help: string }[] = [
  {
    title: 'To fill with',
    uses: ['mix'],
    help: 'Sticks, waxes, putties, fillers and paints, mixed in whole parts.',
  },
  {
    title: 'To colour with',
    uses: ['dye', 'glaze', 'toner'],
    help: 'Dyes, stains, glazes and toners, laid on in thin coats.',
  },
  { title: 'To finish with', uses: ['clear'], help: 'Clear finishes: they darken bare wood too.' },
];

const NEW: Colour = {
  name: 'New colour',
  kind: 'stick',
  carrier: 'none',
  lab: [50, 12, 25],
  strength: 1,
  note: '',
};

/** Everything that colours: sticks, dyes, glazes, toners, clears. */
export function ColourShelfScreen() {
  const { shelf, boards, fit, loading } = useShelf();
  const act = useAct();
  const say = useSay();
  const add = (): Promise<void> =>
    act(async () => {
      const record = await createRecord('colour', NEW);
      router.push(`/colours/${record.id}`);
    });
  const start = (): Promise<void> =>
    act(async () => {
      const undo = await importColours(starterColours());
      say({
        text: `${STARTER_SHELF.value.length} general colours stand on the shelf.`,
        action: { label: 'Undo', run: () => act(undo) },
      });
    });
  return (
    <Page
      title="Colour shelf"
      eyebrow="Sticks, dyes, glazes, toners"
      back={{ href: '/stock', label: 'Stock' }}
    >
      <AsideNotice kinds={['colour', 'board']} />
      {!loading && shelf.length === 0 ? (
        <LitCard eyebrow="Now" title="Put your colours on the shelf">
          <Text>
            Recipes are worked out in the sticks, dyes and toners you own. Begin with general kinds and change
            them to your tins, or enter your own.
          </Text>
          <Button label="Begin with a starter shelf" kind="main" onPress={start} />
          <Text kind="quiet">{describeSource(STARTER_SHELF.source)}</Text>
        </LitCard>
      ) : null}
      {GROUPS.map(({ title, uses, help }) => {
        const rows = shelf.filter((c) => uses.includes(roleOf(c.body.kind)));
        return rows.length > 0 ? (
          <Section key={title} title={title} help={help}>
            <View>
              {rows.map((c) => (
                <LinkRow
                  key={c.id}
                  href={`/colours/${c.id}`}
                  title={c.body.name}
                  detail={`${COLOUR_KINDS[c.body.kind].label}${c.body.general ? ', a general kind' : ''}`}
                  mark={<Swatch lab={c.body.lab} name={c.body.name} />}
                />
              ))}
            </View>
          </Section>
        ) : null;
      })}
      <Button label="Add a colour" kind={shelf.length > 0 ? 'main' : 'plain'} onPress={add} />
      <ListFold
        kind={{
          columns: COLOUR_COLUMNS,
          help: 'A colour is written as #8b5a2b, or as L a b.',
          words: ['colour', 'colours'],
          read: coloursIn,
          row: (c) => ({ title: c.name, detail: COLOUR_KINDS[c.kind].label, value: hexFromLab(c.lab) }),
          take: (colours) => importColours(colours),
        }}
      />
      {boards.length > 0 ? (
        <Section title="Test boards" help="What was laid on which wood, and what came of it.">
          <BoardList boards={boards} shelf={shelf} fit={fit} />
        </Section>
      ) : null}
    </Page>
  );
}
