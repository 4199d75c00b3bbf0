export {
  derived,
  describeSource,
  measured,
  memory,
  practice,
  published,
  type Source,
  sourced,
  type Sourced,
} from './source';
