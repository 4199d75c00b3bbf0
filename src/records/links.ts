import type { AnyStored, Bodies, Kind } from './types';

/** A record that another points at. `shown`: it belongs to whoever shows it and goes with the last of them. */
export type Link = { kind: Kind; id: string; shown: boolean };

const picture = (id: string | undefined): Link[] =>
  id === undefined ? [] : [{ kind: 'picture', id, shown: true }];
const to = (kind: Kind, id: string | undefined): Link[] =>
  id === undefined ? [] : [{ kind, id, shown: false }];

/** What each kind points at: the one place that knows. */
const LINKS: { [K in Kind]: (body: Bodies[K]) => Link[] } = {
  piece: ({ photos = [] }) => photos.flatMap((p) => picture(p.pictureId)),
  face: ({ pieceId, picture: own, photos = [] }) => [
    ...to('piece', pieceId),
    ...picture(own?.id),
    ...photos.flatMap((p) => picture(p.pictureId)),
  ],
  damage: ({ pieceId, faceId }) => [...to('piece', pieceId), ...to('face', faceId)],
  veneer: ({ pictureId }) => picture(pictureId),
  log: ({ pieceId, pictures }) => [...to('piece', pieceId), ...pictures.flatMap((p) => picture(p.pictureId))],
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
