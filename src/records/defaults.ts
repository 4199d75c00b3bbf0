export { DEFAULT_SHOP, INSET_CORNERS, newDamage, newFace, newPiece } from '@/core/job';

export const SHOP_ID = 'shop';
