import Joi from 'joi';
import { ADHESIVES, GLUE_FIGURES, type AdhesiveId, type OwnGlue } from '../../adhesive';
import { COAT_FIGURES, COATS, type OwnCoats, type OwnStep } from '../../bench';
import type { MaterialId } from '../../catalogue';
import type { Learned } from '../../figures';
import { stockSchema, weightsSchema, type Weights } from '../../method';
import { MOST_SPARES } from '../../nest';
import { CLAMPS, type ClampId, type Pace } from '../../press';
import { PAPERS, PRINTER_SCALES, type Paper } from '../../print';
import { SCHOOLS, type School } from '../../terms';
import type { LengthUnit, TemperatureUnit } from '../../units';
import { keys, ids, millimetres, workingHours } from './common';
import { stepTemplates } from './piece';

export type Shop = {
  lengthUnit: LengthUnit;
  temperatureUnit: TemperatureUnit;
  temperatureC: number;
  relativeHumidity: number;
  climateFrom: 'typed' | 'instrument';
  hands: number;
  /** How much larger than true the printer prints: 1.004 where the bar of 100 mm comes out at 100.4 mm. */
  printerScale?: number;
  /** How many spares of each patch the cutting plan lays out beside it. */
  sparePatches?: number;
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
  /** Figures of the shop's own top coats. */
  coats?: Partial<Record<keyof typeof COATS, OwnCoats>>;
  /** Steps of one's own, kept for other pieces. */
  stepTemplates?: StepTemplate[];
  /** To be bought. */
  shopping?: MaterialId[];
};

/** A step of one's own without its place in a piece. */
export type StepTemplate = Pick<OwnStep, 'phase' | 'title' | 'detail' | 'attendedMin' | 'waitMin'>;

/** A shop with what its log has taught. That is worked out from the log, never stored. */
export type KnownShop = Shop & { learned?: Learned };

const ownGlue = Joi.object(
  Object.fromEntries(
    Object.entries(GLUE_FIGURES).map(([f, { least, most }]) => [f, Joi.number().min(least).max(most)]),
  ),
);

const ownCoats = Joi.object(
  Object.fromEntries(
    Object.entries(COAT_FIGURES).map(([f, { least, most }]) => [
      f,
      Joi.number().integer().min(least).max(most),
    ]),
  ),
);

/** How a shop looks where it is stored, in a file, or at the registry's doors. */
export const shopSchema: Joi.ObjectSchema<Shop> = Joi.object({
  lengthUnit: Joi.string().valid('mm', 'in').required(),
  temperatureUnit: Joi.string().valid('C', 'F').required(),
  temperatureC: Joi.number().min(-10).max(45).required(),
  relativeHumidity: Joi.number().min(0).max(0.98).required(),
  climateFrom: Joi.string().valid('typed', 'instrument').required(),
  sparePatches: Joi.number().integer().min(0).max(MOST_SPARES),
  printerScale: Joi.number().min(PRINTER_SCALES.least).max(PRINTER_SCALES.most),
  hands: Joi.number().integer().min(1).max(20).required(),
  clamps: Joi.array()
    .items(
      Joi.object({
        id: ids(CLAMPS).required(),
        count: Joi.number().integer().min(0).max(500).required(),
        forceN: Joi.number().min(10).max(50_000),
      }),
    )
    .max(50)
    .required(),
  caulWidthMm: millimetres(10, 300).required(),
  caulHeightMm: millimetres(10, 150).required(),
  platenMm: millimetres(3, 100).required(),
  platens: Joi.array().items(millimetres(3, 100)).max(8),
  cauls: Joi.array()
    .items(Joi.object({ widthMm: millimetres(10, 300).required(), heightMm: millimetres(5, 150).required() }))
    .max(8),
  pace: Joi.object({
    spreadMinPer100Cm2: Joi.number().min(0.05).max(30).required(),
    secondsPerClamp: Joi.number().min(1).max(600).required(),
  }),
  workingHours: workingHours.required(),
  theme: Joi.string().valid('daylight', 'lamplight', 'system').required(),
  paper: keys(PAPERS).required(),
  weights: Joi.object(Object.fromEntries(Object.keys(SCHOOLS).map((k) => [k, weightsSchema]))),
  materials: stockSchema,
  shopping: stockSchema,
  stepTemplates,
  glues: Joi.object(Object.fromEntries(ADHESIVES.map((a) => [a.id, ownGlue]))),
  coats: Joi.object(Object.fromEntries(Object.keys(COATS).map((f) => [f, ownCoats]))),
});
