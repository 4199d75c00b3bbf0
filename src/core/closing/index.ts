export {
  CLOSE_SOURCE,
  closePlan,
  closeSchema,
  GLUE_BRIDGES_MM,
  type CloseInput,
  type ClosePlan,
} from './close';
