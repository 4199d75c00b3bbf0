import { step, type Deed, type Step } from '../catalogue';
import { memory, sourced } from '../sources';
import type { SandingBudget } from '../sanding';
import { THIN_VENEER_MM } from '../sanding';
import type { RiskySurface } from '../safety';
import type { Build, FinishGoal, FinishNow } from '../terms';
import type { Ways } from '../ways';
import { coatsOf, type COATS, type OwnCoats } from './coats';

/** A face as the steps of the whole piece see it. */
export type FaceWork = {
  name: string;
  build: Build;
  veneerMm: number;
  species: string;
  finishNow: FinishNow;
  goal: FinishGoal;
  /** Its old finish is refreshed rather than taken off. */
  refreshed: boolean;
};

export type PieceStep = Step & { surface: RiskySurface; learns: string };

type Given = Omit<PieceStep, 'attended' | 'source' | 'learns'> & { attended: number; learns?: string };
const worked = ({ key, phase, title, detail, attended, deeds, wait, surface, learns }: Given): PieceStep => ({
  ...step(key, phase, title, detail, attended, deeds, wait ? { wait } : {}),
  surface,
  learns: learns ?? `piece.${key}`,
});

const STRIPPED_DRIES = sourced(480, memory('stripped and rinsed wood dries overnight; its label goes first'));
const SCUFFED_DRIES = sourced(60, memory('a surface scuffed wet dries within the hour'));

const isThin = (f: FaceWork): boolean => f.build !== 'solid' && f.veneerMm < THIN_VENEER_MM.value;
const names = (faces: readonly FaceWork[], all: readonly FaceWork[]): string =>
  faces.length === all.length ? '' : ` Here: ${faces.map((f) => f.name).join(', ')}.`;
/** Of several faces the one that asks for most care: old paint before anything else. */
const riskiest = (faces: readonly FaceWork[]): RiskySurface => {
  const worst = faces.find((f) => f.finishNow === 'paint') ?? faces[0];
  return worst ? { finishNow: worst.finishNow, species: worst.species } : {};
};

const OFF: Record<Ways['thinVeneer'], { title: string; detail: string; deeds: readonly Deed[] }> = {
  strip: {
    title: 'Strip the old finish',
    detail:
      'Chemically, without methylene chloride; wipe it off with cloths and shavings, no steel scraper on thin veneer. Rinse as the label says and let it dry.',
    deeds: ['strip'],
  },
  scrape: {
    title: 'Scrape the old finish off',
    detail:
      'Card scraper with the grain, lightly, stopping at the first curl of wood; edges by hand with paper.',
    deeds: ['scrape'],
  },
  sand: {
    title: 'Sand the old finish off',
    detail: 'From P150 (ISO 6344) by hand, within the sanding budget; edges with the last grit only.',
    deeds: ['sand'],
  },
};

const sandingWords = (sanding: SandingBudget | undefined, ways: Ways): string => {
  const grits = sanding?.grits.map((g) => `P${g}`).join(', ');
  const how =
    ways.sandingDirection === 'across'
      ? 'P150 and P220 across or on a slant until the last scratches of the grit before are gone, then with the grain'
      : 'with the grain only';
  return grits
    ? `By hand with ${grits} (ISO 6344), ${how}; edges with the last grit only.`
    : `By hand, ${how}.`;
};

/** Steps of the whole piece around its repairs: intake, taking the finish off, sanding, coats, rub-out, reassembly. */
export function pieceSteps({
  goal,
  faces,
  holds,
  ways,
  sanding,
  coats: own = {},
}: {
  goal: FinishGoal;
  faces: readonly FaceWork[];
  holds: RiskySurface['holds'];
  ways: Ways;
  sanding?: SandingBudget;
  /** The shop's own top coats. */
  coats?: Partial<Record<keyof typeof COATS, OwnCoats>>;
}): PieceStep[] {
  const held = holds && holds.length > 0 ? { holds } : {};
  const species = faces.find((f) => f.species)?.species;
  const electric = holds?.includes('electric') ? ' Pull the plug; the electric set comes out first.' : '';
  const steps: Given[] = [
    {
      key: 'intake',
      phase: 'intake',
      title: 'Photograph, clean, take off hardware',
      detail: `Bag and label screws; note odd ones.${electric} Vacuum with a HEPA filter and wipe down damp.`,
      attended: 25,
      deeds: ['openInside', 'clean', 'buyWood'],
      surface: { ...riskiest(faces), ...held, ...(species ? { species } : {}) },
    },
  ];
  const changed = faces.filter((f) => f.goal !== 'keep');
  const scuffed = changed.filter((f) => f.finishNow === 'paint' && f.goal === 'paint');
  const refreshed = changed.filter((f) => f.refreshed && !scuffed.includes(f));
  const bare = changed.filter((f) => f.finishNow === 'bare');
  const stripped = changed.filter((f) => ![...scuffed, ...refreshed, ...bare].includes(f));
  if (scuffed.length > 0) {
    steps.push({
      key: stripped.length > 0 ? 'key' : 'strip',
      phase: 'strip',
      title: 'Scuff the old paint wet',
      detail: `Test it for lead first. Wash with a paint cleaner, then scuff wet with P220 (ISO 6344) or a nylon pad until it is dull; wipe up what comes off and bag it.${names(scuffed, changed)}`,
      attended: 30,
      wait: SCUFFED_DRIES,
      deeds: ['sand'],
      surface: riskiest(scuffed),
    });
  }
  if (stripped.length > 0) {
    const off = OFF[stripped.some(isThin) ? ways.thinVeneer : 'strip'];
    steps.push({
      key: 'strip',
      phase: 'strip',
      title: off.title,
      detail: `${off.detail}${names(stripped, changed)}`,
      attended: 60,
      ...(off.deeds.includes('strip') ? { wait: STRIPPED_DRIES } : {}),
      deeds: off.deeds,
      surface: riskiest(stripped),
    });
  }
  const sanded = [...stripped, ...bare];
  if (sanded.length > 0) {
    steps.push({
      key: 'sand',
      phase: 'level',
      title: 'Sand the face',
      detail: `${sandingWords(sanding, ways)}${names(sanded, changed)}`,
      attended: 30,
      deeds: ['sand'],
      // What was stripped is bare wood by now.
      surface: { finishNow: 'bare', ...(species ? { species } : {}), ...held },
    });
  }
  if (goal !== 'keep') {
    const coats = coatsOf(goal, own[goal]);
    const surface: RiskySurface = { finishNow: goal, ...held };
    for (let i = 1; i <= coats.count.value; i++) {
      const last = i === coats.count.value;
      steps.push({
        key: `coat${i}`,
        phase: 'topCoat',
        title: `${coats.title}, coat ${i} of ${coats.count.value}`,
        detail: coats.detail,
        attended: coats.attended.value,
        learns: `${goal}.coat`,
        wait: last ? (coats.rub?.wait ?? coats.handleMin) : coats.between,
        deeds: coats.deeds,
        surface,
      });
    }
    if (coats.rub) {
      steps.push({
        key: 'rub',
        phase: 'rubOut',
        title: 'Rub out',
        detail: coats.rub.detail,
        attended: 30,
        deeds: ['sand', 'oil'],
        surface,
      });
    }
  }
  steps.push({
    key: 'reassemble',
    phase: 'reassemble',
    title: 'Reassemble and photograph',
    detail: 'Hardware on, felt pads, photos after, and what was used written down.',
    attended: 25,
    deeds: ['buyWood'],
    surface: { ...(species ? { species } : {}) },
  });
  return steps.map(worked);
}
