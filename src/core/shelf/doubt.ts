import { deltaE00, type Tones } from '../colour';
import { memory, sourced } from '../sources';

/** A swatch whose light and dark parts lie further apart than this shows more than what was meant. ΔE00 */
const WIDEST = {
  product: sourced(8, memory('a product on white paper is even but for its brush marks')),
  wood: sourced(30, memory('burr walnut spreads over some twenty, its lines beside its ground')),
};

/** What speaks against a photo that was taken for a swatch; nothing where it is as even as such a thing is. */
export function swatchDoubt({ ground, line }: Tones, of: keyof typeof WIDEST): string | undefined {
  const apart = deltaE00(ground, line);
  if (apart <= WIDEST[of].value) return undefined;
  return `Its light and dark parts lie ${apart.toFixed(0)} ΔE00 apart, more than ${of === 'product' ? 'one product' : 'one wood'} has: is it that alone, filling the picture, in even light? What is predicted from it is as unsure.`;
}
