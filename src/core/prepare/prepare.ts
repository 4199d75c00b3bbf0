import { LEAST_LEFT_MM, sandingBudget, THIN_VENEER_MM } from '../sanding';
import { practice, type Source } from '../sources';
import {
  FINISH_GOALS,
  FINISH_STATES,
  FINISHES_NOW,
  lowerFirst,
  type Build,
  type FinishGoal,
  type FinishNow,
  type FinishState,
  type Profile,
  type School,
} from '../terms';
import type { Ways } from '../ways';

/** What is done to a face before anything new goes on it, from the least to the most. */
export const PREPARATIONS = {
  leave: { label: 'Leave it', how: 'Nothing is done to the surface.' },
  clean: { label: 'Clean', how: 'Washed with spirits, then with a damp cloth, until the cloth stays clean.' },
  scuff: { label: 'Scuff and coat over', how: 'The old film stays and is given a tooth for the new one.' },
  scrape: { label: 'Scrape', how: 'A card scraper takes the film and leaves the wood.' },
  strip: { label: 'Strip', how: 'The film is softened and wiped off.' },
  sand: { label: 'Sand', how: 'By hand, from the first grit that the budget allows.' },
} as const;

export type PreparationId = keyof typeof PREPARATIONS;

/** What softens a film. */
export const STRIPPERS = {
  alcohol: 'Alcohol',
  thinner: 'Lacquer thinner',
  paste: 'A paste stripper without methylene chloride',
} as const;
export type Stripper = keyof typeof STRIPPERS;

/** A face as its preparation sees it. */
export type FaceToPrepare = {
  finishNow: FinishNow;
  /** Not set while nobody has looked: it is then taken as worn. */
  state?: FinishState;
  goal: FinishGoal;
  school: School;
  build: Build;
  veneerMm: number;
  profile: Profile;
  /** Its old finish is refreshed by a repair of its own. */
  refreshed: boolean;
  /** How a finish comes off thin veneer in this piece. */
  thinVeneer: Ways['thinVeneer'];
  /** What the user has chosen instead. */
  own?: PreparationId;
};

/** A preparation with what speaks for it, or against it. */
export type PreparationOption = { id: PreparationId; fits: boolean; why: string };

export type Preparation = {
  id: PreparationId;
  /** What the evidence proposes. */
  proposed: PreparationId;
  options: PreparationOption[];
  /** How often it is done before the surface is ready. */
  passes: number;
  stripper?: Stripper;
  /** Bare wood lies open after it. */
  bareAfter: boolean;
};

export const PREPARATION_SOURCE: Source = practice(
  'which new finish holds on which old one, and what takes a film off; a trial on a hidden spot goes first',
);

type Film = Exclude<FinishNow, 'bare' | 'oil' | 'wax'>;
const FILMS: readonly FinishNow[] = ['shellac', 'lacquer', 'waterborne', 'varnish', 'paint'];

/** New finishes that hold on an old one that is sound, clean and scuffed. Common practice. */
const GOES_OVER: Record<FinishNow, readonly FinishGoal[]> = {
  bare: [],
  wax: [],
  oil: ['shellac', 'varnish', 'paint'],
  shellac: ['shellac', 'lacquer', 'varnish', 'paint'],
  lacquer: ['lacquer', 'shellac', 'varnish', 'paint'],
  waterborne: ['shellac', 'varnish', 'paint'],
  varnish: ['varnish', 'shellac', 'paint'],
  paint: ['paint'],
};

/** What takes each film off, and in how many passes. Common practice. */
const COMES_OFF: Record<Film, { stripper: Stripper; passes: number }> = {
  shellac: { stripper: 'alcohol', passes: 2 },
  lacquer: { stripper: 'thinner', passes: 2 },
  waterborne: { stripper: 'paste', passes: 2 },
  varnish: { stripper: 'paste', passes: 2 },
  paint: { stripper: 'paste', passes: 3 },
};

const isFilm = (finish: FinishNow): finish is Film => FILMS.includes(finish);
const isFailing = (state: FinishState | undefined): boolean =>
  state === 'crazed' || state === 'flaking' || state === 'sticky';
const isThin = ({ build, veneerMm }: FaceToPrepare): boolean =>
  build !== 'solid' && veneerMm < THIN_VENEER_MM.value;

type Verdict = Omit<PreparationOption, 'id'>;
const fits = (why: string): Verdict => ({ fits: true, why });
const not = (why: string): Verdict => ({ fits: false, why });

/** Why nothing is taken off this face at all. */
function nothingToTakeOff({ goal, finishNow }: FaceToPrepare): Verdict | undefined {
  if (goal === 'keep') return not('The finish stays.');
  if (finishNow === 'bare') return not('There is no finish to take off.');
  if (!isFilm(finishNow))
    return not(`${FINISHES_NOW[finishNow]} lies in the wood; there is no film to take off.`);
  return undefined;
}

const JUDGE: Record<PreparationId, (face: FaceToPrepare) => Verdict> = {
  leave: ({ goal, state, school, refreshed }) => {
    if (refreshed) return fits('Its own repair cleans the old finish and makes it ready.');
    if (goal !== 'keep') return not('A new finish does not hold on a surface that nobody has prepared.');
    if (state === 'crazed' && school === 'conserve') return fits('Crazing is age, and age stays.');
    return isFailing(state)
      ? not(`It is ${lowerFirst(FINISH_STATES[state ?? 'worn'])}; left so, more of it goes.`)
      : fits('The finish stays, and nothing of it fails.');
  },
  clean: ({ goal, finishNow, state, school, profile }) => {
    if (goal === 'keep') return fits('Dirt and wax go, the finish stays.');
    if (finishNow === 'wax') return fits('Spirits take the wax off; nothing bonds over it.');
    if (finishNow === 'oil' && goal === 'oil') return fits('New oil goes into old oil once that is clean.');
    if (finishNow === 'oil' && (school === 'conserve' || profile === 'carved' || state === 'sticky'))
      return fits(
        'Old oil lies in the wood: it is washed out with spirits as far as it goes, and the finish is tried on a hidden spot first.',
      );
    if (finishNow === 'bare' && profile === 'carved')
      return fits('Bare carving is brushed and washed; paper would round it off.');
    if (finishNow === 'bare' && school === 'conserve')
      return fits('Bare wood that keeps its age is washed, not sanded.');
    return not('A clean surface alone gives a new finish no tooth.');
  },
  scuff: ({ goal, finishNow, state, school }) => {
    if (goal === 'keep') return not('Nothing new goes over a finish that stays.');
    if (finishNow === 'wax') return not('Nothing bonds over wax.');
    if (finishNow === 'bare') return not('There is no film to give a tooth to.');
    if (goal === 'oil') return not('Oil has to reach the wood, and a film keeps it out.');
    if (isFailing(state))
      return not(
        `The film is ${lowerFirst(FINISH_STATES[state ?? 'worn'])} and would take the new coat with it.`,
      );
    if (!GOES_OVER[finishNow].includes(goal))
      return not(
        `${FINISH_GOALS[goal]} does not hold on old ${lowerFirst(FINISHES_NOW[finishNow])}, or wrinkles it.`,
      );
    if (goal !== 'paint' && school !== 'conserve' && state !== 'sound' && state !== 'waxed')
      return not(
        state === undefined
          ? 'Nobody has said yet that the film is sound; worn places show through a clear coat.'
          : 'Worn places show through a clear coat.',
      );
    return fits(
      state === 'waxed'
        ? 'The film is sound and holds the new one, once the wax is washed off.'
        : 'The film holds, and holds the new one once it is scuffed.',
    );
  },
  scrape: (face) => {
    const nothing = nothingToTakeOff(face);
    if (nothing) return nothing;
    if (face.finishNow === 'paint') return not('Old paint may hold lead: it is never scraped dry.');
    if (face.profile !== 'flat') return not('A card scraper does not follow mouldings or carving.');
    if (face.state === 'sticky') return not('A soft film smears under the scraper.');
    return fits('No chemistry and no dust; the wood keeps its thickness.');
  },
  strip: (face) => {
    const nothing = nothingToTakeOff(face);
    if (nothing) return nothing;
    return fits(
      face.build === 'particleBoard' || face.build === 'mdf'
        ? 'The film goes and the wood stays whole; wiped off with spirits, for water swells this board.'
        : 'The film goes and the wood stays whole.',
    );
  },
  sand: (face) => {
    if (face.goal === 'keep') return not('The finish stays.');
    if (face.school === 'conserve') return not('Sanding to bright wood takes the age with it.');
    if (face.finishNow === 'paint') return not('Old paint may hold lead: it is never sanded dry.');
    if (face.state === 'sticky' && face.finishNow !== 'bare') return not('A soft film clogs the paper.');
    if (face.profile === 'carved') return not('Paper rounds off carving.');
    if (face.finishNow === 'bare') return fits('It is bare; it is sanded for its finish.');
    if (isFilm(face.finishNow) && isThin(face) && face.thinVeneer !== 'sand')
      return not('The veneer is thin: stripped or scraped it loses nothing.');
    const leftMm =
      isFilm(face.finishNow) && face.build !== 'solid' ? sandingBudget(face.veneerMm).leftMm : undefined;
    if (leftMm !== undefined && leftMm < LEAST_LEFT_MM.value)
      return not(`Sanded through its grits it would keep ${Math.max(0, leftMm).toFixed(2)} mm of veneer.`);
    return fits('Quick on a small sound film.');
  },
};

const TAKES_OFF: readonly PreparationId[] = ['strip', 'scrape', 'sand'];

/** In the order in which they are preferred: the least that does comes first. */
function preferred(face: FaceToPrepare): PreparationId[] {
  const way = face.thinVeneer;
  const off = isThin(face) ? [way, ...TAKES_OFF.filter((p) => p !== way)] : TAKES_OFF;
  return ['leave', 'clean', 'scuff', ...off];
}

/**
 * What is done to a face before its finish, from the finish found, its state, what comes next, the veneer left and the school;
 * every other way with what stands against it. A way that the user has chosen goes before the proposal.
 */
export function preparationOf(face: FaceToPrepare): Preparation {
  const options = (Object.keys(PREPARATIONS) as PreparationId[]).map((id) => ({ id, ...JUDGE[id](face) }));
  const fitting = preferred(face).filter((id) => options.find((o) => o.id === id)?.fits);
  const proposed = fitting[0] ?? (face.goal === 'keep' ? 'leave' : 'clean');
  const id = face.own ?? proposed;
  const off = isFilm(face.finishNow) ? COMES_OFF[face.finishNow] : undefined;
  const carved = face.profile === 'carved' ? 1 : 0;
  return {
    id,
    proposed,
    options,
    passes:
      id === 'strip' && off
        ? off.passes + carved
        : id === 'clean' && face.finishNow === 'wax' && face.goal !== 'keep'
          ? 2
          : 1,
    ...(id === 'strip' && off ? { stripper: off.stripper } : {}),
    bareAfter:
      face.goal !== 'keep' &&
      (TAKES_OFF.includes(id) || face.finishNow === 'bare' || (face.finishNow === 'wax' && id === 'clean')),
  };
}
