export { PLUG_SOURCE, plugPlan, plugSchema, type PlugInput, type PlugPlan } from './plug';
export {
  DUTCHMAN_MARGIN_MM,
  dutchmanPlan,
  dutchmanSchema,
  type DutchmanInput,
  type DutchmanPlan,
} from './dutchman';
export { stripOutlines, stripsPlan, stripsSchema, type StripsInput, type StripsPlan } from './strips';
export { FELT_MM, feetPlan, feetSchema, type FeetInput, type FeetPlan, type Foot } from './feet';
export { sliverOutlines, sliverPlan, sliverSchema, type SliverInput, type SliverPlan } from './sliver';
export { GAUGES, PILOT_SOURCE, pilotPlan, pilotSchema, type PilotInput, type PilotPlan } from './pilot';
export { BANDING_SOURCE, bandingPlan, bandingSchema, type BandingInput, type BandingPlan } from './banding';
export { PART_SOURCE, partPlan, partSchema, type PartInput, type PartPlan } from './part';
export {
  lumberPlan,
  lumberSchema,
  takeWords,
  type Blanks,
  type Lumber,
  type LumberInput,
  type LumberPlan,
  type LumberTake,
} from './lumber';
export { DRAWER_SOURCE, drawerPlan, drawerSchema, type DrawerInput, type DrawerPlan } from './drawer';
