export { waysThatMatter } from './relevant';
export { waysSchema } from './schema';
export {
  WAY_IDS,
  WAYS,
  WAYS_SOURCE,
  waysFor,
  type Way,
  type WayChoices,
  type WayId,
  type Ways,
} from './ways';
