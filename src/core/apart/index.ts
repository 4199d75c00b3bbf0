export {
  JOINTS,
  OLD_GLUES,
  reopen,
  takeApart,
  type JointId,
  type OldGlue,
  type TakenApart,
} from './takeApart';
export { assemblyOrder, type PartInOrder } from './order';
export {
  REACH_SOURCE,
  reachPlan,
  type Reach,
  type ReachInput,
  type ReachPlan,
  type Standing,
  STANDINGS,
} from './reach';
