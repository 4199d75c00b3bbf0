export {
  CAMI_GRITS,
  EDGE_FACTOR,
  END_GRIT_SOURCE,
  GRITS,
  LEAST_LEFT_MM,
  sandingBudget,
  type SandingBudget,
  SCRATCH_SHARE,
  START_GRIT_SOURCE,
  THIN_VENEER_MM,
} from './budget';
