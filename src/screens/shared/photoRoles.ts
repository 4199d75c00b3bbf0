import type { PhotoRole } from '@/records';

export const PHOTO_ROLES: Record<PhotoRole, string> = {
  overall: 'Overall',
  raking: 'In raking light',
  detail: 'Detail',
  before: 'Before',
  after: 'After',
};
