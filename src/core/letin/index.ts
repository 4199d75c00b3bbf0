export { PLUG_SOURCE, plugPlan, plugSchema, type PlugInput, type PlugPlan } from './plug';
export {
  DUTCHMAN_MARGIN_MM,
  dutchmanPlan,
  dutchmanSchema,
  type DutchmanInput,
  type DutchmanPlan,
} from './dutchman';
export { stripsPlan, stripsSchema, type StripsInput, type StripsPlan } from './strips';
export { FELT_MM, feetPlan, feetSchema, type FeetInput, type FeetPlan, type Foot } from './feet';
export { sliverPlan, sliverSchema, type SliverInput, type SliverPlan } from './sliver';
