export { arrange, type Arranged } from './arrange';
export {
  arrangeSchema,
  type Arrangement,
  type ArrangeInput,
  type OwnedClamp,
  type PlacedClamp,
} from './input';
