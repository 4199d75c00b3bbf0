import { damageLabel, measuredWords, repairWords, type Damage, type Face, type LogEntry, type Named, type Piece, type Shop } from '../job'; // prettier-ignore
import { colouringLines, recipeLine } from '../shelf';
import { jpegBytes, setPages, type Block, type Page } from '../print';
import { FINISH_GOALS, SCHOOLS } from '../terms';
import { formatMinutes } from '../units';

/** A stored photo: JPEG as base64. */
export type PaperPicture = { jpeg: string; widthPx: number; heightPx: number };

type Input = {
  piece: Named<Piece>;
  faces: readonly Named<Face>[];
  damages: readonly Named<Damage>[];
  log: readonly Named<LogEntry>[];
  pictures: ReadonlyMap<string, PaperPicture>;
  shop: Shop;
  /** Name of a product on the colour shelf. */
  colourName?: (id: string) => string;
  length: (mm: number) => string;
  area: (mm2: number) => string;
};

/** The frame of a photo that is gone is as wide for its height. */
const LOST_ASPECT = 1.5;

/** The record of a piece for paper: what was found, what was chosen, what was done and with which photos. */
export function recordPages({
  piece,
  faces,
  damages,
  log,
  pictures,
  shop,
  colourName,
  length,
  area,
}: Input): Page[] {
  const picture = (id: string, caption: string): { caption: string; jpeg: Uint8Array; aspect: number }[] => {
    const p = pictures.get(id);
    return [{ caption, jpeg: jpegBytes(p?.jpeg ?? ''), aspect: p ? p.widthPx / p.heightPx : LOST_ASPECT }];
  };
  const blocks: Block[] = [
    { kind: 'heading', level: 1, text: piece.body.name },
    { kind: 'row', left: 'Owner', right: piece.body.client || 'not entered' },
    { kind: 'row', left: 'School', right: SCHOOLS[piece.body.school].label },
    { kind: 'row', left: 'Finish in the end', right: FINISH_GOALS[piece.body.goal] },
    ...(piece.body.note ? [{ kind: 'paragraph' as const, text: piece.body.note }] : []),
    { kind: 'heading', level: 2, text: 'Damages and repairs' },
  ];
  for (const d of damages) {
    const face = faces.find((f) => f.id === d.body.faceId);
    const size = measuredWords(d, face, { length, area });
    const repair = repairWords({ piece, faces, damages, shop }, d);
    blocks.push({
      kind: 'row',
      left: `${damageLabel(d.body)}, ${face?.body.name ?? 'no face'}`,
      right: `${size}. ${repair}`,
    });
    if (d.body.coats?.some((c) => c.coats > 0) && colourName)
      blocks.push({ kind: 'row', left: 'Coloured with', right: recipeLine(d.body.coats, colourName) });
    for (const [left, right] of colouringLines(d.body)) blocks.push({ kind: 'row', left, right });
  }
  blocks.push({ kind: 'heading', level: 2, text: 'Work done' });
  if (log.length === 0) blocks.push({ kind: 'paragraph', text: 'No step has been ticked yet.' });
  for (const l of log) {
    const when = `${l.body.doneAt.slice(0, 10)} ${l.body.doneAt.slice(11, 16)}`;
    blocks.push({
      kind: 'row',
      left: `${when}, ${formatMinutes(l.body.actualMin)}`,
      right: `${l.body.title}${l.body.note ? `. ${l.body.note}` : ''}`,
    });
  }
  const photos = [
    ...faces.flatMap((f) => (f.body.picture ? picture(f.body.picture.id, `${f.body.name}, as found`) : [])),
    ...log.flatMap((l) =>
      l.body.pictures.flatMap((p) =>
        picture(p.pictureId, `${p.role === 'before' ? 'Before' : 'After'}: ${l.body.title}`),
      ),
    ),
  ];
  if (photos.length > 0)
    blocks.push({ kind: 'heading', level: 2, text: 'Photos' }, { kind: 'pictures', items: photos });
  return setPages(blocks, shop.paper, `Record of ${piece.body.name}`);
}
