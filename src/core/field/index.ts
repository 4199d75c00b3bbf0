export { fieldSchema, pressField, type FieldInput, type PressField } from './field';
export { camberOf, camberSchema, MOST_CAMBER_SHARE, type Camber, type CamberInput } from './camber';
export type { CaulInput } from './plate';
