export { DEFAULT_SHOP, INSET_CORNERS, newDamage, newFace, newLumber, newPiece } from '@/core/job';

export const SHOP_ID = 'shop';
