export { type Condition, CONDITION_FORMULA, CONDITION_SOURCE, conditionOf, type Counted } from './condition';
