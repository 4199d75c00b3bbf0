import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { woodName } from '@/core/wood';
import { createRecord, importVeneers, STOCK_COLUMNS, useList, useShop, veneersIn, type Stored, type Veneer } from '@/records'; // prettier-ignore
import { Button, FilePick, LitCard, Progress, Section, Text } from '@/ui';
import { keepPhoto } from '../shared/keepPhoto';
import { Page, Pane, useWide } from '../shared/Page';
import { ListFold } from '../shared/ListFold';
import { AsideNotice } from '../shared/AsideNotice';
import { PhotoSwatch } from '../shared/Swatch';
import { LinkRow } from '../shared/LinkRow';
import { BoardsSection } from './BoardsSection';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';

/** The veneers and boards in the shop. */
export function StockScreen() {
  const { records, loading } = useList('veneer');
  const { length } = useUnits();
  const { shop } = useShop();
  const act = useAct();
  const [busy, setBusy] = useState(false);
  const wide = useWide();
  const add = (file?: File): Promise<void> =>
    act(async () => {
      setBusy(true);
      try {
        const body: Veneer = {
          name: `Veneer ${records.length + 1}`,
          species: 'walnut',
          thicknessMm: 0.6,
          alongMm: 300,
          acrossMm: 150,
          note: '',
        };
        if (file) {
          body.pictureId = (await keepPhoto(file)).id;
        }
        const record = await createRecord('veneer', body);
        router.push(`/stock/${record.id}`);
      } finally {
        setBusy(false);
      }
    });
  const detail = ({ body }: Stored<'veneer'>): string =>
    `${woodName(body.species)}, ${length(body.alongMm)} along × ${length(body.acrossMm)} across${body.pictureId ? '' : ', no photo'}`;
  return (
    <Page
      title="Stock"
      eyebrow="Veneers on the shelf, boards in the rack"
      board={
        wide && records.length > 0 ? (
          <Pane>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 20 }}>
              {records.map((v) => (
                <View key={v.id} style={{ width: 200, gap: 4 }}>
                  <PhotoSwatch pictureId={v.body.pictureId} name={v.body.name} size={200} />
                  <Text kind="strong">{v.body.name}</Text>
                  <Text kind="quiet">{`${length(v.body.thicknessMm)} thick`}</Text>
                </View>
              ))}
            </View>
          </Pane>
        ) : undefined
      }
    >
      <AsideNotice kinds={['veneer', 'lumber']} />
      <LitCard eyebrow={records.length === 0 ? 'Now' : 'Grow the stock'} title="Photograph a veneer">
        <Text>
          Square on, filling the picture, in the light in which you photograph the faces. Its colour and
          figure are read from the photo.
        </Text>
        {busy ? (
          <Progress label="Opening the photo" fraction={0.5} />
        ) : (
          <FilePick
            label="Add a veneer from a photo"
            accept="image/png,image/jpeg"
            kind="main"
            onFile={add}
          />
        )}
      </LitCard>
      <View>
        <LinkRow
          href="/colours"
          title="Colour shelf"
          detail="Sticks, dyes, glazes and toners: recipes are worked out in them"
        />
        <LinkRow
          href="/stock/cutting"
          title="Cutting plan"
          detail="Which sheet and board is promised to which repair, what is left, what must be bought"
        />
      </View>
      <Section title="On the shelf">
        {records.length === 0 && !loading ? (
          <Text kind="quiet">
            Nothing yet. The ranking for a patch needs at least one sheet with a photo.
          </Text>
        ) : null}
        <View>
          {records.map((v) => (
            <LinkRow
              key={v.id}
              href={`/stock/${v.id}`}
              title={v.body.name}
              detail={detail(v)}
              value={length(v.body.thicknessMm)}
              mark={<PhotoSwatch pictureId={v.body.pictureId} name={v.body.name} size={56} />}
            />
          ))}
        </View>
        <Button label="Add a veneer without a photo" kind="quiet" onPress={() => add()} />
        <ListFold
          kind={{
            columns: STOCK_COLUMNS,
            help: 'Lengths are read in your unit, or in the unit that a heading or a cell names.',
            words: ['veneer', 'veneers'],
            read: (table, mapping) => veneersIn(table, mapping, shop.lengthUnit),
            row: (v) => ({
              title: v.name,
              detail: `${v.species || 'wood not said'}, ${length(v.alongMm)} along × ${length(v.acrossMm)} across`,
              value: length(v.thicknessMm),
            }),
            take: (veneers) => importVeneers(veneers),
          }}
        />
      </Section>
      <BoardsSection />
    </Page>
  );
}
