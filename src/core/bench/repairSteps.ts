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
import { LEAST_SHARE, MOST_SHARE } from './bySize';
import { phaseOrder } from './order';
import { plain, type WorkedStep } from './worked';
import type { LinkWork } from './repairWork';
import { pacedMinutes, REPAIR_PACE_SOURCE } from './repairPaces';
import { layingMinutes } from '../press';
import { derived, memory, sourced } from '../sources';
import type { FinishGoal } from '../terms';
import { formatSmall } from '../units';
import type { Ways } from '../ways';

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
  const { fills, family, extent } = methodById(method);
  if (fills === 'burnIn' || fills === 'hardWax')
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
  if (family === 'core' && ways.veneerOrder === 'before' && step.phase === 'structure')
    return { ...step, phase: 'reglue' };
  if (extent === 'face' && ways.veneerOrder === 'before' && step.phase === 'patch')
    return { ...step, phase: 'reglue' };
  return step;
}

const LAYER_SOURCE = derived('the layers of the fill’s own sum, and the wait of each');

/** A step of the book with what is said of this place. */
type OwnStep = Step & { own?: string };

/** A fill in its layers: the book's own step for each of them, with how much it takes. What has no layer left has no step. */
function layered(step: OwnStep, layers: NonNullable<LinkWork['layers']>, learns: string): WorkedStep[] {
  const first = step.layer === 'last' ? layers.length - 1 : 0;
  const own = step.layer === 'below' ? layers.slice(0, -1) : layers.slice(first);
  return own.map(({ ml, waitMin, underMm }, i): WorkedStep => {
    const at = `${formatSmall(ml)} ml, to ${Math.abs(underMm).toFixed(1)} mm ${underMm < 0 ? 'over' : 'under'} the surface.`;
    const { title, detail } = (layers.length === 1 && step.alone) || step;
    return {
      ...plain(step, learns),
      key: i === 0 ? step.key : `layer${i + 1}`,
      title: own.length === 1 ? title : `${title}, layer ${i + 1}`,
      detail,
      own: [step.own, layers.length === 1 ? at : `Layer ${first + i + 1} of ${layers.length}, ${at}`].filter(Boolean).join(' '), // prettier-ignore
      ml,
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
  shimWords: string | undefined,
  ways: Ways,
  kind: DamageKind | undefined,
): WorkedStep[] {
  const { family, steps } = methodById(link.method);
  const pressed = PRESSED_FAMILIES.includes(family);
  const [first, ...others] = steps.flatMap((given): WorkedStep[] => {
    const said = link.says?.[given.key];
    const step: OwnStep = { ...inThisWay(link.method, given, ways, kind), ...(said ? { own: said } : {}) };
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
        detail: [step.detail, words, `${glue.label}.`, glue.caution].filter(Boolean).join(' '),
        own: [step.own, shims, link.heldWords].filter(Boolean).join(' '),
        held: true,
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
      out.push({
        ...plain(
          newStep('off', step.phase, 'Clamps off', 'Take off clamps and platen; tap it: no hollow sound.', 5, [], { after: keys }), // prettier-ignore
        ),
        held: true,
      });
    }
    if (glue.workableMin > glue.clampMin) {
      out.push({
        ...plain(
          newStep('cure', step.phase, 'Glue hardens', 'No work on it before.', 0, [], {
            wait: sourced(glue.workableMin - glue.clampMin, WORKABLE_SOURCE),
            after: keys,
          }),
        ),
        held: true,
      });
    }
    return out;
  });
  if (!first) return [];
  return [
    link.begins ? { ...first, own: [first.own, link.begins].filter(Boolean).join(' ') } : first,
    ...others,
  ];
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
  kind,
  shimWords,
  blend,
  coats = [],
  goal,
  ways,
}: {
  main: MethodId;
  chain: readonly LinkWork[];
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
    .map((link) => ({ method: link.method, steps: linkSteps(link, shimWords, ways, kind) }));
  const steps = inTime(worked, main, phaseOrder(ways)).flatMap(({ method, steps: own }): WorkedStep[] => {
    const prefix = method === main ? '' : `${method}.`;
    return own.map((s) => {
      const after = s.beside
        ? waitedFor
        : (s.after?.map((k) => `${prefix}${k}`) ?? (last === undefined ? [] : [last]));
      waitedFor = after;
      last = `${prefix}${s.key}`;
      return { ...s, key: last, after, of: method };
    });
  });
  const coloured = colourSteps(blend, coats).map((s) => {
    const after = last === undefined ? [] : [last];
    last = s.key;
    return { ...s, after };
  });
  return [...steps, ...coloured];
}
