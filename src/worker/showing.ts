// What is shown of repairs and cut from the stock.
import type { JobContext } from '@/core/check';
import type { RepairView, Spot, SpotSearch } from '@/core/job';
import { designPatch, type Design, type DesignInput } from '@/core/veneer';
import type { Store } from '@/records/store';
import type { Raster } from '@/core/picture';
import { cuttingOf, type CuttingPlan } from './cutting';
import { repairLooker, type Look } from './looks';
import { spotLooker, spotsOf, type FoundSpots, type SpotRoom } from './spots';

export const showing = (darkroom: SpotRoom, store: Store) => {
  const lookAt = spotLooker(darkroom);
  const lookAtRepair = repairLooker(darkroom.redraw, lookAt);
  return {
    /** The best spots on a sheet for a patch, each as a picture of the patched face. */
    spots: (search: SpotSearch, context: JobContext): Promise<FoundSpots> =>
      spotsOf(search, darkroom, context),

    /** The face with its patch from one place of the sheet. @param toned its mean colour brought to that of the wood round it */
    spotLook: ({ search, at, toned }: { search: SpotSearch; at: Spot; toned: boolean }): Promise<Raster> =>
      lookAt(search, at, toned),

    /** A repair on its face in one colour, as it is seen from where one stands. */
    repairLook: ({ repair, look }: { repair: RepairView; look: Look }): Promise<Raster> =>
      lookAtRepair(repair, look),

    /** Outlines of a patch, the least seen first. */
    design: (input: DesignInput, context: JobContext): Promise<{ ranked: Design[] }> =>
      designPatch(input, context),

    /** What is cut from which sheet and board, over all pieces in work. */
    cutting: (_: object, context: JobContext): Promise<CuttingPlan> => cuttingOf(store, context),
  };
};
