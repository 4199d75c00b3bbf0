export {
  CAMI_GRITS,
  EDGE_FACTOR,
  GRITS,
  LEAST_LEFT_MM,
  sandingBudget,
  type SandingBudget,
  SCRATCH_SHARE,
  THIN_VENEER_MM,
} from './budget';
