import { stamped } from './edits';
import type { AnyStored, Bodies, Kind, Stored } from './types';

/** A record that another points at. `shown`: it belongs to whoever shows it and goes with the last of them. */
export type Link = { kind: Kind; id: string; shown: boolean };

const picture = (id: string | undefined): Link[] =>
  id === undefined ? [] : [{ kind: 'picture', id, shown: true }];
const to = (kind: Kind, id: string | undefined): Link[] =>
  id === undefined ? [] : [{ kind, id, shown: false }];

/** What each kind points at: the one place that knows. */
const LINKS: { [K in Kind]: (body: Bodies[K]) => Link[] } = {
  piece: ({ photos = [], parts = [] }) => [
    ...photos.flatMap((p) => picture(p.pictureId)),
    ...parts.flatMap((p) => picture(p.spot?.pictureId)),
  ],
  face: ({ pieceId, picture: own, photos = [] }) => [
    ...to('piece', pieceId),
    ...picture(own?.id),
    ...photos.flatMap((p) => picture(p.pictureId)),
  ],
  damage: ({ pieceId, faceId }) => [...to('piece', pieceId), ...to('face', faceId)],
  veneer: ({ pictureId, wipedPictureId }) => [...picture(pictureId), ...picture(wipedPictureId)],
  log: ({ pieceId, pictures }) => [...to('piece', pieceId), ...pictures.flatMap((p) => picture(p.pictureId))],
  colour: ({ pictureId }) => picture(pictureId),
  // A board outlives the products it was made with.
  board: ({ pictureId }) => picture(pictureId),
  lumber: () => [],
  shop: () => [],
  picture: () => [],
};

const linksOfBody = <K extends Kind>(kind: K, body: Bodies[K]): Link[] => LINKS[kind](body);

/** Everything a record points at. A veneer that a patch names may be used up; it is no link that must hold. */
export const linksOf = ({ kind, body }: AnyStored): Link[] => linksOfBody(kind, body);

/** Names of the pictures that a record shows. */
export const picturesOf = (record: AnyStored): string[] =>
  linksOf(record)
    .filter((l) => l.shown)
    .map((l) => l.id);

/** Kinds whose records show photos. */
export const SHOWING = ['piece', 'face', 'veneer', 'colour', 'board', 'log'] as const satisfies Kind[];

type Missing = (kind: Kind, id: string | undefined) => boolean;

const withoutPicture = <B extends { pictureId?: string }>({ pictureId, ...rest }: B, missing: Missing) => ({
  ...rest,
  ...(pictureId !== undefined && !missing('picture', pictureId) ? { pictureId } : {}),
});

/** How each kind does without what it pointed at and is nowhere; its piece alone it cannot do without. */
const WITHOUT: { [K in Kind]: (body: Bodies[K], missing: Missing) => Bodies[K] } = {
  piece: ({ photos, parts, ...rest }, missing) => ({
    ...rest,
    ...(photos ? { photos: photos.filter((p) => !missing('picture', p.pictureId)) } : {}),
    ...(parts
      ? {
          parts: parts.map(({ spot, ...part }) => ({
            ...part,
            ...(spot && !missing('picture', spot.pictureId) ? { spot } : {}),
          })),
        }
      : {}),
  }),
  face: ({ picture, photos, ...rest }, missing) => ({
    ...rest,
    ...(picture && !missing('picture', picture.id) ? { picture } : {}),
    ...(photos ? { photos: photos.filter((p) => !missing('picture', p.pictureId)) } : {}),
  }),
  damage: ({ faceId, ...rest }, missing) => ({
    ...rest,
    ...(faceId !== undefined && !missing('face', faceId) ? { faceId } : {}),
  }),
  veneer: ({ wipedPictureId, ...rest }, missing) => ({
    ...withoutPicture(rest, missing),
    ...(wipedPictureId !== undefined && !missing('picture', wipedPictureId) ? { wipedPictureId } : {}),
  }),
  colour: withoutPicture,
  board: withoutPicture,
  log: (body, missing) => ({
    ...body,
    pictures: body.pictures.filter((p) => !missing('picture', p.pictureId)),
  }),
  lumber: (body) => body,
  shop: (body) => body,
  picture: (body) => body,
};

/** A record without its links to what is missing. */
export function withoutMissing<K extends Kind>(record: Stored<K>, missing: Missing): Stored<K> {
  return { ...record, body: WITHOUT[record.kind](record.body, missing) };
}

/** The piece a record belongs to. */
export const pieceIdOf = (record: AnyStored): string | undefined =>
  linksOf(record).find((l) => l.kind === 'piece')?.id;

/** A record that shows one photo in place of another: a change of this device like any other. */
export function swapPicture(record: AnyStored, from: string, to: string, device: string): AnyStored {
  const swap = <P extends { pictureId: string }>(photos: readonly P[] = []): P[] =>
    photos.map((p) => (p.pictureId === from ? { ...p, pictureId: to } : p));
  const changed = (field: string) => ({ revision: record.revision + 1, ...stamped(record, [field], device) });
  switch (record.kind) {
    case 'piece':
      return { ...record, ...changed('photos'), body: { ...record.body, photos: swap(record.body.photos) } };
    case 'face':
      return { ...record, ...changed('photos'), body: { ...record.body, photos: swap(record.body.photos) } };
    case 'log':
      return {
        ...record,
        ...changed('pictures'),
        body: { ...record.body, pictures: swap(record.body.pictures) },
      };
    default:
      return record;
  }
}
