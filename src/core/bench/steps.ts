import type { FinishGoal, MethodId } from '../method';
import type { PhaseId } from './phases';

export type Step = {
  key: string;
  phase: PhaseId;
  title: string;
  detail: string;
  attended: number;
  unattended?: number;
  needs?: Record<string, number>;
  /** Keys of steps of the same repair; the step before it when not given. */
  after?: string[];
};

/** Attended minutes are from memory, for a careful hand; the log shows what they really took. */
export const REGLUE_PREPARATION: Partial<Record<MethodId, Step[]>> = {
  floodAndPress: [
    {
      key: 'clean',
      phase: 'reglue',
      title: 'Clean the glue line',
      detail: 'Slide out loose glue and dust with a thin knife; vacuum. Keep every splinter.',
      attended: 15,
    },
    {
      key: 'dryRun',
      phase: 'reglue',
      title: 'Dry run',
      detail: 'Lay out platen, cauls, release sheet and clamps and close them once without glue.',
      attended: 10,
    },
  ],
  injectAndPress: [
    {
      key: 'slit',
      phase: 'reglue',
      title: 'Slit along the grain',
      detail: 'One cut with a thin blade, as long as the syringe needs.',
      attended: 10,
    },
    {
      key: 'dryRun',
      phase: 'reglue',
      title: 'Dry run',
      detail: 'Platen, release sheet and clamps once without glue.',
      attended: 10,
    },
  ],
  reactivate: [
    {
      key: 'dryRun',
      phase: 'reglue',
      title: 'Dry run',
      detail: 'Iron, damp cloth, caul and clamps within reach; try the iron on a hidden spot.',
      attended: 10,
    },
  ],
  liftAndRelay: [
    {
      key: 'lift',
      phase: 'reglue',
      title: 'Lift the veneer',
      detail:
        'Cut inlay lines first. Warm and slide a wide knife along the grain; keep it flat between boards.',
      attended: 90,
    },
    {
      key: 'clean',
      phase: 'reglue',
      title: 'Clean both sides',
      detail: 'Scrape; warm water with a little vinegar; dry flat under weight.',
      attended: 45,
      unattended: 720,
    },
    {
      key: 'dryRun',
      phase: 'reglue',
      title: 'Dry run',
      detail: 'Both platens, all cauls and clamps once without glue.',
      attended: 20,
    },
  ],
  tack: [],
};

export const PATCH_PREPARATION: Partial<Record<MethodId, Step[]>> = {
  veneerPatch: [
    {
      key: 'cut',
      phase: 'patch',
      title: 'Cut patch and recess',
      detail:
        'Print the outline at 1:1, check its bar, knife patch and recess together along a rule. Bevel a hair so that the joint closes.',
      attended: 35,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Fit dry',
      detail: 'Grain with grain, no light in the joint. Dry run with platen and clamps.',
      attended: 20,
    },
  ],
  harvestedPatch: [
    {
      key: 'harvest',
      phase: 'patch',
      title: 'Lift the donor veneer',
      detail: 'Warm it, slide a thin knife along the grain, press it flat between boards.',
      attended: 40,
      unattended: 240,
    },
    {
      key: 'cut',
      phase: 'patch',
      title: 'Cut patch and recess',
      detail: 'Print the outline at 1:1, check its bar, knife patch and recess together along a rule.',
      attended: 35,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Fit dry',
      detail: 'Grain with grain, no light in the joint. Dry run with platen and clamps.',
      attended: 20,
    },
    {
      key: 'close',
      phase: 'patch',
      title: 'Close the donor place',
      detail: 'Lay new veneer where the old was taken.',
      attended: 30,
      after: ['fit'],
    },
  ],
  edgeStrip: [
    {
      key: 'cut',
      phase: 'patch',
      title: 'Tape and cut the strip',
      detail: 'Tape its back before cutting; a cross-grain strip breaks otherwise.',
      attended: 25,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Fit dry',
      detail: 'Ends on a slant, strip flush with both sides.',
      attended: 15,
    },
  ],
  sawnStrip: [
    {
      key: 'cut',
      phase: 'patch',
      title: 'Saw the strips',
      detail: 'Slice a block as long as the edge is high; cut one or two spare.',
      attended: 40,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Fit dry',
      detail: 'Ends on a slant, strip flush with both sides.',
      attended: 20,
    },
  ],
  reveneer: [
    {
      key: 'prepare',
      phase: 'patch',
      title: 'Prepare the face',
      detail: 'Fill and level the old face, tooth it, cut the sheet with overhang all round.',
      attended: 120,
    },
    {
      key: 'fit',
      phase: 'patch',
      title: 'Dry run',
      detail: 'All platens, cauls and clamps once without glue.',
      attended: 25,
    },
  ],
};

export const FILLS: Partial<Record<MethodId, Step[]>> = {
  bareFiller: [
    {
      key: 'fill1',
      phase: 'bareFill',
      title: 'First fill',
      detail: 'Work across the place, not along it; leave it proud.',
      attended: 10,
      unattended: 120,
    },
    {
      key: 'fill2',
      phase: 'bareFill',
      title: 'Second fill',
      detail: 'It has shrunk; fill again, proud.',
      attended: 10,
      unattended: 180,
    },
    {
      key: 'sand',
      phase: 'bareFill',
      title: 'Sand the fill level',
      detail: 'With a block, with the grain.',
      attended: 15,
    },
  ],
  polyesterFiller: [
    {
      key: 'fill1',
      phase: 'bareFill',
      title: 'Mix and fill',
      detail: 'Mix to the label; it is hard within the hour.',
      attended: 15,
      unattended: 45,
    },
    {
      key: 'fill2',
      phase: 'bareFill',
      title: 'Skim and sand',
      detail: 'A thin second pass, then sand level.',
      attended: 25,
      unattended: 45,
    },
  ],
  epoxyPutty: [
    {
      key: 'fill1',
      phase: 'bareFill',
      title: 'Knead, press on, shape',
      detail: 'Workable for about 30 min; shape it wet against a taped board.',
      attended: 25,
      unattended: 60,
    },
    {
      key: 'sand',
      phase: 'bareFill',
      title: 'Shape and sand',
      detail: 'File, then sand level.',
      attended: 20,
    },
  ],
  burnIn: [
    {
      key: 'burn',
      phase: 'finishFill',
      title: 'Burn in',
      detail:
        'Balm band one knife width around; ground tone, then a line tone or two with the grain; level with the knife.',
      attended: 30,
    },
  ],
  hardWax: [
    {
      key: 'wax',
      phase: 'finishFill',
      title: 'Melt and blend hard wax',
      detail: 'Two or three colours drop by drop; sets in about 30 s; level along, then across, gently.',
      attended: 20,
    },
  ],
  softWax: [
    {
      key: 'wax',
      phase: 'finishFill',
      title: 'Rub in soft wax',
      detail: 'Rub in across, buff along.',
      attended: 8,
    },
  ],
  colourPutty: [
    {
      key: 'putty',
      phase: 'finishFill',
      title: 'Press in colour putty',
      detail: 'Blend to the ground tone; wipe the surround.',
      attended: 8,
    },
  ],
};

export const GLUE_STEP: Partial<Record<MethodId, { title: string; detail: string }>> = {
  floodAndPress: {
    title: 'Flood and clamp',
    detail:
      'Three mixes: thin, half, neat at the mouth; pump and tilt. Release sheet, platen, cauls, clamps from the middle outwards. Wipe squeeze-out at once.',
  },
  injectAndPress: {
    title: 'Inject and clamp',
    detail: 'Syringe from the far end back; press out what is too much; platen and clamps.',
  },
  reactivate: {
    title: 'Iron and clamp',
    detail: 'Damp cloth, iron till the glue gives, then caul and clamps at once.',
  },
  liftAndRelay: {
    title: 'Spread and press',
    detail: 'Glue on the core, not on the veneer; lay from the middle; all cauls and clamps.',
  },
  tack: { title: 'Tack down', detail: 'One drop at the mouth, hold with a stick wrapped in release paper.' },
};

export type Coats = {
  title: string;
  detail: string;
  count: number;
  attended: number;
  between: number;
  hardMin: number;
};
export const COATS: Record<Exclude<FinishGoal, 'keep'>, Coats> = {
  shellac: {
    title: 'Shellac',
    detail: 'Thin coats; scuff at 320 between.',
    count: 3,
    attended: 20,
    between: 120,
    hardMin: 1440,
  },
  lacquer: {
    title: 'Lacquer',
    detail: 'Three coats; scuff at 400 between.',
    count: 3,
    attended: 20,
    between: 60,
    hardMin: 1440,
  },
  varnish: {
    title: 'Varnish',
    detail: 'Three coats, dust-free; scuff at 320 between.',
    count: 3,
    attended: 25,
    between: 720,
    hardMin: 2880,
  },
  oil: {
    title: 'Hard-wax oil',
    detail: 'With a pad finer than the last grit; buff off after 1–2 h. Fully hard after about 30 days.',
    count: 2,
    attended: 25,
    between: 720,
    hardMin: 1440,
  },
  paint: {
    title: 'Prime and paint',
    detail: 'Primer, then two coats; scuff at 320 between.',
    count: 3,
    attended: 25,
    between: 240,
    hardMin: 1440,
  },
};
