import { memory, practice, sourced, type Source, type Sourced } from '../sources';
import { assemblyOrder, type PartInOrder } from './order';

/** How a part is held. */
export type JointId =
  'lies' | 'screws' | 'nails' | 'blocks' | 'dowels' | 'mortise' | 'dovetail' | 'edge' | 'veneered';
export type OldGlue = 'none' | 'hide' | 'other' | 'epoxy' | 'unknown';

export const OLD_GLUES: Record<OldGlue, string> = {
  none: 'Dry, no glue',
  hide: 'Hide glue',
  other: 'White or yellow glue',
  epoxy: 'Epoxy',
  unknown: 'Not known',
};

type Joint = {
  label: string;
  how: string;
  /** Minutes to open one, once its glue lets go. */
  openMin: Sourced;
  /** What breaks when it is forced: 0 nothing, 3 the part itself. */
  breaks: 0 | 1 | 2 | 3;
};

const HAND: Source = memory('minutes of a careful hand for one joint');
const min = (value: number): Sourced => sourced(value, HAND);

// prettier-ignore
export const JOINTS: Record<JointId, Joint> = {
  lies: { label: 'Lies or slides in', how: 'Lift or slide it out.', openMin: min(1), breaks: 0 },
  screws: { label: 'Screws', how: 'A driver that fills the slot; a stuck screw is turned tighter first, or warmed with a soldering iron.', openMin: min(4), breaks: 0 },
  nails: { label: 'Nails or brads', how: 'Prise with a thin bar over a scrap; pull what stands out with pincers from the back.', openMin: min(5), breaks: 1 },
  blocks: { label: 'Glue blocks', how: 'A chisel along the grain at the glue line, one sharp tap; mark each block with its place.', openMin: min(3), breaks: 1 },
  dowels: { label: 'Dowels', how: 'Tap apart with a block beside the joint, a little on each side in turn.', openMin: min(10), breaks: 2 },
  mortise: { label: 'Mortise and tenon', how: 'Look for a peg and drive it out first. Then a spreader, or taps with a block close to the joint.', openMin: min(12), breaks: 2 },
  dovetail: { label: 'Dovetails', how: 'Only along the tails: a block across the whole width, taps in turn.', openMin: min(15), breaks: 2 },
  edge: { label: 'Glued edge to edge', how: 'A thin warm knife along the line, wedges behind it.', openMin: min(15), breaks: 2 },
  veneered: { label: 'Veneered over', how: 'The veneer across the joint is cut along the line first.', openMin: min(30), breaks: 3 },
};

type Letting = { how: string; minutes: Sourced; risk: 0 | 1 | 2 | 3 };

/** How each glue lets go. Common practice. */
// prettier-ignore
const LETS_GO: Record<OldGlue, Letting> = {
  none: { how: '', minutes: sourced(0, practice('nothing has to let go')), risk: 0 },
  hide: { how: 'Warm and damp: a warm knife, a few drops of alcohol or warm water into the joint, and a wait.', minutes: sourced(15, practice('hide glue lets go to heat and water, or goes brittle under alcohol')), risk: 0 },
  other: { how: 'Heat to about 70 °C and warm vinegar; it creeps rather than cracks.', minutes: sourced(30, memory('white and yellow glue soften with heat and vinegar, slowly')), risk: 2 },
  epoxy: { how: 'It does not let go below what the wood and the finish bear.', minutes: sourced(30, memory('epoxy softens above about 60 to 120 °C, by its kind')), risk: 3 },
  unknown: { how: 'Try a damp warm rag on a run of glue first: hide glue turns tacky within a minute.', minutes: sourced(20, memory('a trial and a guess')), risk: 1 },
};

/** How one joint is opened, its old glue let go, cleaned and dried before it is glued again. */
export function reopen(
  joint: JointId,
  oldGlue: OldGlue,
): { steps: string[]; minutes: number; stop: boolean } {
  const [held, glue] = [JOINTS[joint], LETS_GO[oldGlue]];
  const stop = held.breaks + glue.risk >= STOP_AT;
  return {
    steps: [
      'Number both parts of every joint with tape, not with pencil on show wood; photograph it.',
      ...(glue.how ? [glue.how] : []),
      held.how,
      CLEANED[oldGlue],
      DRIED[oldGlue],
    ],
    minutes: stop ? 0 : held.openMin.value + glue.minutes.value,
    stop,
  };
}

/** How each old glue comes off the wood. Common practice. */
const CLEANED: Record<OldGlue, string> = {
  none: 'Brush out dust and wax; new glue wants bare wood.',
  hide: 'Wash it off with warm water and a stiff brush; new hide glue may go over what stays.',
  other: 'Scrape it off with warm vinegar, then rinse: nothing but epoxy holds on what stays.',
  epoxy: 'Scrape and scuff it to bare wood, no more than comes; glue with epoxy again.',
  unknown: 'Scrape to bare wood on both sides: it is not known what holds on it.',
};
/** Wood that was wetted dries before glue that cures by drying goes on. */
const DRIED: Record<OldGlue, string> = {
  none: 'Glue it the same day.',
  hide: 'Let it dry overnight, at least; end grain takes longer.',
  other: 'Let it dry overnight, at least; end grain takes longer.',
  epoxy: 'Nothing was wetted: it can be glued the same day.',
  unknown: 'If it was wetted, let it dry overnight.',
};

/** From here on it risks more than it gains. */
const STOP_AT = 4;

export type TakenApart<P> = {
  part: P;
  how: string;
  minutes: number;
  /** What it risks, 0…6. */
  risk: number;
  stop: boolean;
  why: string;
};

type PartToOpen = PartInOrder & { count?: number; joint?: JointId; oldGlue?: OldGlue };

/**
 * In which order parts come off, how, and where to stop: what goes in last comes off first. Nothing behind a joint that is better
 * left alone is taken off either.
 */
export function takeApart<P extends PartToOpen>(
  parts: readonly P[],
): { ok: true; steps: TakenApart<P>[]; minutes: number } | { ok: false; problem: string } {
  const found = assemblyOrder(parts);
  if (!found.ok) return { ok: false, problem: found.problem };
  const stopped = new Set<string>();
  const steps = [...found.order].reverse().map((part): TakenApart<P> => {
    const joint = JOINTS[part.joint ?? 'lies'];
    const glue = LETS_GO[part.oldGlue ?? 'none'];
    const risk = joint.breaks + glue.risk;
    const behind = found.order.filter((o) => stopped.has(o.id) && o.after?.includes(part.id));
    const stop = risk >= STOP_AT || behind.length > 0;
    if (stop) stopped.add(part.id);
    const why = behind.length > 0
      ? `${behind.map((b) => `“${b.label}”`).join(', ')} stays, and holds it in.`
      : stop
        ? 'Stop here: forcing it breaks more than there is to gain. Mend it where it stands.'
        : risk >= 2
          ? 'Stop as soon as it needs force: what does not move after a second warming stays.'
          : 'It comes without force.';
    const count = part.count ?? 1;
    return {
      part,
      how: [joint.how, glue.how].filter(Boolean).join(' '),
      minutes: stop ? 0 : count * joint.openMin.value + glue.minutes.value,
      risk,
      stop,
      why,
    };
  }); // prettier-ignore
  return { ok: true, steps, minutes: steps.reduce((sum, s) => sum + s.minutes, 0) };
}
