import type { Job } from '../core/job';
import { BIG, faceOf, jobOf, SQUARE, VENEERED } from './jobs';

export type Golden = {
  job: Job;
  /** Steps in the order of work: name, minutes of hands, minutes of waiting. */
  steps: string[];
  /** Whole millilitres, and sheets of paper in tenths. */
  takes: Record<string, number>;
};

/*
 * Worked out by hand before they were run. What is done follows from the trade: common practice. Minutes are
 * ready + passes × (min/m² × area × shape + min/m × edge + 2 for each further face), from the table of paces, rounded up to a minute;
 * a face of 1000 × 500 mm has 0.5 m² and 3 m of edge, one of 500 × 500 mm 0.25 m² and 2 m. Millilitres are ml/m² × area × passes.
 */
export const GOLDEN: Record<string, Golden> = {
  'a painted case with a clear top: the sound varnish of the case is scuffed and primed, the worn top is stripped': {
    job: jobOf({ school: 'paint', goal: 'paint' }, [
      faceOf('Sides', BIG, { alike: 2, finishNow: 'varnish', finishState: 'sound' }),
      faceOf('Top', BIG, { ...VENEERED, finishNow: 'lacquer', finishState: 'worn', school: 'clear', goal: 'lacquer' }),
    ]),
    // Scuff 5 + 30 + 6 = 41. Thinner 10 + 2 (25 + 3) = 66. P150, P180, P220: 2 + 3 (10 + 1.5) = 36.5. Paint 8 + 30 + 6 = 44.
    steps: ['intake 25 0', 'scuff 41 60', 'strip.thinner 66 60', 'sand.150-180-220 37 0', 'coat1.paint 44 240', 'coat2.paint 44 240', 'coat3.paint 44 1440', 'coat1.lacquer 21 60', 'coat2.lacquer 21 60', 'coat3.lacquer 21 2880', 'rub.lacquer 36 0', 'reassemble 25 0'],
    takes: { spirits: 150, thinner: 250, primer: 110, paint: 220, lacquer: 180, paper: 4.5 },
  },
  'a solid chair with a veneered seat, oiled: old oil is washed, the film on the seat comes off': {
    job: jobOf({ goal: 'oil' }, [
      faceOf('Frame', SQUARE, { finishNow: 'oil', finishState: 'worn', profile: 'moulded' }),
      faceOf('Seat', SQUARE, { ...VENEERED, finishNow: 'varnish', finishState: 'worn' }),
    ]),
    // Wash 5 + 20 × 0.25 × 1.6 + 1 = 14. Strip 15 + 2 (15 + 3) = 51. Oil 6 + 35 (0.4 + 0.25) + 2 + 2 = 32.75.
    steps: ['intake 25 0', 'clean 14 60', 'strip 51 480', 'sand.150-180-220 20 0', 'coat1.oil 33 720', 'coat2.oil 33 1440', 'reassemble 25 0'],
    takes: { spirits: 38, stripper: 175, hardWaxOil: 45, paper: 1.5 },
  },
  'a radio cabinet in crazed lacquer: stripped in two goes, for it takes longer than a morning': {
    job: jobOf({ goal: 'lacquer', holds: ['electric'] }, [
      faceOf('Top', BIG, { ...VENEERED, finishNow: 'lacquer', finishState: 'crazed' }),
      faceOf('Sides', BIG, { ...VENEERED, alike: 2, finishNow: 'lacquer', finishState: 'crazed' }),
    ]),
    // Thinner 10 + 2 (75 + 9 + 2) = 182, in two goes of 91.
    steps: ['intake 25 0', 'strip.thinner.go1 91 0', 'strip.thinner 91 60', 'sand.150-180-220 112 0', 'coat1.lacquer 41 60', 'coat2.lacquer 41 60', 'coat3.lacquer 41 2880', 'rub.lacquer 89 0', 'reassemble 25 0'],
    takes: { thinner: 750, lacquer: 540, paper: 10.5 },
  },
  'an inlaid piece that is conserved: crazing stays, what is sticky inside is washed': {
    job: jobOf({ school: 'conserve', goal: 'keep' }, [
      faceOf('Top', BIG, { ...VENEERED, finishNow: 'shellac', finishState: 'crazed' }),
      faceOf('Inside', SQUARE, { finishNow: 'shellac', finishState: 'sticky' }),
    ]),
    steps: ['intake 25 0', 'clean 11 60', 'reassemble 25 0'],
    takes: { spirits: 38 },
  },
  'a table with leaves that are finished apart': {
    job: jobOf({ goal: 'varnish', apart: ['Leaves'] }, [
      faceOf('Frame', BIG, { finishNow: 'varnish', finishState: 'worn' }),
      faceOf('Leaf', BIG, { finishNow: 'varnish', finishState: 'worn', alike: 2, part: 'Leaves' }),
    ]),
    // Strip 15 + 2 (30 + 4.5) = 84 and 15 + 2 (60 + 9) = 153. Four grits: 2 + 4 (10 + 1.5) = 48 and 2 + 4 (20 + 3) = 94.
    steps: ['intake 25 0', 'strip 84 480', 'strip@Leaves 153 480', 'sand.120-150-180-220 48 0', 'sand.120-150-180-220@Leaves 94 0', 'coat1.varnish 26 720', 'coat2.varnish 26 720', 'coat3.varnish 26 10080', 'coat1.varnish@Leaves 44 720', 'coat2.varnish@Leaves 44 720', 'coat3.varnish@Leaves 44 10080', 'rub.varnish 36 0', 'rub.varnish@Leaves 61 0', 'reassemble 25 0'],
    takes: { stripper: 1050, varnish: 383, paper: 13.5 },
  },
  'a sound varnish under another coat': {
    job: jobOf({ goal: 'varnish' }, [faceOf('Top', BIG, { finishNow: 'varnish', finishState: 'sound' })]),
    steps: ['intake 25 0', 'scuff 23 60', 'coat1.varnish 26 720', 'coat2.varnish 26 720', 'coat3.varnish 26 10080', 'rub.varnish 36 0', 'reassemble 25 0'],
    takes: { spirits: 75, varnish: 128, paper: 1 },
  },
  'old paint under new: tested for lead, scuffed wet, nothing is sanded': {
    job: jobOf({ school: 'paint', goal: 'paint' }, [
      faceOf('Door', BIG, { finishNow: 'paint', finishState: 'sound' }),
      faceOf('Frame', SQUARE, { finishNow: 'paint', finishState: 'worn', profile: 'moulded' }),
    ]),
    // Scuff 5 + 30 (0.5 + 0.4) + 5 + 2 = 39.
    steps: ['intake 25 0', 'key 39 60', 'coat1.paint 42 240', 'coat2.paint 42 240', 'coat3.paint 42 1440', 'reassemble 25 0'],
    takes: { primer: 83, paint: 165, paper: 0.9 },
  },
  'carving out of old paint: four passes, and no paper but for the fibres': {
    job: jobOf({ goal: 'shellac' }, [faceOf('Panel', SQUARE, { finishNow: 'paint', finishState: 'flaking', profile: 'carved' })]),
    // Strip 15 + 4 (37.5 + 3) = 177. One grit: 2 + 12.5 + 1 = 15.5.
    steps: ['intake 25 0', 'strip 177 480', 'sand.220 16 0', 'coat1.shellac 25 120', 'coat2.shellac 25 120', 'coat3.shellac 25 4320', 'rub.shellac 41 0', 'reassemble 25 0'],
    takes: { stripper: 350, shellac: 60, paper: 1.9 },
  },
  'waxed pine that is conserved: washed twice, for nothing bonds over wax': {
    job: jobOf({ school: 'conserve', goal: 'shellac' }, [faceOf('Seat', BIG, { finishNow: 'wax', finishState: 'worn' })]),
    steps: ['intake 25 0', 'clean.2 28 60', 'sand.220 14 0', 'coat1.shellac 22 120', 'coat2.shellac 22 120', 'coat3.shellac 22 4320', 'rub.shellac 36 0', 'reassemble 25 0'],
    takes: { spirits: 150, shellac: 120, paper: 1.5 },
  },
  'new bare pine for paint: solid wood begins coarser': {
    job: jobOf({ school: 'paint', goal: 'paint' }, [faceOf('Shelf', [1000, 1000], { finishNow: 'bare', finishState: 'sound' })]),
    // P120, P150, P180: 2 + 3 (20 + 2) = 68.
    steps: ['intake 25 0', 'sand.120-150-180 68 0', 'coat1.paint 42 240', 'coat2.paint 42 240', 'coat3.paint 42 1440', 'reassemble 25 0'],
    takes: { primer: 110, paint: 220, paper: 6 },
  },
  'flaking shellac on thin veneer, conserved: scraped': {
    job: jobOf({ school: 'conserve', goal: 'shellac' }, [faceOf('Flap', BIG, { ...VENEERED, finishNow: 'shellac', finishState: 'flaking' })]),
    // Scrape 10 + 50 + 9 = 69.
    steps: ['intake 25 0', 'scrape 69 0', 'sand.220 14 0', 'coat1.shellac 22 120', 'coat2.shellac 22 120', 'coat3.shellac 22 4320', 'rub.shellac 36 0', 'reassemble 25 0'],
    takes: { shellac: 120, paper: 1.5 },
  },
  'four large panels: what takes more than a morning is done in goes': {
    job: jobOf({ goal: 'varnish' }, [faceOf('Panels', [1000, 1000], { alike: 4, finishNow: 'varnish', finishState: 'worn' })]),
    // 4 m² and 16 m of edge. Strip 15 + 2 (240 + 24) = 543, in four; sand 2 + 4 (80 + 8) = 354 and rub 10 + 180 + 16 = 206, in two.
    steps: ['intake 25 0', 'strip.go1 136 0', 'strip.go2 136 0', 'strip.go3 136 0', 'strip 135 480', 'sand.120-150-180-220.go1 177 0', 'sand.120-150-180-220 177 0', 'coat1.varnish 144 720', 'coat2.varnish 144 720', 'coat3.varnish 144 10080', 'rub.varnish.go1 103 0', 'rub.varnish 103 0', 'reassemble 25 0'],
    takes: { stripper: 2800, varnish: 1020, paper: 36 },
  },
}; // prettier-ignore
