export { figureOf, LEAST_OBSERVED, type Figure } from './figure';
export { LAYING, learnedFrom, type Learned } from './learned';
