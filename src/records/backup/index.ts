export { writeBackup, type Counts, type Manifest } from './write';
export { readBackup, type Backup } from './read';
export { previewBackup, type Conflict, type Preview, type TakeChoices } from './compare';
export { takeBackup, takeBackupBack, type Taken } from './take';
export { counted } from './words';
