import { inUnits, type ShopUnits } from '../units';
import type { Page } from './drawing';

/** Pages whose words are put into the units of a shop; what is drawn keeps its size. */
export const pagesInUnits = (pages: readonly Page[], units: ShopUnits): Page[] =>
  pages.map((page) => ({
    ...page,
    marks: page.marks.map((m) => (m.kind === 'text' ? { ...m, text: inUnits(m.text, units) } : m)),
  }));
