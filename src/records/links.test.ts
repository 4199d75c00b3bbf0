import { linksOf, withoutMissing } from './links';
import { SHAPE_VERSION } from './schemas';
import type { Stored } from './types';

const SHEET: Stored<'veneer'> = {
  kind: 'veneer',
  id: 'v',
  version: SHAPE_VERSION,
  revision: 1,
  savedAt: '2026-03-02T10:00:00',
  body: {
    name: 'Ash',
    species: 'ash',
    thicknessMm: 0.6,
    alongMm: 300,
    acrossMm: 90,
    note: '',
    pictureId: 'dry',
    wipedPictureId: 'wet',
  },
};

test('a sheet points at both of its photos, and does without the one that is nowhere', () => {
  expect(linksOf(SHEET).map((l) => l.id)).toEqual(['dry', 'wet']);
  const without = (gone: string) => withoutMissing(SHEET, (_, id) => id === gone).body;
  expect(without('wet')).toMatchObject({ pictureId: 'dry' });
  expect(without('wet')).not.toHaveProperty('wipedPictureId');
  expect(without('dry')).toMatchObject({ wipedPictureId: 'wet' });
  expect(without('dry')).not.toHaveProperty('pictureId');
});
