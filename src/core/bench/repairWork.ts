import type { AdhesiveId } from '../adhesive';
import type { MethodId } from '../catalogue';
import type { BlendPlan } from '../colour';
import type { DamageKind } from '../damage';
import type { RiskySurface } from '../safety';
import type { ProductCoats } from './colourSteps';

export type GlueWork = {
  id: AdhesiveId;
  label: string;
  clampMin: number;
  workableMin: number;
  /** Said with the pressing itself, such as a shop too cold for this glue. */
  caution?: string;
};

/** One method of a repair's chain, with what it is glued and held with. */
export type LinkWork = {
  method: MethodId;
  areaMm2: number;
  glue?: GlueWork;
  /** How many of each kind of clamp it takes; nothing where a hand or a weight holds it. */
  clamps?: Record<string, number>;
  /** How it is held, where not by the clamps of a press. */
  heldWords?: string;
  /** Layers of a fill from its floor up: how much each takes with its waste, how long it is left, and how far under the surface it has sunk; less than nothing stands proud. */
  layers?: readonly { ml: number; waitMin: number; underMm: number }[];
  /** What its sum says to its steps, by their keys. */
  says?: Readonly<Record<string, string>>;
  /** What is said at its first step, whichever that is. */
  begins?: string;
  /** It was found on the way that nothing has to be done. */
  unneeded?: true;
  /** Minutes of spreading and clamping of each stage at the shop's own pace, where it is pressed. */
  stages?: readonly number[];
};

export type RepairWork = {
  damageId: string;
  /** Its number on the drawings of the piece. */
  number: number;
  /** Such as “1 Lifted edge”. */
  label: string;
  kind?: DamageKind;
  /** The method that was chosen; the other links of the chain come before or after it. */
  method: MethodId;
  chain: LinkWork[];
  /** Paper under its patch. */
  shimWords?: string;
  blend?: BlendPlan;
  /** Coats of own products that were decided on. */
  coats?: readonly ProductCoats[];
  /** Done by itself, however many are like it. */
  alone?: true;
  /** The app proposes it; nobody has decided yet. */
  proposed?: true;
  /** What it is done on, for its cautions. */
  surface: RiskySurface;
  faceId?: string;
  /** The part that its face is finished apart with. */
  part?: string;
  /** How often it has grown while it was mended: what was done before is history, its steps are done anew. */
  round?: number;
};
