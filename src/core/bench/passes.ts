import type { Deed, PhaseId } from '../catalogue';
import type { Preparation } from '../prepare';
import { memory, sourced, type Sourced } from '../sources';
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
import { paperFor, spreadOver, type Sized, type SizedWork, type Spent } from './bySize';
import { coatsOf, type COATS, type OwnCoats } from './coats';

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

/** Coats of one finish follow each other. @param nth from 1 */
export type Coat = { finish: FinishGoal; nth: number };

/** Words of a pass, before its faces, its size and its amounts are known. */
export type Pass = {
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
  /** Which coat of which finish it is. */
  coat?: Coat;
  /** It sands the faces themselves. */
  sands?: true;
};

/** Of several faces the one that asks for most care: old paint before anything else. */
export const riskiest = (faces: readonly FaceWork[]): RiskySurface => {
  const worst = faces.find((f) => f.finishNow === 'paint') ?? faces[0];
  return worst ? { finishNow: worst.finishNow, species: worst.species } : {};
};

/** Faces that agree in something, in the order in which they are met. */
export function grouped<K extends string>(
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
      sands: true,
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

export type CoatGoal = keyof typeof COATS;
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
        coat: { finish: goal, nth: i + 1 },
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

/** All that is done to faces which are finished together, in the order of the house's phases. */
export const passesFor = (
  faces: readonly FaceWork[],
  ways: Ways,
  own: Partial<Record<CoatGoal, OwnCoats>>,
  held: RiskySurface,
): Pass[] => [...preparing(faces), ...sanding(faces, ways, held), ...coating(faces, own, held)];
