import { attempt } from '../check';
import { chainWords, refusalOf } from '../method';
import { clampById } from '../press';
import { lowerFirst } from '../terms';
import { inUnits, type ShopUnits } from '../units';
import { caseOf } from './decide';
import { linkPlansOf, type LinkPlan } from './links';
import { repairOf, type Repair } from './repairs';
import type { Damage, Face, Named, Piece, KnownShop } from './types';

export const unitsOf = ({ lengthUnit, temperatureUnit }: KnownShop): ShopUnits => ({
  length: lengthUnit,
  temperature: temperatureUnit,
});

/** With what a link is glued and held. */
function gluedWords({ glue, clamps, held, heldWords }: LinkPlan): string | undefined {
  if (!glue) return undefined;
  const kinds = Object.entries(clamps ?? {}).map(([kind, count]) => `${count} × ${clampById(kind).label}`);
  const clamped = kinds.length > 0 && !held ? `${kinds.join(', ')}.` : '';
  return [`Glue: ${glue.label}.`, clamped, heldWords].filter(Boolean).join(' ');
}

/** What is to be done to a damage, in words for paper: the whole chain, why, with what, and that it goes against the advice if it does. */
export function repairWords(
  job: {
    piece: Named<Piece>;
    faces: readonly Named<Face>[];
    damages: readonly Named<Damage>[];
    shop: KnownShop;
  },
  damage: Named<Damage>,
): string {
  const { piece, faces, damages, shop } = job;
  const repair = repairOf(piece, faces, damages, damage, shop);
  return wordsOf(repair, linkPlansOf(repair, shop), piece, shop);
}

/** The same of a repair that is worked out already. */
export function wordsOf(
  { damage, face, onFace, chain }: Repair,
  links: readonly LinkPlan[],
  piece: Named<Piece>,
  shop: KnownShop,
): string {
  const { method, methodReason } = damage.body;
  if (!method)
    return chain
      ? `Repair not decided. Proposed: ${lowerFirst(chainWords(chain.first, chain.method, chain.then))}.`
      : 'Repair not decided.';
  const refused = attempt(() => refusalOf(caseOf(piece.body, face?.body, damage.body, onFace, shop), method));
  // The user's own reason stands as it was typed.
  const say = (text: string): string => inUnits(text, unitsOf(shop));
  return [
    `${chain ? chainWords(chain.first, chain.method, chain.then) : ''}.`,
    refused.ok && refused.value
      ? say(`Chosen against the advice: ${refused.value.map((b) => b.text).join(' ')}`)
      : undefined,
    methodReason ? `Reason: ${methodReason}` : undefined,
    ...links.map((link) => say(gluedWords(link) ?? '')),
  ]
    .filter(Boolean)
    .join(' ');
}
