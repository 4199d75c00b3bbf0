export { figureOf, type Figure } from './figure';
export { LAYING, learnedFrom, type Learned } from './learned';
