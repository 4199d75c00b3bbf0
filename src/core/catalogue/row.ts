import type { DamageKind } from '../damage';
import type { Source, Sourced } from '../sources';
import type { MaterialId } from './materials';
import type { PhaseId } from './phases';

/** What a hand does in a step that can hurt someone or the wood; the cautions follow from it and from the surface. */
export type Deed =
  | 'cut'
  | 'saw'
  | 'rout'
  | 'drill'
  | 'clean'
  | 'scrape'
  | 'sand'
  | 'heat'
  | 'iron'
  | 'strip'
  | 'solvent'
  | 'spray'
  | 'oil'
  | 'epoxy'
  | 'cyanoacrylate'
  | 'polyester'
  | 'uv'
  | 'oxalic'
  | 'bleach'
  | 'openInside'
  | 'takeApart'
  | 'buyWood';

/**
 * What a step's minutes grow with, over a place larger than the book's: spreading, levelling, cutting and fitting, brushing, getting
 * a whole face ready for a sheet, scraping it.
 */
export type RepairPace = 'fill' | 'level' | 'cut' | 'brush' | 'face' | 'scrape';

export type Step = {
  key: string;
  phase: PhaseId;
  title: string;
  detail: string;
  /** Minutes of a careful hand; the log shows what they really took. */
  attended: Sourced;
  /** Minutes it is then left alone, where the glue does not say so. */
  wait?: Sourced;
  /** The glue's own wait comes after it: clamped until it holds, then left until it can be worked on. */
  glued?: boolean;
  /** Done again for each layer of a fill, for each but the last, or for the last alone. */
  layer?: 'each' | 'below' | 'last';
  /** How the last layer is called where it is the only one. */
  alone?: { title: string; detail: string };
  /** What grows with the size of the place; a step without it takes as long for a large one. */
  pace?: RepairPace;
  deeds: readonly Deed[];
  /** Of the figures in its words. */
  source: Source;
  /** Keys of steps of the same repair; the step before it when not given. */
  after?: readonly string[];
};

export type MarkedCriterion = 'strength' | 'invisibility' | 'reversibility' | 'speed' | 'ease';

/** What a method leads to in the plan. */
export type MethodFamily =
  'reglue' | 'patch' | 'core' | 'structure' | 'letIn' | 'fill' | 'surface' | 'care' | 'leave';

/** Families whose glued steps are pressed under platen or caul. */
export const PRESSED_FAMILIES: readonly MethodFamily[] = ['reglue', 'patch'];

/** The state of the surface a method is made for. */
export type WorksOn = 'bare' | 'film' | 'any';

/**
 * Which glues would do: none; what sets in seconds; what fills too; the old hide glue, warmed, with none laid; what dries hard under thin veneer; what
 * the way of gluing splits says; or whatever the school joins wood with.
 */
export type GlueUse = 'none' | 'instant' | 'fills' | 'oldHide' | 'patch' | 'split' | 'joins';

/** The hollow that its glue fills: round a loose tenon, a wedge along a gap, a scoop from above; none where glue only joins. */
export type HollowUse = 'none' | 'tenon' | 'wedge' | 'scoop';

/** What a hollow is filled with in layers; an epoxy is poured, under a cap of filler or up to the surface. */
export type FillerId =
  | 'bareFiller' | 'polyesterFiller' | 'epoxyPutty' | 'epoxy' | 'cappedEpoxy' | 'burnIn' | 'hardWax' | 'softWax' | 'colourPutty' | 'uvResin'; // prettier-ignore

/** Sums that a method's worksheet carries beside its amounts. */
export type Sum =
  | 'plug' | 'dutchman' | 'strips' | 'banding' | 'sliver' | 'feet' | 'part' | 'pilot' | 'drawer' | 'apart' | 'fill' | 'close' | 'level'; // prettier-ignore

/** One method in the words of the trade. A row that forgets something does not compile. */
export type Row = {
  label: string;
  how: string;
  /** Damage that it mends; none for what only comes before or after another repair. */
  kinds: readonly DamageKind[];
  family: MethodFamily;
  worksOn: WorksOn;
  /** What is laid or lifted: the place of the damage, or the whole face. */
  extent: 'place' | 'face';
  glue: GlueUse;
  hollow: HollowUse;
  fills: FillerId | 'nothing';
  sums: readonly Sum[];
  needs: readonly MaterialId[];
  /** 0 poor … 5 as good as it gets; common practice, judged on the method done well. */
  marks: Record<MarkedCriterion, number>;
  steps: readonly Step[];
};
