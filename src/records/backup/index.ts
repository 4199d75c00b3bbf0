export { writeBackup, type Counts, type Manifest } from './write';
export { readBackup, type Backup } from './read';
export { previewBackup, type Conflict, type Preview } from './compare';
export type { TakeChoices } from './lay';
export type { Question } from './standing';
export { takeBackup, takeBackupBack, type Taken } from './take';
export { counted } from '../words';
