import { USES, type MaterialId } from '../catalogue';
import type { Stripper } from '../prepare';
import { memory, practice, sourced, type Source, type Sourced } from '../sources';
import type { FinishGoal, Profile } from '../terms';

/** What a pass over whole faces is reckoned by. */
export type SizedWork =
  'clean' | 'scuff' | 'scrape' | 'sandOff' | 'grit' | 'rub' | Stripper | Exclude<FinishGoal, 'keep'>;

type Pace = {
  /** Getting ready and clearing up, once a pass. min. */
  readyMin: number;
  /** Flat surface. min/m². */
  minPerM2: number;
  /** Along edges and corners, by hand. min/m. */
  minPerM: number;
  /** Sheets of abrasive paper, 230 × 280 mm, for a square metre of one pass. */
  sheetsPerM2: number;
};

const HAND: Source = memory('minutes of a careful hand on whole faces; your own log goes first');
const PAPER: Source = memory('a sheet of paper lasts about half a square metre a grit by hand');

// prettier-ignore
const PACES: Record<SizedWork, Pace> = {
  clean:   { readyMin: 5,  minPerM2: 20,  minPerM: 0.5, sheetsPerM2: 0 },
  scuff:   { readyMin: 5,  minPerM2: 30,  minPerM: 1,   sheetsPerM2: 1 },
  scrape:  { readyMin: 10, minPerM2: 100, minPerM: 3,   sheetsPerM2: 0 },
  sandOff: { readyMin: 10, minPerM2: 90,  minPerM: 3,   sheetsPerM2: 4 },
  grit:    { readyMin: 2,  minPerM2: 20,  minPerM: 0.5, sheetsPerM2: 2 },
  rub:     { readyMin: 10, minPerM2: 45,  minPerM: 1,   sheetsPerM2: 1 },
  alcohol: { readyMin: 10, minPerM2: 45,  minPerM: 1,   sheetsPerM2: 0 },
  thinner: { readyMin: 10, minPerM2: 50,  minPerM: 1,   sheetsPerM2: 0 },
  paste:   { readyMin: 15, minPerM2: 60,  minPerM: 1.5, sheetsPerM2: 0 },
  shellac: { readyMin: 8,  minPerM2: 25,  minPerM: 0.5, sheetsPerM2: 0 },
  lacquer: { readyMin: 12, minPerM2: 15,  minPerM: 0.5, sheetsPerM2: 0 },
  varnish: { readyMin: 8,  minPerM2: 30,  minPerM: 1,   sheetsPerM2: 0 },
  oil:     { readyMin: 6,  minPerM2: 35,  minPerM: 0.5, sheetsPerM2: 0 },
  paint:   { readyMin: 8,  minPerM2: 30,  minPerM: 1,   sheetsPerM2: 0 },
};

/** How much longer a hand takes where it has to follow a shape. */
const PROFILE_TIMES: Record<Profile, Sourced> = {
  flat: sourced(1, practice('flat work is what the paces are for')),
  moulded: sourced(1.6, memory('mouldings and turnings take about half as long again')),
  carved: sourced(2.5, memory('carving takes two to three times as long')),
};

/** From one face to the next. min. */
const NEXT_FACE_MIN = sourced(2, memory('turning the piece, moving lamp and pots'));
/** How far a careful hand may be from these minutes. */
export const LEAST_SHARE = sourced(0.7, memory('a practised hand on sound work'));
export const MOST_SHARE = sourced(1.6, memory('a first time, or stubborn work'));

/** What is taken of a face that nobody has measured, m² and m. */
export const UNMEASURED = {
  areaM2: sourced(0.25, memory('a drawer front and a small top lie about there')),
  edgeM: sourced(2, memory('the edges of such a face')),
};

/** A face by its size. */
export type Sized = { areaM2: number; edgeM: number; profile: Profile };

const scale = ({ areaM2, profile }: Sized): number => areaM2 * PROFILE_TIMES[profile].value;

/** Minutes for one or several passes over some faces, with the range a hand may be away from them. */
export function sizedMinutes(
  work: SizedWork,
  faces: readonly Sized[],
  passes = 1,
): { attended: Sourced; leastMin: number; mostMin: number } {
  const { readyMin, minPerM2, minPerM } = PACES[work];
  const over = faces.reduce((sum, f) => sum + scale(f) * minPerM2 + f.edgeM * minPerM, 0);
  const between = Math.max(0, faces.length - 1) * NEXT_FACE_MIN.value;
  const minutes = readyMin + passes * (over + between);
  return {
    attended: sourced(minutes, HAND),
    leastMin: minutes * LEAST_SHARE.value,
    mostMin: minutes * MOST_SHARE.value,
  };
}

/** What a pass uses up. */
export type Spent = { material: MaterialId } & (
  { of: 'volume'; ml: number; source: Source } | { of: 'sheets'; sheets: number; source: Source }
);

/** Millilitres of something that is spread over some faces. @throws RangeError for a material that is not spread */
export function spreadOver(material: MaterialId, faces: readonly Sized[], passes = 1): Spent {
  const use = USES[material];
  if (use.by !== 'surface') throw new RangeError(`${material} is not spread over a surface.`);
  const ml = passes * use.mlPerM2.value * faces.reduce((sum, f) => sum + f.areaM2, 0);
  return { material, of: 'volume', ml, source: use.mlPerM2.source };
}

/** Sheets of abrasive paper for some passes over some faces, in tenths of a sheet. */
export function paperFor(work: SizedWork, faces: readonly Sized[], passes = 1): Spent[] {
  const sheets = passes * PACES[work].sheetsPerM2 * faces.reduce((sum, f) => sum + scale(f), 0);
  return sheets > 0 ? [{ material: 'paper', of: 'sheets', sheets, source: PAPER }] : [];
}
