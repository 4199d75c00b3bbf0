import { MATERIALS } from '../catalogue';
import { formatSmall } from '../units';
import type { Amount } from './amounts';

/** An amount in words: “1.4 g”, “10 ml”, “80 mm × 52 mm”. Nothing for what only has to be at hand. @param length a length in words */
export function amountWords(amount: Amount, length: (mm: number) => string): string | undefined {
  switch (amount.of) {
    case 'weight':
      return `${formatSmall(amount.grams)} g`;
    case 'volume':
      return amount.parts
        ? `${formatSmall(amount.ml)} ml: ${formatSmall(amount.ml / amount.parts)} ml of each part`
        : `${formatSmall(amount.ml)} ml`;
    case 'wood': {
      const sides = [
        amount.alongMm,
        amount.acrossMm,
        ...(amount.thickMm === undefined ? [] : [amount.thickMm]),
      ];
      const size = sides.map(length).join(' × ');
      return (amount.count ?? 1) > 1 ? `${amount.count} of ${size}` : size;
    }
    case 'pieces':
      return `${amount.count} of ${length(amount.diameterMm)}`;
    case 'tool':
      return undefined;
  }
}

export const materialLabel = (amount: Amount): string => MATERIALS[amount.material];
