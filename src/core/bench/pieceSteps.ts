import { step, type Deed, type PhaseId, type Step } from '../catalogue';
import type { Preparation } from '../prepare';
import { derived, memory, sourced, type Source, type Sourced } from '../sources';
import type { SandingBudget } from '../sanding';
import type { RiskySurface } from '../safety';
import {
  FINISH_GOALS,
  type Build,
  type FinishGoal,
  type FinishNow,
  type Profile,
  type School,
} from '../terms';
import type { Ways } from '../ways';
import { paperFor, sizedMinutes, spreadOver, type Sized, type SizedWork, type Spent } from './bySize';
import { coatsOf, type COATS, type OwnCoats } from './coats';
import type { DoneStep } from './task';

/** A face as the steps of the whole piece see it. Several that are alike count as one with all their area. */
export type FaceWork = Sized & {
  id: string;
  name: string;
  build: Build;
  species: string;
  finishNow: FinishNow;
  goal: FinishGoal;
  school: School;
  profile: Profile;
  preparation: Preparation;
  /** Nobody has measured it: it is reckoned as a face of common size. */
  unmeasured?: true;
  /** Of its veneer; none for solid wood. */
  sanding?: SandingBudget;
  /** The part it is finished apart with; none where it goes with the frame. */
  part?: string;
};

export type PieceStep = Step & {
  surface: RiskySurface;
  learns: string;
  /** Faces it is done to; none where it is done to the whole piece. */
  faces?: string[];
  part?: string;
  /** What the book says a hand may take. min. */
  range?: { leastMin: number; mostMin: number };
  spends?: Spent[];
  /** The name under which an earlier plan had it: what was ticked off then stays done. */
  aka?: string;
};

const STRIPPED_DRIES = sourced(480, memory('stripped and rinsed wood dries overnight; its label goes first'));
const WIPED_DRIES = sourced(60, memory('what was softened with alcohol or thinner is dry within the hour'));
const SCUFFED_DRIES = sourced(60, memory('a surface scuffed wet dries within the hour'));
const CLEANED_DRIES = sourced(60, memory('spirits and a damp cloth are gone within the hour'));

/** Solid wood bears a coarser start than veneer; it ends where the finish asks. */
const SOLID_GRITS: Record<'paint' | 'clear', readonly number[]> = {
  paint: [120, 150, 180],
  clear: [120, 150, 180, 220],
};
/** Conserved wood is not sanded to bright wood, and paper rounds off carving: the raised fibres are taken off and no more. */
const FIBRES_ONLY: readonly number[] = [220];

/** Words of a pass, before its faces, its size and its amounts are known. */
type Pass = {
  key: string;
  phase: PhaseId;
  title: string;
  detail: string;
  work: SizedWork;
  passes?: number;
  faces: readonly FaceWork[];
  wait?: Sourced;
  deeds: readonly Deed[];
  surface: RiskySurface;
  learns?: string;
  spends?: (faces: readonly FaceWork[]) => Spent[];
  aka?: string;
};

/** Of several faces the one that asks for most care: old paint before anything else. */
const riskiest = (faces: readonly FaceWork[]): RiskySurface => {
  const worst = faces.find((f) => f.finishNow === 'paint') ?? faces[0];
  return worst ? { finishNow: worst.finishNow, species: worst.species } : {};
};

/** Faces that agree in something, in the order in which they are met. */
function grouped<K extends string>(
  faces: readonly FaceWork[],
  by: (f: FaceWork) => K,
): [key: K, faces: FaceWork[]][] {
  const groups = new Map<K, FaceWork[]>();
  for (const f of faces) groups.set(by(f), [...(groups.get(by(f)) ?? []), f]);
  return [...groups];
}

const THIN_WIPED = 'Wipe it off with cloths and shavings, no steel scraper on veneer.';

const STRIPPING = {
  alcohol: {
    key: 'strip.alcohol',
    title: 'Take the shellac off',
    detail: `Alcohol on a pad, a small field at a time, until it slides; wipe it off before it dries.`,
    material: 'alcohol',
    wait: WIPED_DRIES,
    deeds: ['solvent'],
  },
  thinner: {
    key: 'strip.thinner',
    title: 'Take the lacquer off',
    detail: 'Lacquer thinner on a pad, a small field at a time, until it slides; wipe it off at once.',
    material: 'thinner',
    wait: WIPED_DRIES,
    deeds: ['solvent'],
  },
  paste: {
    key: 'strip',
    title: 'Strip the old finish',
    detail:
      'Chemically, without methylene chloride; laid on thick and left as the label says. Rinse as the label says and let it dry.',
    material: 'stripper',
    wait: STRIPPED_DRIES,
    deeds: ['strip'],
  },
} as const;

const times = (passes: number): string => (passes > 1 ? ` ${passes} passes.` : '');

/** What is done before anything new goes on, one pass for all faces that agree. */
function preparing(faces: readonly FaceWork[]): Pass[] {
  const by = (id: Preparation['id']): FaceWork[] => faces.filter((f) => f.preparation.id === id);
  const passes: Pass[] = [];
  for (const [passesOf, group] of grouped(by('clean'), (f) => `${f.preparation.passes}`))
    passes.push({
      key: passesOf === '1' ? 'clean' : `clean.${passesOf}`,
      phase: 'strip',
      title: 'Wash the surface',
      detail: `Mineral spirits first, then a cloth damp with water and a drop of soap, until it stays clean.${times(Number(passesOf))}`,
      work: 'clean',
      passes: Number(passesOf),
      faces: group,
      wait: CLEANED_DRIES,
      deeds: ['clean', 'solvent'],
      surface: riskiest(group),
      spends: (f) => [spreadOver('spirits', f, Number(passesOf))],
    });
  const scuffed = by('scuff');
  const painted = scuffed.filter((f) => f.finishNow === 'paint');
  const clear = scuffed.filter((f) => f.finishNow !== 'paint');
  if (painted.length > 0)
    passes.push({
      key: 'key',
      phase: 'strip',
      title: 'Scuff the old paint wet',
      detail:
        'Test it for lead first. Wash with a paint cleaner, then scuff wet with P220 (ISO 6344) or a nylon pad until it is dull; wipe up what comes off and bag it.',
      work: 'scuff',
      faces: painted,
      wait: SCUFFED_DRIES,
      deeds: ['clean', 'sand'],
      surface: riskiest(painted),
      spends: (f) => paperFor('scuff', f),
      aka: 'strip',
    });
  if (clear.length > 0)
    passes.push({
      key: 'scuff',
      phase: 'strip',
      title: 'Wash and scuff the old finish',
      detail:
        'Wash off wax and grease with mineral spirits, then scuff with P220 (ISO 6344) under paint, P320 under a clear coat, until it is evenly dull.',
      work: 'scuff',
      faces: clear,
      wait: SCUFFED_DRIES,
      deeds: ['clean', 'solvent', 'sand'],
      surface: riskiest(clear),
      spends: (f) => [spreadOver('spirits', f), ...paperFor('scuff', f)],
      aka: 'strip',
    });
  for (const [stripper, group] of grouped(by('strip'), (f) => f.preparation.stripper ?? 'paste')) {
    const { material, ...row } = STRIPPING[stripper];
    const most = Math.max(...group.map((f) => f.preparation.passes));
    passes.push({
      ...row,
      detail: `${row.detail}${group.some((f) => f.build !== 'solid') ? ` ${THIN_WIPED}` : ''}${times(most)}`,
      phase: 'strip',
      work: stripper,
      passes: most,
      faces: group,
      surface: riskiest(group),
      spends: (f) => [spreadOver(material, f, most)],
      aka: 'strip',
    });
  }
  const scraped = by('scrape');
  if (scraped.length > 0)
    passes.push({
      key: 'scrape',
      phase: 'strip',
      title: 'Scrape the old finish off',
      detail:
        'Card scraper with the grain, lightly, stopping at the first curl of wood; edges by hand with paper.',
      work: 'scrape',
      faces: scraped,
      deeds: ['scrape'],
      surface: riskiest(scraped),
      aka: 'strip',
    });
  const sandedOff = by('sand').filter((f) => f.finishNow !== 'bare' && f.goal !== 'keep');
  if (sandedOff.length > 0)
    passes.push({
      key: 'sandOff',
      phase: 'strip',
      title: 'Sand the old finish off',
      detail: 'From P150 (ISO 6344) by hand, within the sanding budget; edges with the last grit only.',
      work: 'sandOff',
      faces: sandedOff,
      deeds: ['sand'],
      surface: riskiest(sandedOff),
      spends: (f) => paperFor('sandOff', f),
      aka: 'strip',
    });
  return passes;
}

function gritsOf({ build, goal, school, profile, sanding }: FaceWork): readonly number[] {
  if (school === 'conserve' || profile === 'carved') return FIBRES_ONLY;
  if (build !== 'solid' && sanding) return sanding.grits;
  return SOLID_GRITS[goal === 'paint' ? 'paint' : 'clear'];
}

/** Bare wood is sanded for its finish; faces with the same grits in one go. */
function sanding(faces: readonly FaceWork[], ways: Ways, held: RiskySurface): Pass[] {
  const how =
    ways.sandingDirection === 'across'
      ? 'P150 and P220 across or on a slant until the last scratches of the grit before are gone, then with the grain'
      : 'with the grain only';
  const bare = faces.filter((f) => f.preparation.bareAfter);
  return grouped(bare, (f) => gritsOf(f).join('-')).map(([grits, group]): Pass => {
    const list = grits.split('-');
    return {
      key: `sand.${grits}`,
      aka: 'sand',
      phase: 'level',
      title: 'Sand the face',
      detail: `By hand with ${list.map((g) => `P${g}`).join(', ')} (ISO 6344), ${how}; edges with the last grit only.`,
      work: 'grit',
      passes: list.length,
      faces: group,
      deeds: ['sand'],
      // What was stripped is bare wood by now.
      surface: { finishNow: 'bare', ...(group[0] ? { species: group[0].species } : {}), ...held },
      spends: (f) => paperFor('grit', f, list.length),
    };
  });
}

type CoatGoal = keyof typeof COATS;
const isCoated = (goal: FinishGoal): goal is CoatGoal => goal !== 'keep';

/** The coats of every finish that the piece gets, each over all of its faces. */
function coating(
  faces: readonly FaceWork[],
  own: Partial<Record<CoatGoal, OwnCoats>>,
  held: RiskySurface,
): Pass[] {
  return grouped(faces, (f) => f.goal).flatMap(([goal, group]): Pass[] => {
    if (!isCoated(goal)) return [];
    const coats = coatsOf(goal, own[goal]);
    const others = [...new Set(faces.filter((f) => f.goal !== goal).map((f) => f.name.toLowerCase()))];
    const masked = others.length > 0 ? ` Mask what gets another finish: ${others.join(', ')}.` : '';
    const surface: RiskySurface = { finishNow: goal, ...held };
    const passes = Array.from({ length: coats.count.value }, (_, i): Pass => {
      const last = i === coats.count.value - 1;
      const material = coats.materials[Math.min(i, coats.materials.length - 1)] ?? 'finish';
      return {
        key: `coat${i + 1}.${goal}`,
        aka: `coat${i + 1}`,
        phase: 'topCoat',
        title: `${coats.title}, coat ${i + 1} of ${coats.count.value}`,
        detail: `${coats.detail}${masked}`,
        work: goal,
        faces: group,
        learns: `${goal}.coat`,
        wait: last ? (coats.rub?.wait ?? coats.handleMin) : coats.between,
        deeds: coats.deeds,
        surface,
        spends: (f) => [spreadOver(material, f)],
      };
    });
    if (coats.rub)
      passes.push({
        key: `rub.${goal}`,
        aka: 'rub',
        phase: 'rubOut',
        title: others.length > 0 ? `Rub out the ${FINISH_GOALS[goal].toLowerCase()}` : 'Rub out',
        detail: coats.rub.detail,
        work: 'rub',
        faces: group,
        deeds: ['sand', 'oil'],
        surface,
        spends: (f) => paperFor('rub', f),
      });
    return passes;
  });
}

/** Ids of log entries, with the faces each was done to; an entry that names none was done to all. */
export type DoneFaces = Pick<DoneStep, 'taskId' | 'faces'>;

/**
 * A pass in the rounds it is done in: what was ticked off stays done to the faces it was done to, and a face that came later is
 * done in a round of its own.
 */
function roundsOf(pass: Pass, pieceId: string, done: readonly DoneFaces[]): { pass: Pass; aka?: string }[] {
  const entryOf = (key: string): DoneFaces | undefined => done.find((d) => d.taskId === `${pieceId}/${key}`);
  const rounds: { pass: Pass; aka?: string }[] = [];
  let left = [...pass.faces];
  for (let n = 1; left.length > 0; n++) {
    const key = n === 1 ? pass.key : `${pass.key}~${n}`;
    const old = n === 1 && pass.aka !== undefined ? entryOf(pass.aka) : undefined;
    // A name that stands for something else in this plan was given to all of it, in an earlier one.
    const entry = entryOf(key) ?? (old && old.faces === undefined ? old : undefined);
    const faces = entry?.faces ? left.filter((f) => entry.faces?.includes(f.id)) : left;
    if (faces.length > 0) {
      const aka = entry !== undefined && entry === old && pass.aka !== undefined ? { aka: pass.aka } : {};
      rounds.push({ pass: { ...pass, key, faces }, ...aka });
    }
    if (!entry) break;
    left = left.filter((f) => !faces.includes(f));
  }
  return rounds;
}

/** What has to come off: parts in the order in which they do, and minutes of opening their joints. */
export type ApartWork = { parts: readonly string[]; minutes: number };

const APART_SOURCE: Source = derived('minutes of each joint and of letting its old glue go');

/** Taking apart before anything else, and putting together again, the other way round after a dry fit. */
function apartSteps({ parts, minutes }: ApartWork): PieceStep[] {
  const of = (key: string, phase: PhaseId, title: string, detail: string): PieceStep => ({
    ...step(key, phase, title, detail, 0, ['takeApart'], key === 'apart' ? { after: ['intake'] } : {}),
    attended: sourced(minutes, APART_SOURCE),
    surface: {},
    learns: `piece.${key}`,
  });
  return [
    of('apart', 'intake', 'Take apart', `In this order: ${parts.join(', ')}. Label every part with its place; stop where it needs force.`), // prettier-ignore
    of('together', 'reassemble', 'Dry-fit and put together', `In this order: ${[...parts].reverse().join(', ')}. Everything once without glue first.`), // prettier-ignore
  ];
}

/** Steps of the whole piece around its repairs, face by face: intake, preparing, sanding, coats, rub-out, reassembly. */
export function pieceSteps({
  pieceId,
  faces,
  holds,
  ways,
  coats = {},
  done = [],
  apart,
}: {
  pieceId: string;
  faces: readonly FaceWork[];
  holds: RiskySurface['holds'];
  ways: Ways;
  /** The shop's own top coats. */
  coats?: Partial<Record<CoatGoal, OwnCoats>>;
  done?: readonly DoneFaces[];
  apart?: ApartWork;
}): PieceStep[] {
  const held = holds && holds.length > 0 ? { holds } : {};
  const species = faces.find((f) => f.species)?.species;
  const electric = holds?.includes('electric') ? ' Pull the plug; the electric set comes out first.' : '';
  const whole = (
    key: string,
    phase: PhaseId,
    title: string,
    detail: string,
    deeds: readonly Deed[],
    surface: RiskySurface,
  ): PieceStep => ({ ...step(key, phase, title, detail, 25, deeds), surface, learns: `piece.${key}` });
  const intake = whole(
    'intake',
    'intake',
    'Photograph, clean, take off hardware',
    `Bag and label screws; note odd ones.${electric} Vacuum with a HEPA filter and wipe down damp.`,
    ['openInside', 'clean', 'buyWood'],
    { ...riskiest(faces), ...held, ...(species ? { species } : {}) },
  );
  const reassemble = whole(
    'reassemble',
    'reassemble',
    'Reassemble and photograph',
    'Hardware on, felt pads, photos after, and what was used written down.',
    ['buyWood'],
    species ? { species } : {},
  );
  const last = apart ? { ...reassemble, after: ['together'] } : reassemble;
  // What is finished apart has its own passes; everything else goes with the frame.
  const passes = grouped(faces, (f) => f.part ?? '').flatMap(([part, own]) =>
    [...preparing(own), ...sanding(own, ways, held), ...coating(own, coats, held)].map((pass) => ({
      part,
      pass: part ? { ...pass, key: `${pass.key}@${part}` } : pass,
    })),
  );
  const worked = passes.flatMap(({ part, pass }) =>
    roundsOf(pass, pieceId, done).map(({ pass: round, aka }) => pieceStep(round, part, faces, aka)),
  );
  return [intake, ...(apart ? apartSteps(apart) : []), ...worked, last];
}

function pieceStep(
  { key, phase, title, detail, work, passes, faces, wait, deeds, surface, learns, spends }: Pass,
  part: string,
  all: readonly FaceWork[],
  aka: string | undefined,
): PieceStep {
  const { attended, leastMin, mostMin } = sizedMinutes(work, faces, passes);
  const here = faces.length === all.length ? '' : ` Here: ${faces.map((f) => f.name).join(', ')}.`;
  return {
    ...step(
      key,
      phase,
      part ? `${title}: ${part}` : title,
      `${detail}${here}`,
      0,
      deeds,
      wait ? { wait } : {},
    ),
    attended,
    range: { leastMin, mostMin },
    surface,
    learns: learns ?? `piece.${work}`,
    faces: faces.map((f) => f.id),
    ...(part ? { part } : {}),
    ...(spends ? { spends: spends(faces) } : {}),
    ...(aka ? { aka } : {}),
  };
}
