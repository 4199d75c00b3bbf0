import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { VENEER_RANGE_MM } from '@/core/method';
import { useList, useOne, type Veneer } from '@/records';
import { Button, Chips, FilePick, Fold, LengthField, Notice, Text, TextField } from '@/ui';
import { keepPhoto } from '../shared/keepPhoto';
import { cautionsFor } from '@/core/safety';
import { CalibrateFold } from '../shared/CalibrateFold';
import { Cautions } from '../shared/Cautions';
import { Missing } from '../shared/Missing';
import { Page } from '../shared/Page';
import { PhotoSwatch, Tone } from '../shared/Swatch';
import { LinkRow } from '../shared/LinkRow';
import { Harvest, ThicknessReadings } from './VeneerFacts';
import { WhatIsLeft } from './WhatIsLeft';
import { WoodChips } from '../shared/WoodChips';
import { useAct } from '../shared/useAct';
import { useDelete } from '../shared/useDelete';
import { useChange } from '../shared/useChange';
import { useUnits } from '../shared/useUnits';
import { useStockTones, useWoodCard } from '../shared/useWorkshop';
import { lengthBetween } from '@/core/units';
import { cardWords } from '@/core/veneer';

/** One veneer: its photo, thickness and size. */
export function VeneerScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { record, loading } = useOne('veneer', id);
  const { records } = useList('veneer');
  const { tones } = useStockTones();
  const change = useChange();
  const act = useAct();
  const erase = useDelete();
  const { unit, length } = useUnits();
  const card = useWoodCard(record?.body.pictureId, record?.body.photoWideMm);
  if (!record) return <Missing what="This veneer" loading={loading} />;
  const { body } = record;
  const set = (patch: Partial<Veneer>): Promise<boolean> => change(record, patch);
  const read = tones.get(record.id);
  const risks = cautionsFor(['buyWood'], { species: body.species });
  const photo = (file: File): Promise<void> =>
    act(async () => {
      const { id: pictureId } = await keepPhoto(file);
      // Another photo shows another length of the sheet.
      set({ pictureId, photoWideMm: undefined });
    });
  const remove = (): Promise<void> => erase([{ kind: 'veneer', id: record.id }], body.name, '/stock');
  const size = (what: string) => (mm: number) => {
    if (mm < 5)
      throw new RangeError(`The ${what} has ${length(mm)}; a usable sheet has at least ${length(5)}.`);
  };
  return (
    <Page
      title={body.name}
      eyebrow="Veneer in stock"
      back={{ href: '/stock', label: 'Stock' }}
      list={
        <View style={{ padding: 16 }}>
          {records.map((v) => (
            <LinkRow
              key={v.id}
              href={`/stock/${v.id}`}
              title={v.body.name}
              detail={length(v.body.thicknessMm)}
            />
          ))}
        </View>
      }
    >
      {risks.length > 1 ? <Cautions ids={risks} title="Before you buy, sell or send it" /> : null}
      <View style={{ flexDirection: 'row', gap: 16, flexWrap: 'wrap' }}>
        <PhotoSwatch pictureId={body.pictureId} name={body.name} size={160} />
        <View style={{ flex: 1, minWidth: 150, gap: 8 }}>
          {read ? (
            <View style={{ flexDirection: 'row', gap: 8 }}>
              <Tone lab={read.ground} label="Ground" />
              <Tone lab={read.line} label="Lines" />
            </View>
          ) : body.pictureId ? (
            <Text kind="quiet">Reading its colour.</Text>
          ) : (
            <Notice kind="rest">Without a photo it cannot be ranked by colour.</Notice>
          )}
          <FilePick
            label={body.pictureId ? 'Take another photo' : 'Add a photo'}
            accept="image/png,image/jpeg"
            onFile={photo}
          />
        </View>
      </View>
      {body.pictureId ? (
        <View style={{ flexDirection: 'row', gap: 16, flexWrap: 'wrap', alignItems: 'center' }}>
          {body.wipedPictureId ? (
            <PhotoSwatch pictureId={body.wipedPictureId} name={`${body.name}, wiped with spirits`} />
          ) : null}
          <View style={{ flex: 1, minWidth: 200, gap: 4 }}>
            <Text kind="quiet">
              {body.wipedPictureId
                ? 'Its colour is compared as it looks wiped with spirits: so it will under a clear finish.'
                : 'Wiped with spirits, bare wood looks as it will under a clear finish. Photograph it so as well, and its colour is compared by that.'}
            </Text>
            <FilePick
              label={body.wipedPictureId ? 'Take the wiped photo again' : 'Add a photo of it wiped'}
              accept="image/png,image/jpeg"
              onFile={(file) => act(async () => void set({ wipedPictureId: (await keepPhoto(file)).id }))}
            />
            {body.wipedPictureId ? (
              <Button
                label="Compare it dry again"
                kind="quiet"
                onPress={() => set({ wipedPictureId: undefined })}
              />
            ) : null}
          </View>
        </View>
      ) : null}
      <TextField
        label="Name"
        value={body.name}
        onChange={(name) => set({ name: name.trim() || body.name })}
        most={120}
      />
      <WoodChips value={body.species} onChange={(species) => set({ species })} />
      <LengthField
        label="Thickness"
        help="Measure a stack of five with a caliper and divide."
        valueMm={body.thicknessMm}
        unit={unit}
        check={(mm) => {
          if (mm < VENEER_RANGE_MM.least || mm > VENEER_RANGE_MM.most)
            throw new RangeError(
              `A veneer of ${length(mm)} cannot be; it lies between ${length(VENEER_RANGE_MM.least)} and ${length(VENEER_RANGE_MM.most)}.`,
            );
        }}
        onChange={(thicknessMm) => set({ thicknessMm })}
      />
      <LengthField
        label="Usable length along the grain"
        valueMm={body.alongMm}
        unit={unit}
        check={size('length')}
        onChange={(alongMm) => set({ alongMm })}
      />
      <LengthField
        label="Usable width across the grain"
        valueMm={body.acrossMm}
        unit={unit}
        check={size('width')}
        onChange={(acrossMm) => set({ acrossMm })}
      />
      {body.pictureId ? (
        <LengthField
          label="The photo shows, from left to right"
          help="Square on, its grain running from left to right, with a rule along the lower edge. Then the best spot for a patch is found to scale."
          valueMm={body.photoWideMm ?? 0}
          unit={unit}
          check={lengthBetween('What the photo shows', 5, 5000)}
          onChange={(photoWideMm) => set({ photoWideMm })}
        />
      ) : null}
      {card ? <Text>{cardWords(card, length)}</Text> : null}
      {body.pictureId ? (
        <CalibrateFold pictureId={body.pictureId} onPicture={({ id: pictureId }) => set({ pictureId })} />
      ) : null}
      <WhatIsLeft key={record.id} veneer={record} />
      <Fold title="How it was cut, and from where">
        <Chips
          label="It was"
          help="Old veneers were sawn, later ones are sliced with a knife; a repair that conserves takes the same."
          options={[
            { value: 'sawn', label: 'Sawn' },
            { value: 'knife', label: 'Cut with a knife' },
          ]}
          value={body.cut}
          onChange={(cut) => set({ cut })}
        />
        <TextField
          label="Period"
          help="In your own words, as on the faces it shall match."
          value={body.period ?? ''}
          most={60}
          onChange={(period) => set({ period: period.trim() || undefined })}
        />
        <ThicknessReadings veneer={body} onChange={set} />
        <Harvest veneer={body} onChange={set} />
      </Fold>
      <TextField
        label="Note"
        help="Where it came from, how old it is."
        value={body.note}
        onChange={(note) => set({ note })}
        lines={2}
      />
      <Button label="Delete this veneer" kind="danger" onPress={remove} />
    </Page>
  );
}
