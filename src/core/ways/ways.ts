import { practice, type Source } from '../sources';
import type { School } from '../terms';

/** One of the ways a question is answered in the trade: its reason, and the case it fits. */
export type Way = { label: string; why: string; fits: string };

type Question<W extends string> = {
  question: string;
  /** What of a plan follows from it. */
  changes: string;
  ways: Record<W, Way>;
  /** What the plan takes until the user switches. */
  suggested: Record<School, W>;
};

const ask = <W extends string>(
  question: string,
  changes: string,
  ways: Record<W, Way>,
  suggested: Record<School, NoInfer<W>>,
): Question<W> => ({ question, changes, ways, suggested });

const every = <W extends string>(way: W): Record<School, W> => ({ conserve: way, clear: way, paint: way });

export const WAYS_SOURCE: Source = practice('practitioners differ; both ways are in use');

/** Where practitioners disagree: both ways, the reason of each, and what each fits. */
// prettier-ignore
export const WAYS = {
  acid: ask(
    'Oxalic acid on the mark only, or on the whole panel?',
    'The acid step, and how much acid is mixed.',
    {
      spot: { label: 'The mark only', why: 'As little of the old surface as possible is touched; brushed on and watched.', fits: 'Conserving, and a small mark on a face that keeps its colour.' },
      panel: { label: 'The whole panel', why: 'No lighter island is left around the mark.', fits: 'A face that is stripped and coloured anew.' },
    },
    { conserve: 'spot', clear: 'panel', paint: 'panel' },
  ),
  thinVeneer: ask(
    'How does a finish come off thin veneer?',
    'The step that takes the old finish off, its cautions, and where sanding begins.',
    {
      strip: { label: 'Strip it chemically', why: 'Nothing of the veneer is taken; wiped off and hardly sanded.', fits: 'Commercial veneer under a millimetre.' },
      scrape: { label: 'Scrape it', why: 'No chemistry and no dust in the air; a card scraper takes the film and leaves the wood.', fits: 'Thick brittle films, sound flat veneer, a trained hand.' },
      sand: { label: 'Sand from P150', why: 'Quick on a small sound film, with care, edges by hand.', fits: 'Veneer that the budget allows to lose a tenth of a millimetre.' },
    },
    { conserve: 'scrape', clear: 'strip', paint: 'strip' },
  ),
  patchOrder: ask(
    'Patch before or after stripping?',
    'The order of the phases: patches move before or after the strip. Reglueing always comes before both.',
    {
      after: { label: 'After', why: 'Colour and figure of the bare wood are seen when the patch is chosen.', fits: 'Clear finishes that must match.' },
      before: { label: 'Before', why: 'Squeeze-out and levelling marks go with the stripper; the old film protects the wood.', fits: 'Paint, and patches whose wood is certain.' },
    },
    { conserve: 'after', clear: 'after', paint: 'before' },
  ),
  crackOrder: ask(
    'Fill cracks before or after stripping?',
    'The phase in which cracks are closed with dust and glue, or poured.',
    {
      before: { label: 'Before', why: 'Stripper does not creep into the crack and attack new glue.', fits: 'Cracks that go through, water-rinsed strippers.' },
      after: { label: 'After', why: 'The fill is chosen for the bare wood that is seen then.', fits: 'Show faces under a clear finish.' },
    },
    { conserve: 'after', clear: 'before', paint: 'before' },
  ),
  sandingDirection: ask(
    'Sand with the grain only, or across in between?',
    'The words of the sanding step.',
    {
      along: { label: 'With the grain only', why: 'No scratch across can be left behind by mistake.', fits: 'Hand sanding, stained work.' },
      across: { label: 'P150 and P220 across first', why: 'When the cross scratches are gone, the former grit’s are too: one sees the last of them go. The last strokes are with the grain.', fits: 'Flat faces, a trained eye, good light.' },
    },
    every('along'),
  ),
  clampTime: ask(
    'Clamped for the label’s least, or overnight?',
    'The time that clamps stay on, and so when the next batch can be clamped.',
    {
      label: { label: 'The label’s least', why: 'The glue holds by then; the clamps are free for the next.', fits: 'Unstressed veneer, few clamps.' },
      overnight: { label: 'Overnight in any case', why: 'Veneer springs, and a joint opened too early is spoilt for good.', fits: 'Sprung or curled veneer, structure, cold shops.' },
    },
    { conserve: 'overnight', clear: 'label', paint: 'label' },
  ),
  splitGlue: ask(
    'What glue goes into a split?',
    'The glue of a split or an end split, its times and its cautions.',
    {
      wood: { label: 'Hide or PVA, and clamps', why: 'Strong in a clean crack that closes; hide can be undone.', fits: 'Clean cracks that close by hand.' },
      epoxy: { label: 'Epoxy', why: 'Fills what does not quite meet and holds on old glue.', fits: 'Worn or dirty cracks that carry load.' },
      ca: { label: 'Thin cyanoacrylate', why: 'Runs into a hairline by itself and holds in seconds; it is brittle.', fits: 'Hairlines without load, nothing to clamp on.' },
    },
    every('wood'),
  ),
  glueAndForce: ask(
    'Much glue and force, or just enough and aimed?',
    'The glue that is mixed, and the pressure that clamps are counted for.',
    {
      aimed: { label: 'Just enough, aimed', why: 'A measured film under platens: no starved and no thick places, little bleeding through.', fits: 'Thin and porous veneer, flat ground.' },
      flooded: { label: 'Flood it, clamp hard', why: 'Glue reaches everywhere and what is too much is pressed out.', fits: 'Old uneven ground, solid joints.' },
    },
    every('aimed'),
  ),
  stickOrder: ask(
    'Fill sticks: dark first and lighten, or ground tone first?',
    'The words of the burn-in and hard-wax steps.',
    {
      ground: { label: 'Ground tone first', why: 'The lightest tone is the floor; darker lines are drawn in with the grain.', fits: 'Figured wood, fills that show.' },
      dark: { label: 'Dark first, lightened', why: 'A drop of light at a time is easier to stop at than a drop of dark.', fits: 'Small fills in one tone.' },
    },
    every('ground'),
  ),
  underPaint: ask(
    'A broken-out place under paint that carries no load: wood or filler?',
    'The repair that comes first for it. Where it carries load, at a lock, a hinge or a leg, wood is let in either way.',
    {
      fill: { label: 'Fill it', why: 'Putty or polyester is hard in an hour and paint hides it.', fits: 'Legs and corners that carry nothing.' },
      wood: { label: 'Let in wood', why: 'Wood moves with wood and never lets go at the rim.', fits: 'Edges that are knocked, pieces that last.' },
    },
    { conserve: 'wood', clear: 'wood', paint: 'fill' },
  ),
  veneerOrder: ask(
    'Veneer a face before or after its carcass is glued?',
    'The order in which whole faces are laid and joints are glued.',
    {
      after: { label: 'Glue the carcass, then veneer', why: 'The veneer runs over joints that have settled, and is not hurt by clamps.', fits: 'Cases that can be backed and reached.' },
      before: { label: 'Dry-fit, veneer the loose parts, then glue', why: 'A loose panel lies flat between two platens.', fits: 'Parts that come apart anyway, few deep clamps.' },
    },
    every('after'),
  ),
  coarsest: ask(
    'Begin thick old veneer with P100, or never below P150?',
    'The grit that sawn veneer of 1.2 mm and more begins with.',
    {
      p150: { label: 'Never below P150', why: 'What a coarse grit has dug is not put back.', fits: 'Everything that is not known for certain.' },
      p100: { label: 'P100 with the grain', why: 'Old sawn veneer bears it, and deep marks go in half the time.', fits: 'Sawn veneer measured at an edge.' },
    },
    every('p150'),
  ),
};

export type WayId = keyof typeof WAYS;
export type Ways = { [K in WayId]: keyof (typeof WAYS)[K]['ways'] };
export type WayChoices = Partial<Ways>;

export const WAY_IDS = Object.keys(WAYS) as WayId[];

/** What a plan takes: what the user switched to, else what the school suggests. */
export function waysFor(school: School, chosen: WayChoices = {}): Ways {
  return {
    acid: chosen.acid ?? WAYS.acid.suggested[school],
    thinVeneer: chosen.thinVeneer ?? WAYS.thinVeneer.suggested[school],
    patchOrder: chosen.patchOrder ?? WAYS.patchOrder.suggested[school],
    crackOrder: chosen.crackOrder ?? WAYS.crackOrder.suggested[school],
    sandingDirection: chosen.sandingDirection ?? WAYS.sandingDirection.suggested[school],
    clampTime: chosen.clampTime ?? WAYS.clampTime.suggested[school],
    splitGlue: chosen.splitGlue ?? WAYS.splitGlue.suggested[school],
    glueAndForce: chosen.glueAndForce ?? WAYS.glueAndForce.suggested[school],
    stickOrder: chosen.stickOrder ?? WAYS.stickOrder.suggested[school],
    underPaint: chosen.underPaint ?? WAYS.underPaint.suggested[school],
    veneerOrder: chosen.veneerOrder ?? WAYS.veneerOrder.suggested[school],
    coarsest: chosen.coarsest ?? WAYS.coarsest.suggested[school],
  };
}
