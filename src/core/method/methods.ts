import type { DamageKind } from '../damage';

export type MethodId =
  | 'floodAndPress'
  | 'injectAndPress'
  | 'reactivate'
  | 'liftAndRelay'
  | 'tack'
  | 'veneerPatch'
  | 'harvestedPatch'
  | 'edgeStrip'
  | 'sawnStrip'
  | 'reveneer'
  | 'bareFiller'
  | 'polyesterFiller'
  | 'epoxyPutty'
  | 'burnIn'
  | 'hardWax'
  | 'softWax'
  | 'colourPutty'
  | 'leave';

export type Criterion = 'strength' | 'invisibility' | 'reversibility' | 'speed' | 'ease';

/** What a method leads to in the plan: a press job, a patch, a fill, or nothing. */
export type MethodFamily = 'reglue' | 'patch' | 'fill' | 'leave';

export type Method = {
  id: MethodId;
  label: string;
  how: string;
  kinds: DamageKind[];
  family: MethodFamily;
  /** 0 poor … 5 as good as it gets; common practice, judged on the method done well. */
  marks: Record<Criterion, number>;
};

const marks = (
  strength: number,
  invisibility: number,
  reversibility: number,
  speed: number,
  ease: number,
): Record<Criterion, number> => ({ strength, invisibility, reversibility, speed, ease });

const LIFTED: DamageKind[] = ['liftedEdge'];
const MISSING: DamageKind[] = ['missingVeneer'];

/** Repair methods in the words of the trade. Marks are common practice. */
export const METHODS: readonly Method[] = [
  {
    id: 'floodAndPress',
    label: 'Flood and press',
    how: 'Let thinned glue run deep, then thicker, then neat at the mouth; press flat under a platen.',
    kinds: LIFTED,
    family: 'reglue',
    marks: marks(5, 5, 3, 3, 4),
  },
  {
    id: 'injectAndPress',
    label: 'Inject and press',
    how: 'Slit along the grain, bring the glue in with a syringe, clamp till dry.',
    kinds: LIFTED,
    family: 'reglue',
    marks: marks(4, 3, 3, 3, 3),
  },
  {
    id: 'reactivate',
    label: 'Reactivate the old glue with heat',
    how: 'A damp cloth, an iron and a caul: the old hide glue melts and holds again.',
    kinds: LIFTED,
    family: 'reglue',
    marks: marks(3, 5, 5, 5, 4),
  },
  {
    id: 'liftAndRelay',
    label: 'Lift and relay the panel',
    how: 'Take the veneer off whole with heat and knives, clean both sides, lay it again between platens.',
    kinds: LIFTED,
    family: 'reglue',
    marks: marks(5, 4, 3, 1, 1),
  },
  {
    id: 'tack',
    label: 'Tack with thin cyanoacrylate',
    how: 'A drop runs under the flake; hold it down for seconds.',
    kinds: LIFTED,
    family: 'reglue',
    marks: marks(2, 4, 1, 5, 5),
  },
  {
    id: 'veneerPatch',
    label: 'Veneer patch',
    how: 'Let in a piece of matching veneer whose long sides run with the grain.',
    kinds: MISSING,
    family: 'patch',
    marks: marks(5, 4, 3, 2, 2),
  },
  {
    id: 'harvestedPatch',
    label: 'Patch harvested from the piece',
    how: 'Cut the patch from a hidden place of the same piece and close that place with new veneer.',
    kinds: MISSING,
    family: 'patch',
    marks: marks(5, 5, 3, 1, 1),
  },
  {
    id: 'edgeStrip',
    label: 'Edge strip',
    how: 'A strip as wide as the edge, backed with tape before it is cut.',
    kinds: MISSING,
    family: 'patch',
    marks: marks(4, 4, 3, 3, 3),
  },
  {
    id: 'sawnStrip',
    label: 'Sawn strip from solid',
    how: 'Slice a thick strip from a block as long as the edge is high.',
    kinds: MISSING,
    family: 'patch',
    marks: marks(5, 4, 3, 2, 2),
  },
  {
    id: 'reveneer',
    label: 'Reveneer the whole face',
    how: 'Lay a new sheet over the face, with overhang all round.',
    kinds: ['liftedEdge', 'missingVeneer'],
    family: 'patch',
    marks: marks(5, 4, 2, 1, 1),
  },
  {
    id: 'bareFiller',
    label: 'Bare-wood filler',
    how: 'Fill proud in several passes, sand level.',
    kinds: MISSING,
    family: 'fill',
    marks: marks(3, 2, 2, 4, 5),
  },
  {
    id: 'polyesterFiller',
    label: 'Polyester filler',
    how: 'Two parts, mixed; hard within the hour, sands smooth under paint.',
    kinds: MISSING,
    family: 'fill',
    marks: marks(4, 1, 1, 5, 4),
  },
  {
    id: 'epoxyPutty',
    label: 'Epoxy putty',
    how: 'Knead, press on, shape while wet, sand when hard.',
    kinds: MISSING,
    family: 'fill',
    marks: marks(5, 1, 1, 4, 4),
  },
  {
    id: 'burnIn',
    label: 'Burn-in with a hard fill stick',
    how: 'Melt hard fill into the place with a hot knife and level it to the film.',
    kinds: MISSING,
    family: 'fill',
    marks: marks(3, 4, 3, 4, 2),
  },
  {
    id: 'hardWax',
    label: 'Melted hard wax',
    how: 'Blend two or three colours drop by drop and level with a plastic card.',
    kinds: MISSING,
    family: 'fill',
    marks: marks(2, 3, 4, 5, 4),
  },
  {
    id: 'softWax',
    label: 'Soft wax stick',
    how: 'Rub in and buff.',
    kinds: MISSING,
    family: 'fill',
    marks: marks(1, 2, 5, 5, 5),
  },
  {
    id: 'colourPutty',
    label: 'Colour putty',
    how: 'Blend the colours and press in after the finish.',
    kinds: MISSING,
    family: 'fill',
    marks: marks(1, 2, 4, 5, 5),
  },
  {
    id: 'leave',
    label: 'Leave it as it is',
    how: 'Stable, honest wear. Record why.',
    kinds: ['liftedEdge', 'missingVeneer'],
    family: 'leave',
    marks: marks(2, 2, 5, 5, 5),
  },
];

/** @throws RangeError for a method that does not exist */
export function methodById(id: string): Method {
  const found = METHODS.find((m) => m.id === id);
  if (!found) throw new RangeError(`There is no repair method “${id}”.`);
  return found;
}
