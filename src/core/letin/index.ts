export { PLUG_SOURCE, plugPlan, plugSchema, type PlugInput, type PlugPlan } from './plug';
export {
  DUTCHMAN_MARGIN_MM,
  dutchmanPlan,
  dutchmanSchema,
  type DutchmanInput,
  type DutchmanPlan,
} from './dutchman';
export { stripsPlan, stripsSchema, type StripsInput, type StripsPlan } from './strips';
