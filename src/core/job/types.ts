import type { AdhesiveId, OwnGlue } from '../adhesive';
import type { MaterialId, MethodId } from '../catalogue';
import type { AskedFact, AskedLength, DamageFacts, DamageKind, Mark } from '../damage';
import type { FinishTestResult } from '../finish';
import type { FaceShape, Point, ScaleReference } from '../geometry';
import type { Weights } from '../method';
import type { ClampId, Pace, PlacedLayout } from '../press';
import type { Paper } from '../print';
import type { Hazard } from '../safety';
import type { Build, FinishGoal, FinishNow, PhotoRole, School } from '../terms';
import type { LengthUnit, TemperatureUnit } from '../units';
import type { PatchShape } from '../veneer';
import type { WayChoices } from '../ways';
import type { Air, Cut } from '../wood';

/** Something that is stored under a name. */
export type Named<Body> = { id: string; body: Body };

export type { PhotoRole };
export type Photo = { pictureId: string; role: PhotoRole; note: string };

/** What was taken off a piece, and where it goes back. */
export type Part = {
  id: string;
  kind: 'part' | 'screw' | 'hardware';
  label: string;
  count: number;
  /** For screws and other lengths; not set when it does not matter. */
  lengthMm?: number;
  from: string;
  /** The odd one out: a shorter screw, a broken key. */
  odd: string;
  /** Ticked when it is back in its place. */
  back: boolean;
};

/** The air where a piece lives, in its driest and its dampest month. */
export type HomeClimate = { dry: Air; damp: Air };

export type Piece = {
  name: string;
  client: string;
  school: School;
  goal: FinishGoal;
  note: string;
  createdAt: string;
  /** A day, such as 2026-05-01. */
  deadline?: string;
  home?: HomeClimate;
  photos?: Photo[];
  parts?: Part[];
  /** What is in it or feared of it, for its cautions. */
  holds?: Hazard[];
  /** Where practitioners differ, the ways that were switched to for this piece. */
  ways?: WayChoices;
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
  /** A rectangle when not given. */
  shape?: FaceShape;
  /** How the grain departs from one direction over the whole face; places as fractions of the picture. */
  grainPlan?: FaceGrain;
  /** Thickness of the board or panel. */
  boardMm?: number;
  /** Where this face is treated otherwise than its piece. */
  school?: School;
  goal?: FinishGoal;
  photos?: Photo[];
  thicknessReadings?: number[];
  /** Fractions of dry mass. */
  moistureReadings?: number[];
  finishTests?: FinishTestResult[];
  /** What a wipe with mineral spirits showed. */
  wipeNote?: string;
};

export type FaceGrain =
  | { kind: 'radial'; at: Point }
  | { kind: 'border'; widthMm: number }
  | { kind: 'zones'; zones: { name: string; outline: Point[]; degrees: number }[] };

/** What a person answered about a damage. */
export type Answers = Pick<DamageFacts, AskedFact | AskedLength>;

/** Ways of holding where a flat press does not do. */
export type HeldBy = 'edge' | 'half' | 'round' | 'cup' | 'case' | 'hammer';

export type GlueChoice = {
  /** Nothing: the clamps of the press plan. */
  held?: HeldBy | undefined;
  adhesive?: AdhesiveId;
  clamp?: ClampId;
  targetKPa?: number;
  caulWidthMm?: number;
  caulHeightMm?: number;
  platenMm?: number;
  /** Nothing: the layout of the 45° rule. */
  placed?: PlacedLayout | undefined;
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
  /** How it is marked when not by its outline: a line, a circle, a run along the edge, a corner. */
  mark?: Exclude<Mark, { tool: 'area' }>;
  /** The board that opens into a crack: its width across the grain and how it was sawn. */
  board?: { acrossMm: number; cut: Cut; specificGravity?: number };
  /** Size from a quick answer, until there is an outline. */
  roughAreaMm2?: number;
  answers: Answers;
  /** Taps on the face, places as fractions of its picture. */
  taps?: { at: Point; hollow: boolean }[];
  method?: MethodId;
  /** Where the chain of the method can go on in several ways, those taken. */
  links?: MethodId[];
  /** Glue and clamps of the other methods of the chain. */
  linkGlue?: Partial<Record<MethodId, GlueChoice>>;
  methodReason: string;
  glue: GlueChoice;
  /** A glue-up that is running, or the last one. Moments in milliseconds since 1970. */
  glueUp?: { stage: number; startedAt: number; clampedAt?: number; method?: MethodId };
  patch: PatchChoice;
  /** What was entered for the sums on its pages, field by field; those not there are at their start. */
  figures?: Record<string, number | string>;
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
  /** The force is the owner's own, where it was measured. */
  clamps: { id: ClampId; count: number; forceN?: number }[];
  caulWidthMm: number;
  caulHeightMm: number;
  platenMm: number;
  /** Boards there are beside the usual ones above. */
  platens?: number[];
  cauls?: { widthMm: number; heightMm: number }[];
  pace?: Pace;
  workingHours: { from: string; to: string };
  theme: 'daylight' | 'lamplight' | 'system';
  paper: Paper;
  /** The owner's own weights of the criteria, by school. */
  weights?: Partial<Record<School, Partial<Weights>>>;
  /** What is in stock; not known until the owner has said so. */
  materials?: MaterialId[];
  /** Figures of the shop's own products. */
  glues?: Partial<Record<AdhesiveId, OwnGlue>>;
  /** To be bought. */
  shopping?: MaterialId[];
};
