import type { MethodId } from '../src/core/catalogue';
import type { DamageKind } from '../src/core/damage';
import type { Point } from '../src/core/geometry';
import { newDamage, newFace, newPiece } from '../src/records/defaults';
import type { Bodies, Damage, Face } from '../src/records/types';

/** Corners of a face that has no photo. */
const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore

type Body<K extends 'piece' | 'face' | 'damage'> = { kind: K; id: string; body: Bodies[K] };
export type BookcaseRecord = Body<'piece'> | Body<'face'> | Body<'damage'>;

/** The bookcase: one of each repair that is let in, filled, closed or levelled. It sleeps until the others are done. */
export function bookcaseRecords(): BookcaseRecord[] {
  const face = (id: string, name: string, widthMm: number, heightMm: number, body: Partial<Face>): BookcaseRecord => ({
    kind: 'face',
    id,
    body: {
      ...newFace('bookcase', name),
      build: 'solid',
      veneerMm: 0,
      boardMm: 20,
      species: 'whiteOak',
      finishNow: 'varnish',
      scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm, heightMm },
      faceCorners: WHOLE,
      grain: [[0.5, 0.1], [0.5, 0.9]],
      ...body,
    },
  }); // prettier-ignore
  let number = 0;
  const damage = (
    faceId: string,
    kind: DamageKind,
    method: MethodId,
    body: Partial<Damage>,
  ): BookcaseRecord => ({
    kind: 'damage',
    id: `bookcase-${++number}`,
    body: { ...newDamage('bookcase', faceId, number, kind), method, ...body },
  });
  const line = (points: Point[], widthMm: number): Partial<Damage> => ({ mark: { tool: 'line', points, widthMm } }); // prettier-ignore
  return [
    {
      kind: 'piece',
      id: 'bookcase',
      body: {
        ...newPiece('Bookcase', '2026-02-20T10:00:00'),
        client: 'Village reading room',
        goal: 'varnish',
        rest: 'asleep',
        home: {
          dry: { temperatureC: 20, relativeHumidity: 0.35 },
          damp: { temperatureC: 19, relativeHumidity: 0.68 },
        },
      },
    },
    face('bookcase-side', 'Left side', 300, 900, {}),
    face('bookcase-top', 'Top', 900, 300, {
      grain: [
        [0.1, 0.5],
        [0.9, 0.5],
      ],
    }),
    face('bookcase-plinth', 'Plinth bracket', 160, 110, {
      grain: [
        [0.1, 0.5],
        [0.9, 0.5],
      ],
    }),
    face('bookcase-door', 'Door', 420, 700, { build: 'solidCore', veneerMm: 0.7, species: 'walnut' }),
    damage('bookcase-side', 'hole', 'facePlug', {
      mark: { tool: 'circle', at: [0.3, 0.2], diameterMm: 9 },
      answers: { depthMm: 12 },
    }),
    damage('bookcase-side', 'gouge', 'dutchman', {
      outline: [
        [0.5, 0.4],
        [0.62, 0.4],
        [0.62, 0.47],
        [0.5, 0.47],
      ],
      answers: { fibresCut: true, depthMm: 5 },
    }),
    damage('bookcase-side', 'longCrack', 'sliver', {
      ...line(
        [
          [0.75, 0.1],
          [0.76, 0.35],
        ],
        1.5,
      ),
      board: { acrossMm: 300, cut: 'flat' },
      answers: { closesByHand: false },
    }),
    damage('bookcase-top', 'endSplit', 'screwSplit', {
      ...line(
        [
          [0.02, 0.3],
          [0.14, 0.31],
        ],
        0.8,
      ),
      answers: { screwInSplit: true, closesByHand: true },
    }),
    damage(
      'bookcase-top',
      'openGlueLine',
      'planeJoint',
      line(
        [
          [0.05, 0.6],
          [0.95, 0.6],
        ],
        2,
      ),
    ),
    damage('bookcase-top', 'dent', 'steam', {
      mark: { tool: 'circle', at: [0.7, 0.3], diameterMm: 22 },
      answers: { fibresCut: false },
    }),
    damage('bookcase-top', 'scratch', 'burnIn', {
      outline: [
        [0.4, 0.2],
        [0.46, 0.2],
        [0.46, 0.23],
        [0.4, 0.23],
      ],
      answers: { fibresCut: true, depthMm: 1 },
    }),
    damage('bookcase-plinth', 'missingFoot', 'newPart', {
      outline: [
        [0.05, 0.05],
        [0.95, 0.05],
        [0.95, 0.3],
        [0.35, 0.5],
        [0.3, 0.95],
        [0.05, 0.95],
      ],
    }),
    damage('bookcase-door', 'missingMotif', 'motifPart', {
      outline: [
        [0.45, 0.45],
        [0.55, 0.47],
        [0.57, 0.55],
        [0.5, 0.6],
        [0.44, 0.54],
      ],
    }),
    damage('bookcase-door', 'missingVeneer', 'sawnStrip', {
      outline: [
        [0.96, 0.1],
        [1, 0.1],
        [1, 0.45],
        [0.96, 0.45],
      ],
      answers: { edgeBanding: true },
    }),
    {
      kind: 'damage',
      id: 'bookcase-11',
      body: { ...newDamage('bookcase', undefined, 11, 'rocks'), method: 'shimFoot' },
    },
    {
      kind: 'damage',
      id: 'bookcase-12',
      body: {
        ...newDamage('bookcase', undefined, 12, 'looseJoint'),
        method: 'reglueJoint',
        answers: { oldGlue: 'hide' },
      },
    },
    {
      kind: 'damage',
      id: 'bookcase-13',
      body: {
        ...newDamage('bookcase', undefined, 13, 'drawerBinds'),
        method: 'easeDrawer',
        answers: { drawerFault: 'tight' },
      },
    },
  ];
}
