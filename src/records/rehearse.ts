import { methodById, PRESSED_FAMILIES } from '@/core/catalogue';
import { pressPlan, repairsOf } from '@/core/job';
import { browserStore } from './browserStore';
import { DEFAULT_SHOP, SHOP_ID } from './defaults';
import { isOf } from './reading';

/** A piece with more would hold up the page that it is to make quick. */
const MOST_DAMAGES = 8;
/** To read more, while the worker reads them too, would cost more than it spares. */
const MOST_RECORDS = 500;

/**
 * Works out the repairs of one piece, and presses one of them, while nobody waits: what has run once answers at once when a page asks. A
 * fault here is told by the page that meets it.
 */
export async function rehearse(): Promise<void> {
  if ((await browserStore.keys()).records.length > MOST_RECORDS) return;
  const { records } = await browserStore.listAll(['piece', 'face', 'damage', 'shop']);
  const shop = records.find((r) => isOf(r, 'shop') && r.id === SHOP_ID);
  const damages = records.filter((r) => isOf(r, 'damage'));
  const piece = records
    .filter((r) => isOf(r, 'piece'))
    .find((p) => {
      const own = damages.filter((d) => d.body.pieceId === p.id).length;
      return !p.body.rest && own > 0 && own <= MOST_DAMAGES;
    });
  if (!piece) return;
  const known = shop && isOf(shop, 'shop') ? shop.body : DEFAULT_SHOP;
  const faces = records.filter((r) => isOf(r, 'face'));
  for (const { treated, chain, survey, damage } of repairsOf(piece, faces, damages, known)) {
    if (!chain || !survey.ok || !PRESSED_FAMILIES.includes(methodById(chain.method).family)) continue;
    pressPlan(treated, chain.method, damage.body, survey.value, known);
    return;
  }
}
