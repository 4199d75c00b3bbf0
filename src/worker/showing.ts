// What is shown of repairs and cut from the stock.
import * as Comlink from 'comlink';
import type { RepairView, Spot, SpotSearch } from '@/core/job';
import { designPatch, type Design, type DesignInput } from '@/core/veneer';
import type { Store } from '@/records/store';
import type { Raster } from '@/core/picture';
import { cuttingOf, type CuttingPlan } from './cutting';
import { repairLooker, type Look } from './looks';
import { spotLooker, spotsOf, type FoundSpots, type SpotRoom } from './spots';
import { job, type Outcome, type Progress } from './job';

export const showing = (darkroom: SpotRoom, store: Store) => {
  const lookAt = spotLooker(darkroom);
  const lookAtRepair = repairLooker(darkroom.redraw, lookAt);
  return {
    /** The best spots on a sheet for a patch, each as a picture of the patched face. */
    spots(id: number, search: SpotSearch, onProgress?: Progress): Promise<Outcome<FoundSpots>> {
      return job(id, onProgress, (context) => spotsOf(search, darkroom, context));
    },

    /** The face with its patch from one place of the sheet, its pixels handed over. */
    spotLook(id: number, search: SpotSearch, at: Spot, toned: boolean): Promise<Outcome<Raster>> {
      return job(id, undefined, () => lookAt(search, at, toned)).then((outcome) =>
        'value' in outcome ? Comlink.transfer(outcome, [outcome.value.data.buffer]) : outcome,
      );
    },

    /** A repair on its face in one colour, its pixels handed over. */
    repairLook(id: number, repair: RepairView, look: Look): Promise<Outcome<Raster>> {
      return job(id, undefined, () => lookAtRepair(repair, look)).then((outcome) =>
        'value' in outcome ? Comlink.transfer(outcome, [outcome.value.data.buffer]) : outcome,
      );
    },

    design(id: number, input: DesignInput, onProgress?: Progress): Promise<Outcome<{ ranked: Design[] }>> {
      return job(id, onProgress, (context) => designPatch(input, context));
    },

    /** What is cut from which sheet and board, over all pieces in work. */
    cutting(id: number, onProgress?: Progress): Promise<Outcome<CuttingPlan>> {
      return job(id, onProgress, (context) => cuttingOf(store, context));
    },
  };
};
