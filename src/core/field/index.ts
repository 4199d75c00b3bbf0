export { fieldSchema, pressField, type FieldInput, type PressField } from './field';
export type { CaulInput } from './plate';
