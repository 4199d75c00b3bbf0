import { stamped } from './edits';
import type { AnyStored, Bodies, Kind } from './types';

/**
 * What a link means for the record that has it.
 * - shows: the photo belongs to whoever shows it, and goes with the last of them
 * - needs: it cannot do without, and goes with it
 * - liesOn: it goes with it, and does without where a file lacks it
 * - names: what was used, which may be used up meanwhile; the name stays
 */
export type Hold = 'shows' | 'needs' | 'liesOn' | 'names';

/** A record that another points at. */
export type Link = {
  kind: Kind;
  id: string;
  hold: Hold;
  /** Something is measured on the photo, or a colour read from it. */
  measured: boolean;
  /** Where in the body it stands. */
  field: string;
};

/** One link where it stands in a body. */
type Slot = { id: string; set: (id: string) => void; drop: () => void };

type Row<B> = {
  field: keyof B & string;
  kind: Kind;
  hold: Hold;
  measured?: true;
  slots: (body: B) => Slot[];
};

const stays = (): void => undefined;
/** The link of a field that holds one; without a way to set it or let it go it stays as it is. */
const only = (id: string | undefined, set: (id: string) => void = stays, drop: () => void = stays): Slot[] =>
  id === undefined ? [] : [{ id, set, drop }];

const each = (photos: { pictureId: string }[] = []): Slot[] =>
  photos.map((p) => ({
    id: p.pictureId,
    set: (id) => void (p.pictureId = id),
    drop: () => void photos.splice(photos.indexOf(p), 1),
  }));

const used = (coats: readonly { colourId: string }[] = []): Slot[] => coats.flatMap((c) => only(c.colourId));

const ownPiece = { field: 'pieceId', kind: 'piece', hold: 'needs', slots: (b: { pieceId: string }) => only(b.pieceId) } as const; // prettier-ignore

const ownPhoto = {
  field: 'pictureId',
  kind: 'picture',
  hold: 'shows',
  measured: true,
  slots: (b: { pictureId?: string }) =>
    only(
      b.pictureId,
      (id) => void (b.pictureId = id),
      () => void delete b.pictureId,
    ),
} as const;

/** What each kind points at: the one place that knows. What lists links, lets them go or puts one in the place of another goes by it. */
const LINKS: { [K in Kind]: readonly Row<Bodies[K]>[] } = {
  piece: [
    { field: 'photos', kind: 'picture', hold: 'shows', slots: (b) => each(b.photos) },
    {
      field: 'parts',
      kind: 'picture',
      hold: 'shows',
      slots: ({ parts = [] }) =>
        parts.flatMap((part) => {
          const { spot } = part;
          return spot ? only(spot.pictureId, (id) => void (spot.pictureId = id), () => void delete part.spot) : []; // prettier-ignore
        }),
    },
    // A step that was written down for a face keeps its words without it.
    {
      field: 'ownSteps',
      kind: 'face',
      hold: 'names',
      slots: ({ ownSteps = [] }) =>
        ownSteps.flatMap(({ faceId, lays }) => [faceId, ...(lays?.on ?? []).map((o) => o.faceId)].flatMap((id) => only(id))), // prettier-ignore
    },
    {
      field: 'ownSteps',
      kind: 'colour',
      hold: 'names',
      slots: ({ ownSteps = [] }) => ownSteps.flatMap(({ lays }) => only(lays?.colourId)),
    },
  ],
  face: [
    ownPiece,
    {
      field: 'picture',
      kind: 'picture',
      hold: 'shows',
      measured: true,
      slots: (b) => {
        const { picture } = b;
        return picture
          ? only(
              picture.id,
              (id) => void (picture.id = id),
              () => void delete b.picture,
            )
          : [];
      },
    },
    { field: 'photos', kind: 'picture', hold: 'shows', slots: (b) => each(b.photos) },
  ],
  damage: [
    ownPiece,
    {
      field: 'faceId',
      kind: 'face',
      hold: 'liesOn',
      slots: (b) =>
        only(
          b.faceId,
          (id) => void (b.faceId = id),
          () => void delete b.faceId,
        ),
    },
    { field: 'aim', kind: 'face', hold: 'names', slots: ({ aim }) => only(aim?.faceId) },
    {
      field: 'patch',
      kind: 'veneer',
      hold: 'names',
      slots: ({ patch }) => only(patch.veneerId),
    },
    { field: 'coats', kind: 'colour', hold: 'names', slots: (b) => used(b.coats) },
    {
      field: 'mixes',
      kind: 'colour',
      hold: 'names',
      slots: ({ mixes }) => [...used(mixes?.ground), ...used(mixes?.line)],
    },
  ],
  veneer: [
    ownPhoto,
    {
      field: 'wipedPictureId',
      kind: 'picture',
      hold: 'shows',
      measured: true,
      slots: (b) => only(b.wipedPictureId, (id) => void (b.wipedPictureId = id), () => void delete b.wipedPictureId), // prettier-ignore
    },
  ],
  log: [ownPiece, { field: 'pictures', kind: 'picture', hold: 'shows', slots: (b) => each(b.pictures) }],
  colour: [ownPhoto],
  // A board outlives the products it was made with.
  board: [ownPhoto, { field: 'coats', kind: 'colour', hold: 'names', slots: (b) => used(b.coats) }],
  lumber: [],
  shop: [],
  picture: [],
};

const rowsOf = <K extends Kind>(kind: K, body: Bodies[K]): { row: Omit<Link, 'id'>; slot: Slot }[] =>
  LINKS[kind].flatMap(({ slots, kind: to, hold, measured = false, field }) =>
    slots(body).map((slot) => ({ row: { kind: to, hold, measured, field }, slot })),
  );

export const linksOfBody = <K extends Kind>(kind: K, body: Bodies[K]): Link[] =>
  rowsOf(kind, body).map(({ row, slot }) => ({ ...row, id: slot.id }));

/** Everything a record points at. */
export const linksOf = ({ kind, body }: AnyStored): Link[] => linksOfBody(kind, body);

/** Names of the pictures that a record shows. */
export const picturesOf = (record: AnyStored): string[] =>
  linksOf(record)
    .filter((l) => l.hold === 'shows')
    .map((l) => l.id);

/** Names of records that this one goes with: its piece, and the face it lies on. */
export const goesWith = (record: AnyStored): string[] =>
  linksOf(record)
    .filter((l) => l.hold === 'needs' || l.hold === 'liesOn')
    .map((l) => `${l.kind}/${l.id}`);

/** The piece a record belongs to. */
export const pieceIdOf = (record: AnyStored): string | undefined =>
  linksOf(record).find((l) => l.hold === 'needs')?.id;

/** Kinds of records; pictures are many, and point at nothing. */
export const LINKING = (Object.keys(LINKS) as Kind[]).filter((kind) => LINKS[kind].length > 0);

/** A record whose links were gone through on a copy of it. */
function relinked<R extends AnyStored>(record: R, change: (link: Link, slot: Slot) => void): R {
  const next = structuredClone(record);
  for (const { row, slot } of rowsOf(next.kind, next.body)) change({ ...row, id: slot.id }, slot);
  return next;
}

/** A record without its links to what is missing. A link it cannot do without, or that only names what was used, stays. */
export const withoutMissing = <R extends AnyStored>(
  record: R,
  missing: (kind: Kind, id: string) => boolean,
): R =>
  relinked(record, ({ kind, id, hold }, slot) => {
    if (hold !== 'names' && missing(kind, id)) slot.drop();
  });

/** A record that shows one photo in place of another: a change of this device like any other. */
export function swapPicture<R extends AnyStored>(record: R, from: string, to: string, device: string): R {
  const fields: string[] = [];
  const next = relinked(record, ({ kind, id, field }, slot) => {
    if (kind !== 'picture' || id !== from) return;
    slot.set(to);
    fields.push(field);
  });
  return fields.length === 0
    ? record
    : { ...next, revision: record.revision + 1, ...stamped(record, fields, device) };
}
