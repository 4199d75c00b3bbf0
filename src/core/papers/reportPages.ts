import { CONDITION_FORMULA } from '../condition';
import { kindInfo } from '../damage';
import { centroidOf, type Point } from '../geometry';
import {
  boardOf,
  conditionFor,
  damageLabel,
  faceAreaMm2,
  measuredWords,
  repairWords,
  surveyed,
  type Damage,
  type Face,
  type Named,
  type Piece,
  type Shop,
  type Units,
} from '../job';
import { setPages, type Block, type Mark, type Page, type Paper } from '../print';
import { summarise } from '../readings';
import { BUILDS, FINISHES_NOW, PHOTO_ROLES, SCHOOLS } from '../terms';
import { woodName } from '../wood';

/** A piece with everything the report tells of. */
export type Reported = {
  piece: Named<Piece>;
  faces: readonly Named<Face>[];
  damages: readonly Named<Damage>[];
  shop: Shop;
};

const badge = ([x, y]: Point, number: number): Mark[] => [
  {
    kind: 'disc',
    at: [x, y],
    radiusMm: 2.6,
  },
  { kind: 'text', at: [x, y], text: String(number), sizeMm: 3, bold: true, centred: true },
];

/** The face with its damages, numbered, in mm of the face; the photo under them where there is one. */
export function mapMarks(
  face: Named<Face>,
  onFace: readonly Named<Damage>[],
  photo: Uint8Array | undefined,
): { widthMm: number; heightMm: number; marks: Mark[] } | undefined {
  const board = boardOf(face.body);
  if (!board.ok) return undefined;
  const { widthMm, heightMm, outline } = board.value.plane;
  const marks: Mark[] = [];
  if (photo) marks.push({ kind: 'picture', at: [0, 0], widthMm, heightMm, jpeg: photo });
  marks.push({ kind: 'polygon', points: outline, widthMm: 0.3 });
  for (const d of onFace) {
    const survey = surveyed(d.body, face.body);
    if (!survey.ok) continue;
    const points = survey.value.outline;
    marks.push({ kind: 'polygon', points, widthMm: 1.1, grey: 1 }, { kind: 'polygon', points, widthMm: 0.5 });
    marks.push(...badge(centroidOf(points), d.body.number));
  }
  return { widthMm, heightMm, marks };
}

/** Photos that the report shows, loaded beforehand. */
export type ReportPictures = {
  /** Faces redrawn square on, by the face's id. */
  faces: ReadonlyMap<string, Uint8Array>;
  /** Other photos, by picture id. */
  photos: ReadonlyMap<string, { jpeg: Uint8Array; aspect: number }>;
};

/** The condition report of a piece for paper: score, map of every face, list with measurements and repairs. */
export function reportPages(
  view: Reported,
  pictures: ReportPictures,
  paper: Paper,
  units: Units,
  today: string,
): Page[] {
  const { piece, faces, damages } = view;
  const { length, area } = units;
  const whole = conditionFor(damages, faces);
  const row = (left: string, right: string): Block => ({ kind: 'row', left, right });
  const blocks: Block[] = [
    { kind: 'heading', level: 1, text: `Condition of ${piece.body.name}` },
    row('Owner', piece.body.client || 'not entered'),
    row('Looked at on', today),
    ...(piece.body.deadline ? [row('To be ready by', piece.body.deadline)] : []),
    row('School', SCHOOLS[piece.body.school].label),
    ...(piece.body.note ? [{ kind: 'paragraph' as const, text: piece.body.note }] : []),
    row('Condition score', `${whole.score} of 100`),
    row(
      'Damages',
      `${whole.count}, over ${area(whole.damagedMm2)}, ${(100 * whole.share).toFixed(1)} % of the faces looked at`,
    ),
    row('Getting worse by themselves', String(whole.byGravity[3])),
    ...whole.byKind.map((k) => row(kindInfo(k.kind).label, String(k.count))),
    { kind: 'paragraph', quiet: true, text: CONDITION_FORMULA },
  ];
  for (const face of faces) {
    const onFace = damages.filter((d) => d.body.faceId === face.id);
    const own = conditionFor(onFace, [face]);
    const map = mapMarks(face, onFace, pictures.faces.get(face.id));
    const { build, species, veneerMm, finishNow, thicknessReadings = [], moistureReadings = [] } = face.body;
    const thickness = summarise(thicknessReadings);
    const moisture = summarise(moistureReadings);
    blocks.push(
      { kind: 'heading', level: 2, text: face.body.name },
      row(
        'Made of',
        `${BUILDS[build]}, ${woodName(species).toLowerCase()}${veneerMm > 0 ? `, veneer ${length(veneerMm)}` : ''}`,
      ),
      row('Finish on it', FINISHES_NOW[finishNow]),
      row(
        'Score',
        `${own.score} of 100; ${onFace.length} damages, ${(100 * own.share).toFixed(1)} % of ${area(faceAreaMm2(face))}`,
      ),
      ...(thickness
        ? [
            row(
              'Veneer readings',
              `least ${length(thickness.least)}, mean ${length(thickness.mean)} of ${thickness.count}`,
            ),
          ]
        : []),
      ...(moisture
        ? [
            row(
              'Moisture readings',
              `${(100 * moisture.least).toFixed(1)} to ${(100 * moisture.greatest).toFixed(1)} %, mean ${(100 * moisture.mean).toFixed(1)} %`,
            ),
          ]
        : []),
      ...(face.body.wipeNote ? [row('Solvent wipe', face.body.wipeNote)] : []),
    );
    if (map) {
      const { widthMm, heightMm } = map;
      blocks.push({
        kind: 'drawing',
        ...map,
        caption: `${face.body.name}, ${length(widthMm)} × ${length(heightMm)}, numbered as in the list.`,
      });
    }
    blocks.push(...onFace.map((d) => row(damageLabel(d.body), damageWords(view, d, face, units))));
  }
  const loose = damages.filter((d) => !faces.some((f) => f.id === d.body.faceId));
  if (loose.length > 0) {
    blocks.push({ kind: 'heading', level: 2, text: 'Not on a face yet' });
    blocks.push(...loose.map((d) => row(damageLabel(d.body), damageWords(view, d, undefined, units))));
  }
  const photos = [
    ...(piece.body.photos ?? []).map((p) => ({ ...p, of: piece.body.name })),
    ...faces.flatMap((f) => (f.body.photos ?? []).map((p) => ({ ...p, of: f.body.name }))),
  ].flatMap((p) => {
    const picture = pictures.photos.get(p.pictureId);
    const caption = `${p.of}, ${PHOTO_ROLES[p.role].toLowerCase()}${p.note ? `: ${p.note}` : ''}`;
    return picture ? [{ caption, ...picture }] : [];
  });
  if (photos.length > 0)
    blocks.push({ kind: 'heading', level: 2, text: 'Photos' }, { kind: 'pictures', items: photos });
  return setPages(blocks, paper, `Condition of ${piece.body.name}`);
}

function damageWords(view: Reported, d: Named<Damage>, face: Named<Face> | undefined, units: Units): string {
  return `${measuredWords(d, face, units)}. ${repairWords(view, d)}`;
}
