import type { Deed, MaterialId } from '../catalogue';
import { figureOf } from '../figures';
import { memory, practice, sourced, type Source, type Sourced } from '../sources';
import type { FinishGoal } from '../terms';

export type Coats = {
  title: string;
  detail: string;
  count: Sourced;
  /** What is spread, coat by coat; the last one stands for those after it. */
  materials: readonly MaterialId[];
  between: Sourced;
  /** From the last coat until the piece may be handled. */
  handleMin: Sourced;
  /** From the last coat until the film is hard enough for a full rub; none where nothing is rubbed. */
  rub?: { wait: Sourced; detail: string };
  deeds: readonly Deed[];
  /** Of the figures in its words. */
  source: Source;
};

const HOUR = 60;
const DAY = 24 * HOUR;
const WORDS = practice('coats, scuffing and waits as the trade has them');
const label = (what: string) => memory(`${what}; the label goes first`);

/** Top coats by finish. Grits are P grades (ISO 6344). */
export const COATS: Record<Exclude<FinishGoal, 'keep'>, Coats> = {
  shellac: {
    title: 'Shellac',
    materials: ['shellac'],
    detail: 'Thin coats; scuff at P320 (ISO 6344) between.',
    count: sourced(3, practice('one or two coats of sealer, up to about six in all')),
    between: sourced(2 * HOUR, label('a thin coat of shellac is scuffed after about two hours')),
    handleMin: sourced(DAY, label('shellac is handled the next day')),
    rub: {
      wait: sourced(3 * DAY, label('shellac is rubbed after some days')),
      detail: 'Level dust and lap marks when it no longer prints; bring the sheen together.',
    },
    deeds: ['solvent'],
    source: WORDS,
  },
  lacquer: {
    title: 'Lacquer',
    materials: ['lacquer'],
    detail: 'Three coats; scuff at P400 (ISO 6344) between.',
    count: sourced(3, practice('three coats of lacquer')),
    between: sourced(HOUR, label('lacquer is scuffed after about an hour')),
    handleMin: sourced(DAY, label('lacquer is handled the next day')),
    rub: {
      wait: sourced(2 * DAY, practice('lacquer hardens for two to seven days before a full rub')),
      detail: 'Two days at the least, seven are better. Level dust and lap marks; bring the sheen together.',
    },
    deeds: ['solvent', 'spray'],
    source: WORDS,
  },
  varnish: {
    title: 'Varnish',
    materials: ['varnish'],
    detail: 'Three coats, dust-free; scuff at P320 (ISO 6344) between.',
    count: sourced(3, practice('three coats of varnish')),
    between: sourced(12 * HOUR, label('varnish is scuffed the next day')),
    handleMin: sourced(2 * DAY, label('varnish is handled after two days')),
    rub: {
      wait: sourced(7 * DAY, practice('varnish hardens for one to two weeks before a full rub')),
      detail: 'A week at the least, two are better. Level dust and lap marks; bring the sheen together.',
    },
    deeds: ['solvent', 'oil'],
    source: WORDS,
  },
  oil: {
    title: 'Hard-wax oil',
    materials: ['hardWaxOil'],
    detail: 'With a pad finer than the last grit; buff off after 1–2 h. Fully hard after about 30 days.',
    count: sourced(2, practice('two thin coats, each buffed off')),
    between: sourced(12 * HOUR, label('the second coat follows the next day')),
    handleMin: sourced(
      DAY,
      practice('buffed off after 1–2 h, handled the next day, full cure about 30 days'),
    ),
    deeds: ['oil'],
    source: WORDS,
  },
  paint: {
    title: 'Prime and paint',
    materials: ['primer', 'paint'],
    detail:
      'Primer, then two coats; scuff at P320 (ISO 6344) between. Rubbing and washing wait as the label says.',
    count: sourced(3, practice('a primer and two coats')),
    between: sourced(4 * HOUR, label('paint is coated again after some hours')),
    handleMin: sourced(DAY, label('paint is handled the next day')),
    deeds: ['solvent'],
    source: WORDS,
  },
};

/** What a shop may enter of its own top coats; it goes before the table. */
export type CoatFigure = 'count' | 'between' | 'handleMin';
export type OwnCoats = Partial<Record<CoatFigure, number>>;

export const COAT_FIGURES: Record<CoatFigure, { label: string; unit: string; least: number; most: number }> =
  {
    count: { label: 'Coats', unit: '', least: 1, most: 9 },
    between: { label: 'From coat to coat', unit: 'min', least: 5, most: 10_080 },
    handleMin: { label: 'From the last coat until it is handled', unit: 'min', least: 5, most: 40_320 },
  };

/** The coats of a finish as this shop has them. */
export function coatsOf(goal: keyof typeof COATS, own: OwnCoats = {}): Coats {
  const book = COATS[goal];
  const by = 'your own product, entered in the shop';
  const of = (f: CoatFigure) => figureOf(book[f], { own: { value: own[f], by } });
  return { ...book, count: of('count'), between: of('between'), handleMin: of('handleMin') };
}
