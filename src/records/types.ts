import type { AdhesiveId } from '@/core/adhesive';
import type { DamageFacts, DamageKind } from '@/core/damage';
import type { Point, ScaleReference } from '@/core/geometry';
import type { Build, FinishGoal, FinishNow, MethodId, School } from '@/core/method';
import type { ClampId } from '@/core/press';
import type { Paper } from '@/core/print';
import type { LengthUnit, TemperatureUnit } from '@/core/units';
import type { PatchShape } from '@/core/veneer';

export type Piece = {
  name: string;
  client: string;
  school: School;
  goal: FinishGoal;
  note: string;
  createdAt: string;
};

export type Face = {
  pieceId: string;
  name: string;
  /** The photo the face was surveyed on; its size stands here so that places can be reckoned without loading it. */
  picture?: { id: string; widthPx: number; heightPx: number };
  build: Build;
  species: string;
  /** 0 for solid wood. */
  veneerMm: number;
  show: boolean;
  finishNow: FinishNow;
  /** What tells the picture's scale; places are fractions of the picture. Not set until the user has set it. */
  scale?: ScaleReference;
  /** The face's own corners in the picture, for references other than the face. */
  faceCorners: Point[];
  /** Two places in the picture between which the grain runs. */
  grain?: Point[];
};

/** What a person answered about a damage. */
export type Answers = Pick<
  DamageFacts,
  'openingMm' | 'woodAllPresent' | 'oldGlue' | 'glueLine' | 'brittle' | 'coreSound' | 'donor' | 'edgeBanding'
>;

export type GlueChoice = {
  adhesive?: AdhesiveId;
  clamp?: ClampId;
  targetKPa?: number;
  caulWidthMm?: number;
  caulHeightMm?: number;
  platenMm?: number;
};

export type PatchChoice = {
  veneerId?: string;
  shape?: PatchShape;
  marginMm?: number;
  overhangMm?: number;
  slantDeg?: number;
};

export type Damage = {
  pieceId: string;
  /** Not set for a damage kept from a quick answer, before it has been outlined on a face. */
  faceId?: string;
  number: number;
  kind: DamageKind;
  /** Places in the face's picture, as fractions. */
  outline: Point[];
  /** Size from a quick answer, until there is an outline. */
  roughAreaMm2?: number;
  answers: Answers;
  /** Taps on the face, places as fractions of its picture. */
  taps?: { at: Point; hollow: boolean }[];
  method?: MethodId;
  methodReason: string;
  glue: GlueChoice;
  patch: PatchChoice;
};

export type Veneer = {
  name: string;
  species: string;
  thicknessMm: number;
  alongMm: number;
  acrossMm: number;
  pictureId?: string;
  note: string;
};

export type LogEntry = {
  pieceId: string;
  taskId: string;
  title: string;
  /** Local time without zone. */
  doneAt: string;
  actualMin: number;
  note: string;
  pictures: { pictureId: string; role: 'before' | 'after' }[];
};

export type Shop = {
  lengthUnit: LengthUnit;
  temperatureUnit: TemperatureUnit;
  temperatureC: number;
  relativeHumidity: number;
  climateFrom: 'typed' | 'instrument';
  hands: number;
  clamps: { id: ClampId; count: number }[];
  caulWidthMm: number;
  caulHeightMm: number;
  platenMm: number;
  workingHours: { from: string; to: string };
  theme: 'daylight' | 'lamplight' | 'system';
  paper: Paper;
};

export type Picture = {
  name: string;
  widthPx: number;
  heightPx: number;
  /** JPEG, base64. */
  jpeg: string;
};

export type Bodies = {
  piece: Piece;
  face: Face;
  damage: Damage;
  veneer: Veneer;
  log: LogEntry;
  shop: Shop;
  picture: Picture;
};

export type Kind = keyof Bodies;

/** What is stored under `kind/id`: the body, with its shape's version and a revision that counts its changes. */
export type Stored<K extends Kind> = {
  kind: K;
  id: string;
  version: number;
  revision: number;
  savedAt: string;
  body: Bodies[K];
};

export type AnyStored = { [K in Kind]: Stored<K> }[Kind];
