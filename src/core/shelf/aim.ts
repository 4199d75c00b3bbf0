import type { Lab, Tones } from '../colour';
import type { Point } from '../geometry';

/** Where the colour that a repair shall have is taken from, when not from the sound wood round it. */
export const AIM_FROM = {
  points: { label: 'Places I pick', help: 'Tap sound wood on any face: the twin part, another corner.' },
  photo: {
    label: 'A photo',
    help: 'The first colour inside a door, bare wood wiped with spirits: filling the picture, in the light in which the face was taken.',
  },
  board: { label: 'A test board', help: 'The colour a board of yours came to.' },
  reader: { label: 'The colour reader', help: 'Held flat on sound wood.' },
} as const;
export type AimFrom = keyof typeof AIM_FROM;

export type ColourAim = {
  from: AimFrom;
  /** What it was, in words. */
  label: string;
  tones: Tones;
  /** Of picked places: on which face, as fractions of its picture. */
  faceId?: string;
  points?: Point[];
};

export const MOST_AIM_POINTS = 12;

/** One colour as the tones of wood without a figure. */
export const evenTones = (lab: Lab): Tones => ({
  ground: lab,
  mean: lab,
  line: lab,
  coherence: 0,
  pixels: 1,
});

/** “From 3 places on Lectern slope.” */
export const pickedLabel = (count: number, face: string): string =>
  `${count === 1 ? 'One place' : `${count} places`} on ${face}`;
