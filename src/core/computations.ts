import type { ObjectSchema } from 'joi';
import { arrange, arrangeSchema } from './arrange';
import { schedule, scheduleSchema } from './bench';
import { assertValid, type JobContext } from './check';
import { acrossSchema, clampsAcross, closePlan, closeSchema } from './closing';
import { colourDifference, differenceSchema } from './colour';
import { fieldSchema, pressField } from './field';
import { fillPlan, fillSchema, levelPlan, levelSchema } from './filling';
import {
  bandingPlan,
  bandingSchema,
  drawerPlan,
  drawerSchema,
  dutchmanPlan,
  dutchmanSchema,
  lumberPlan,
  lumberSchema,
  feetPlan,
  feetSchema,
  partPlan,
  partSchema,
  pilotPlan,
  pilotSchema,
  plugPlan,
  plugSchema,
  sliverPlan,
  sliverSchema,
  stripsPlan,
  stripsSchema,
} from './letin';
import {
  chooseCoats,
  chooseSchema,
  coatsSchema,
  fitBoards,
  fitSchema,
  layColour,
  evenOut,
  evenSchema,
  mixColour,
  mixSchema,
} from './pigment';
import { thinnedNearer, thinSchema } from './shelf';
import {
  calibrate,
  calibrateSchema,
  crackSchema,
  snapToCrack,
  findKnown,
  findRegion,
  cornersSchema,
  findCorners,
  knownSchema,
  gapsSchema,
  photoQuality,
  qualitySchema,
  readGaps,
  regionSchema,
} from './sight';
import { nestPatches, nestSchema } from './nest';
import { placePatch, placeSchema } from './spot';
import { camberOf, camberSchema } from './stack';
import {
  designPatch,
  designSchema,
  leavesPlan,
  leavesSchema,
  rankStock,
  shimsPlan,
  shimsSchema,
  stockRankSchema,
} from './veneer';
import { finishFromTests, finishTestSchema } from './finish';
import { tapMap, tapMapSchema } from './tapping';
import { rectify, rectifySchema } from './geometry';
import { rankMethods, rankSchema, type RankInput } from './method';
import { jobPlan, jobSchema, jobTasks, planSchema } from './job';
import { lengthSchema, readLength } from './length';
import { equilibriumMoisture, moistureSchema, movementSchema, woodMovement } from './wood';

/** A door to the trade's sums: what its schema takes, and what comes out. */
type Computation<T, R> = { input: ObjectSchema<T>; run: (input: unknown, job: JobContext) => R };

/** Ties a schema to the function it guards: what the schema takes is what the function is typed for. */
const computation = <T, R>(
  input: ObjectSchema,
  run: (value: T, job: JobContext) => R,
  name: string,
): Computation<T, R> => ({
  input,
  run: (value, job) => run(assertValid<T>(input, value, name), job),
});

/**
 * Every heavy or stand-alone computation by name. The worker, `POST /api/compute/:name` and `npm run --silent core -- NAME`
 * are three thin doors to it. Names and shapes are an interface: add, do not change.
 */
const BY_NAME = {
  'wood.moisture': computation(
    moistureSchema,
    ({ temperatureC, relativeHumidity }: { temperatureC: number; relativeHumidity: number }) => ({
      moistureContent: equilibriumMoisture(temperatureC, relativeHumidity),
    }),
    'wood.moisture',
  ),
  'wood.movement': computation(movementSchema, woodMovement, 'wood.movement'),
  'colour.difference': computation(differenceSchema, colourDifference, 'colour.difference'),
  'colour.mix': computation(mixSchema, mixColour, 'colour.mix'),
  'colour.layers': computation(coatsSchema, layColour, 'colour.layers'),
  'colour.choose': computation(chooseSchema, chooseCoats, 'colour.choose'),
  'colour.thin': computation(thinSchema, thinnedNearer, 'colour.thin'),
  'colour.even': computation(evenSchema, evenOut, 'colour.even'),
  'colour.fit': computation(fitSchema, fitBoards, 'colour.fit'),
  'geometry.rectify': computation(rectifySchema, rectify, 'geometry.rectify'),
  'damage.tapmap': computation(tapMapSchema, tapMap, 'damage.tapmap'),
  'press.field': computation(fieldSchema, pressField, 'press.field'),
  'press.arrange': computation(arrangeSchema, arrange, 'press.arrange'),
  'press.camber': computation(camberSchema, camberOf, 'press.camber'),
  'letin.plug': computation(plugSchema, plugPlan, 'letin.plug'),
  'letin.dutchman': computation(dutchmanSchema, dutchmanPlan, 'letin.dutchman'),
  'letin.feet': computation(feetSchema, feetPlan, 'letin.feet'),
  'letin.sliver': computation(sliverSchema, sliverPlan, 'letin.sliver'),
  'letin.strips': computation(stripsSchema, stripsPlan, 'letin.strips'),
  'letin.banding': computation(bandingSchema, bandingPlan, 'letin.banding'),
  'letin.part': computation(partSchema, partPlan, 'letin.part'),
  'letin.boards': computation(lumberSchema, lumberPlan, 'letin.boards'),
  'veneer.match': computation(stockRankSchema, rankStock, 'veneer.match'),
  'veneer.nest': computation(nestSchema, nestPatches, 'veneer.nest'),
  'veneer.shims': computation(shimsSchema, shimsPlan, 'veneer.shims'),
  'veneer.face': computation(leavesSchema, leavesPlan, 'veneer.face'),
  'veneer.outline': computation(designSchema, designPatch, 'veneer.outline'),
  'veneer.place': computation(placeSchema, placePatch, 'veneer.place'),
  'photo.known': computation(knownSchema, findKnown, 'photo.known'),
  'photo.corners': computation(cornersSchema, findCorners, 'photo.corners'),
  'photo.region': computation(regionSchema, findRegion, 'photo.region'),
  'photo.gaps': computation(gapsSchema, readGaps, 'photo.gaps'),
  'photo.calibrate': computation(calibrateSchema, calibrate, 'photo.calibrate'),
  'photo.crack': computation(crackSchema, snapToCrack, 'photo.crack'),
  'photo.quality': computation(qualitySchema, photoQuality, 'photo.quality'),
  'letin.pilot': computation(pilotSchema, pilotPlan, 'letin.pilot'),
  'letin.drawer': computation(drawerSchema, drawerPlan, 'letin.drawer'),
  'joint.across': computation(acrossSchema, clampsAcross, 'joint.across'),
  'joint.close': computation(closeSchema, closePlan, 'joint.close'),
  'fill.plan': computation(fillSchema, fillPlan, 'fill.plan'),
  'level.plan': computation(levelSchema, levelPlan, 'level.plan'),
  'finish.test': computation(finishTestSchema, finishFromTests, 'finish.test'),
  'units.length': computation(lengthSchema, readLength, 'units.length'),
  'method.rank': computation(rankSchema, (value: RankInput) => rankMethods(value), 'method.rank'),
  'job.plan': computation(planSchema, jobPlan, 'job.plan'),
  'job.tasks': computation(jobSchema, jobTasks, 'job.tasks'),
  'bench.schedule': computation(scheduleSchema, schedule, 'bench.schedule'),
};

export type ComputationName = keyof typeof BY_NAME;
type Row<N extends ComputationName> = (typeof BY_NAME)[N];
/** What a computation takes, before its schema has looked at it. */
export type Input<N extends ComputationName> = Row<N>['input'] extends ObjectSchema<infer T> ? T : never;
export type Answer<N extends ComputationName> = Awaited<ReturnType<Row<N>['run']>>;

export const COMPUTATIONS: ReadonlyMap<string, Computation<unknown, unknown>> = new Map(
  Object.entries(BY_NAME),
);

/**
 * Runs a computation by name.
 *
 * @throws RangeError for a name that does not exist, input that does not pass the schema, and impossible quantities
 */
export async function compute(name: string, input: unknown, job: JobContext = {}): Promise<unknown> {
  const found = COMPUTATIONS.get(name);
  if (!found)
    throw new RangeError(
      `There is no computation “${name}”. There are: ${[...COMPUTATIONS.keys()].join(', ')}.`,
    );
  return found.run(input, job);
}
