import { tonesIn } from '@/core/catalogue';
import type { Tones } from '@/core/colour';
import { linksOfChain, surroundingsOf, viewOf, type Repair } from '@/core/job';
import { revisionsOf } from '@/records/revisions';
import type { Stored } from '@/records/types';
import { kept } from './kept';
import type { Own, PhotoReaders, Shelf } from './shelf';

/** Reads the colours that a plan needs off stored photos; each is read once. */
export function tonesReader(photos: PhotoReaders | undefined) {
  const around = kept<Promise<Tones | undefined>>();
  const within = kept<Promise<Tones | undefined>>();
  const swatches = kept<Promise<Tones | undefined>>();

  /** A photo that cannot be read leaves its colour unknown. */
  const tonesAround = (
    damage: Stored<'damage'>,
    face: Stored<'face'> | undefined,
    onFace: readonly Stored<'damage'>[],
  ): Promise<Tones | undefined> => {
    if (damage.body.aim) return Promise.resolve(damage.body.aim.tones);
    const pictureId = face?.body.picture?.id;
    if (!photos || !face || !pictureId) return Promise.resolve(undefined);
    return around(revisionsOf([face], onFace, [damage]), async () => {
      const others = onFace.filter((o) => o !== damage).map((o) => o.body);
      const place = surroundingsOf(damage.body, face.body, others);
      if (!place.ok) return undefined;
      const { board, outline, others: covered } = place.value;
      return photos
        .around(viewOf(board, pictureId), outline, covered, board.plane.outline)
        .catch(() => undefined);
    });
  };

  const tonesOfPlace = ({ damage, face, survey }: Repair): Promise<Tones | undefined> => {
    const pictureId = face?.body.picture?.id;
    if (!photos || !face || !pictureId || !survey.ok) return Promise.resolve(undefined);
    const { board, outline } = survey.value;
    const view = viewOf(board, pictureId);
    return within(JSON.stringify([damage.id, view, outline]), () =>
      photos.within(view, outline, board.plane.outline).catch(() => undefined),
    );
  };

  const tonesOfVeneer = (veneer: Stored<'veneer'>): Promise<Tones | undefined> => {
    const { pictureId } = veneer.body;
    if (!photos || !pictureId) return Promise.resolve(undefined);
    return swatches(pictureId, () => photos.swatch(pictureId).catch(() => undefined));
  };

  /** Only what is chosen for a damage is read from photos: a shelf may hold hundreds. */
  return async function tonesFor(
    repairs: readonly Repair[],
    { faces, damages }: Own,
    veneers: Shelf['veneers'],
  ) {
    const empty = (): Record<string, Tones> => ({});
    const tones = { around: empty(), stock: empty(), within: empty() };
    for (const repair of repairs) {
      const { faceId, patch } = repair.damage.body;
      const veneer = veneers.find((v) => v.id === patch.veneerId);
      const toned = repair.chain !== undefined && linksOfChain(repair.chain).some(tonesIn);
      if (!veneer && !toned) continue;
      const damage = damages.find((d) => d.id === repair.damage.id);
      if (!damage) continue;
      const onFace = damages.filter((d) => d.body.faceId === faceId);
      const face = faces.find((f) => f.id === faceId);
      const old = await tonesAround(damage, face, onFace);
      const bare = veneer ? await tonesOfVeneer(veneer) : undefined;
      const place = toned ? await tonesOfPlace(repair) : undefined;
      if (old) tones.around[damage.id] = old;
      if (veneer && bare) tones.stock[veneer.id] = bare;
      if (place) tones.within[damage.id] = place;
    }
    return tones;
  };
}
