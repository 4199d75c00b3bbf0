import {
  methodById,
  PRESSED_FAMILIES,
  tonesIn,
  type MethodId,
  step as newStep,
  type PhaseId,
  type Step,
} from '../catalogue';
import type { BlendPlan } from '../colour';
import { colourSteps, type ProductCoats } from './colourSteps';
import { CRACK_KINDS, type DamageKind } from '../damage';
import type { AdhesiveId } from '../adhesive';
import { LEAST_SHARE, MOST_SHARE } from './bySize';
import { phaseOrder } from './order';
import { plain, type WorkedStep } from './worked';
import { pacedMinutes, REPAIR_PACE_SOURCE } from './repairPaces';
import { layingMinutes } from '../press';
import { derived, memory, sourced } from '../sources';
import type { FinishGoal } from '../terms';
import { formatSmall } from '../units';
import type { Ways } from '../ways';

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

/** Getting the clamps and the release sheet ready for a press takes this long beside the laying itself. min. */
const PRESS_READY_MIN = sourced(8, memory('bringing platen, sheet and clamps to hand'));
const WORKABLE_SOURCE = memory(
  'the glue’s own time until it can be worked on; its table or your product has it',
);
const PRESS_SOURCE = derived('spreading and clamping at the pace of this shop, and getting ready');
const LEAST_PRESS_MIN = sourced(5, memory('nothing is glued in less'));

const STICKS: Record<Ways['stickOrder'], string> = {
  ground: 'Ground tone first, then a line tone or two drawn with the grain.',
  dark: 'The dark tone first, lightened drop by drop until it sits.',
};
const ACID: Record<Ways['acid'], { title: string; detail: string }> = {
  spot: { title: 'Oxalic acid on the mark', detail: 'Brushed on the mark alone and watched.' },
  panel: {
    title: 'Oxalic acid over the panel',
    detail: 'Evenly over the whole panel, so that no lighter island is left.',
  },
};

/** The words and the phase of a step as this piece's ways have it. */
function inThisWay(method: MethodId, step: Step, ways: Ways, kind: DamageKind | undefined): Step {
  if (method === 'burnIn' || method === 'hardWax')
    return { ...step, detail: `${step.detail} ${STICKS[ways.stickOrder]}` };
  if (method === 'oxalicAcid' && step.key === 'acid') {
    const { title, detail } = ACID[ways.acid];
    return { ...step, title, detail: `${step.detail} ${detail}` };
  }
  const crack = kind !== undefined && CRACK_KINDS.includes(kind);
  if (
    crack &&
    step.phase === 'bareFill' &&
    ways.crackOrder === 'before' &&
    (method === 'sawdustGlue' || method === 'epoxyFill')
  )
    return { ...step, phase: 'structure' };
  // What is laid before the carcass is glued rests on a core that is mended before that.
  if (methodById(method).family === 'core' && ways.veneerOrder === 'before' && step.phase === 'structure')
    return { ...step, phase: 'reglue' };
  if (method === 'reveneer' && ways.veneerOrder === 'before' && step.phase === 'patch')
    return { ...step, phase: 'reglue' };
  return step;
}

const LAYER_SOURCE = derived('the layers of the fill’s own sum, and the wait of each');

/** A fill in its layers: the book's own step for each of them, with how much it takes. What has no layer left has no step. */
function layered(step: Step, layers: NonNullable<LinkWork['layers']>, learns: string): WorkedStep[] {
  const first = step.layer === 'last' ? layers.length - 1 : 0;
  const own = step.layer === 'below' ? layers.slice(0, -1) : layers.slice(first);
  return own.map(({ ml, waitMin, underMm }, i): WorkedStep => {
    const at = `${formatSmall(ml)} ml, to ${Math.abs(underMm).toFixed(1)} mm ${underMm < 0 ? 'over' : 'under'} the surface.`;
    const { title, detail } = (layers.length === 1 && step.alone) || step;
    return {
      ...plain(step, learns),
      key: i === 0 ? step.key : `layer${i + 1}`,
      title: own.length === 1 ? title : `${title}, layer ${i + 1}`,
      detail: `${detail} ${layers.length === 1 ? at : `Layer ${first + i + 1} of ${layers.length}, ${at}`}`,
      wait: sourced(waitMin, LAYER_SOURCE),
    };
  });
}

/** A step whose minutes grow with the place takes them from its size, with a range. */
function paced(step: WorkedStep, areaMm2: number): WorkedStep {
  if (!step.pace) return step;
  const minutes = pacedMinutes(step.attended.value, step.pace, areaMm2);
  return {
    ...step,
    attended: sourced(minutes, REPAIR_PACE_SOURCE),
    range: { leastMin: minutes * LEAST_SHARE.value, mostMin: minutes * MOST_SHARE.value },
  };
}

/** Steps of one link: its glue's own times are waited for, and what was clamped is taken off again. */
function linkSteps(
  link: LinkWork,
  label: string,
  shimWords: string | undefined,
  ways: Ways,
  kind: DamageKind | undefined,
): WorkedStep[] {
  const { family, steps } = methodById(link.method);
  const pressed = PRESSED_FAMILIES.includes(family);
  const [first, ...others] = steps.flatMap((given): WorkedStep[] => {
    const said = link.says?.[given.key];
    const own = said ? { ...given, detail: `${given.detail} ${said}` } : given;
    const step = inThisWay(link.method, own, ways, kind);
    const learns = `${link.method}.${step.key}`;
    const sized = (own: WorkedStep[]): WorkedStep[] => own.map((s) => paced(s, link.areaMm2));
    if (step.layer && link.layers) return sized(layered(step, link.layers, learns));
    if (!step.glued || !link.glue) return sized([plain(step, learns)]);
    const { glue, clamps } = link;
    const count = Object.values(clamps ?? {}).reduce((s, n) => s + n, 0);
    const shims = pressed ? shimWords : undefined;
    const laying = link.stages ?? [layingMinutes(link.areaMm2, count)];
    const staged = pressed && laying.length > 1;
    const out = (pressed ? laying : [0]).map((layingMin, i): WorkedStep => {
      const words = staged
        ? `Stage ${i + 1} of ${laying.length}; a fresh batch of glue for each, and as soon as its clamps are free.`
        : '';
      const last = i === laying.length - 1;
      return {
        ...step,
        ...(staged ? { title: `${step.title}, stage ${i + 1}` } : {}),
        // The glue-up page logs its stages under these names.
        key: !staged || last ? step.key : `stage${i + 1}`,
        detail: [step.detail, shims, words, `${glue.label}.`, link.heldWords, glue.caution]
          .filter(Boolean)
          .join(' '),
        attended: pressed
          ? sourced(
              Math.max(LEAST_PRESS_MIN.value, Math.ceil(layingMin) + PRESS_READY_MIN.value),
              PRESS_SOURCE,
            )
          : step.attended,
        wait: sourced(
          glue.clampMin,
          memory('the glue’s own clamp time, as its table or your product has it'),
        ),
        needs: clamps ?? {},
        glue: glue.id,
        // What is pressed goes by the pace of laying, which the clock of the glue-up learns.
        ...(pressed ? {} : { learns }),
        ...(i > 0 ? { beside: true } : {}),
      };
    });
    const keys = out.map((s) => s.key);
    if (pressed && count > 0) {
      out.push(
        plain(
          newStep(
            'off',
            step.phase,
            'Clamps off',
            `Take off clamps and platen of ${label.toLowerCase()}; tap it: no hollow sound.`,
            5,
            [],
            { after: keys },
          ),
        ),
      );
    }
    if (glue.workableMin > glue.clampMin) {
      out.push(
        plain(
          newStep('cure', step.phase, 'Glue hardens', 'No work on it before.', 0, [], {
            wait: sourced(glue.workableMin - glue.clampMin, WORKABLE_SOURCE),
            after: keys,
          }),
        ),
      );
    }
    return out;
  });
  if (!first) return [];
  return [link.begins ? { ...first, detail: `${first.detail} ${link.begins}` } : first, ...others];
}

type WorkedLink = { method: MethodId; steps: WorkedStep[] };

/** What comes before the main method is done no later than that begins, in whatever phase it would be done by itself. */
function inTime(links: readonly WorkedLink[], main: MethodId, order: readonly PhaseId[]): WorkedLink[] {
  const begins = links.find((l) => l.method === main)?.steps[0]?.phase;
  const before = links.findIndex((l) => l.method === main);
  if (begins === undefined) return [...links];
  const at = order.indexOf(begins);
  return links.map((link, i) =>
    i >= before
      ? link
      : {
          ...link,
          steps: link.steps.map((s) => (order.indexOf(s.phase) > at ? { ...s, phase: begins } : s)),
        },
  );
}

/**
 * All steps of a repair's chain, link after link. Keys of the main method stand as they are, so that the log goes on finding
 * them; those of the other links carry their method's name before them.
 */
export function repairSteps({
  main,
  chain,
  label,
  kind,
  shimWords,
  blend,
  coats = [],
  goal,
  ways,
}: {
  main: MethodId;
  chain: readonly LinkWork[];
  label: string;
  kind?: DamageKind;
  /** Paper under its patch. */
  shimWords?: string;
  blend?: BlendPlan;
  /** The coats that were decided on, in place of what the blend would begin with. */
  coats?: readonly ProductCoats[];
  goal: FinishGoal;
  ways: Ways;
}): WorkedStep[] {
  let last: string | undefined;
  let waitedFor: string[] = [];
  const worked = chain
    // The steps of the whole piece strip and finish it anyway.
    .filter((link) => link.method !== 'renewFinish' || goal === 'keep')
    // Where its layers are worked out they are its steps.
    .filter(
      (link) => !link.unneeded && ((blend === undefined && coats.length === 0) || !tonesIn(link.method)),
    )
    .map((link) => ({ method: link.method, steps: linkSteps(link, label, shimWords, ways, kind) }));
  const steps = inTime(worked, main, phaseOrder(ways)).flatMap(({ method, steps: own }): WorkedStep[] => {
    const prefix = method === main ? '' : `${method}.`;
    return own.map((s) => {
      const after = s.beside
        ? waitedFor
        : (s.after?.map((k) => `${prefix}${k}`) ?? (last === undefined ? [] : [last]));
      waitedFor = after;
      last = `${prefix}${s.key}`;
      return { ...s, key: last, after };
    });
  });
  const coloured = colourSteps(blend, coats).map((s) => {
    const after = last === undefined ? [] : [last];
    last = s.key;
    return { ...s, after };
  });
  return [...steps, ...coloured];
}
