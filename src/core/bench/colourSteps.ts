import { step, type Deed, type PhaseId } from '../catalogue';
import { COAT_WAITS, SEAL_STEP, type BlendPlan, type BlendStep } from '../colour';
import type { CoatKind } from '../pigment';
import type { Sourced } from '../sources';
import { plain, type WorkedStep } from './worked';

/** What is done at each step of a blend, for its cautions. */
export const BLEND_DEEDS: Record<BlendStep['id'], readonly Deed[]> = {
  wipe: ['solvent'],
  look: [],
  dye: ['solvent', 'oil'],
  lines: ['solvent', 'oil'],
  seal: ['solvent'],
  glaze: ['solvent'],
  toner: ['solvent', 'spray', 'oil'],
};
const BLEND_PHASE: Record<BlendStep['id'], PhaseId> = { wipe: 'stain', look: 'stain', dye: 'stain', lines: 'stain', seal: 'seal', glaze: 'blend', toner: 'blend' }; // prettier-ignore
const BLEND_ATTENDED: Record<BlendStep['id'], number> = {
  wipe: 10,
  look: 5,
  dye: 15,
  lines: 15,
  seal: 10,
  glaze: 20,
  toner: 10,
};

const fromBlend = (s: BlendStep): WorkedStep =>
  plain(
    step(
      s.id,
      BLEND_PHASE[s.id],
      s.title,
      s.scuffGrit ? `${s.detail} Scuff with ${s.scuffGrit.value} (ISO 6344) when dry.` : s.detail,
      BLEND_ATTENDED[s.id],
      BLEND_DEEDS[s.id],
      { wait: s.waitMin },
    ),
    `blend.${s.id}`,
  );

/** Thin coats of one product of the shelf, as they were decided on. */
export type ProductCoats = {
  name: string;
  kind: CoatKind;
  coats: number;
  /** How much is mixed, and how thin. */
  words: string;
};

/** Which step of a blend a coat is like, for its phase, its minutes and its cautions. */
const LIKE: Record<CoatKind, BlendStep['id']> = { dye: 'dye', glaze: 'glaze', toner: 'toner', clear: 'seal' };
const WAIT: Record<CoatKind, Sourced> = {
  dye: COAT_WAITS.stain,
  glaze: COAT_WAITS.toner,
  toner: COAT_WAITS.toner,
  clear: COAT_WAITS.seal,
};
/** Coats that go over a seal. */
export const SEALED_UNDER: readonly CoatKind[] = ['glaze', 'toner'];

/** Each coat is a step with its own wait; the first says what is mixed. @param from how many coats of the repair came before */
const coatsOf = ({ name, kind, coats, words }: ProductCoats, from: number): WorkedStep[] =>
  Array.from({ length: coats }, (_, i) =>
    plain(
      step(
        `colour${from + i + 1}`,
        kind === 'clear' ? 'blend' : BLEND_PHASE[LIKE[kind]],
        coats === 1 ? `A thin coat of ${name}` : `${name}, coat ${i + 1} of ${coats}`,
        i === 0 ? words : 'Of the same mix, when the coat below is dry. Look before the next.',
        BLEND_ATTENDED[LIKE[kind]],
        BLEND_DEEDS[LIKE[kind]],
        { wait: WAIT[kind] },
      ),
      `blend.${LIKE[kind]}`,
    ),
  );

/** The steps of colouring: the coats that were decided on with what is asked on the way, else what the blend begins with. @param coats in the order in which they go on */
export function colourSteps(blend: BlendPlan | undefined, coats: readonly ProductCoats[]): WorkedStep[] {
  const planned = blend?.steps ?? [];
  if (coats.length === 0) return planned.map(fromBlend);
  const asked = (id: BlendStep['id']): WorkedStep[] => planned.filter((s) => s.id === id).map(fromBlend);
  let laid = 0;
  const laidOn = (kinds: readonly CoatKind[]): WorkedStep[] =>
    coats
      .filter((c) => kinds.includes(c.kind))
      .flatMap((c) => {
        const own = coatsOf(c, laid);
        laid += own.length;
        return own;
      });
  const dyed = laidOn(['dye']);
  const over = laidOn(['glaze', 'toner', 'clear']);
  const seal = coats.some((c) => SEALED_UNDER.includes(c.kind)) ? [fromBlend(SEAL_STEP)] : [];
  // It is looked at after the first coat of colour.
  const [before, [first, ...rest]] = dyed.length > 0 ? [[], [...dyed, ...seal, ...over]] : [seal, over];
  return [...asked('wipe'), ...before, ...(first ? [first] : []), ...asked('look'), ...rest];
}
