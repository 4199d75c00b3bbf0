import { practice, type Source } from '../sources';

/** The order of work. A phase begins when everything of the phases before it is done. */
export const PHASES = [
  { id: 'intake', label: 'Prepare', why: 'Photos, labels and loose parts first, before anything is moved.' },
  { id: 'structure', label: 'Structure', why: 'Joints and core carry all that follows.' },
  {
    id: 'reglue',
    label: 'Reglue veneer',
    why: 'Before stripping: the old finish protects the wood from clamps, and squeeze-out goes with the stripper.',
  },
  { id: 'strip', label: 'Strip', why: 'After regluing, so that stripper does not run under loose veneer.' },
  { id: 'patch', label: 'Patch', why: 'On clean wood, whose colour and grain can be seen.' },
  {
    id: 'level',
    label: 'Level and sand',
    why: 'Patches are levelled before the whole is sanded, within the sanding budget.',
  },
  { id: 'bareFill', label: 'Bare-wood fills', why: 'After levelling, before any colour.' },
  { id: 'bleach', label: 'Bleach', why: 'On bare wood, after the fills and before any colour.' },
  { id: 'stain', label: 'Dye', why: 'On bare, sanded wood.' },
  { id: 'seal', label: 'Seal', why: 'It shows the true colour and keeps the next layers from soaking in.' },
  { id: 'blend', label: 'Blend', why: 'Between sealer and top coat a colour can still be wiped back.' },
  {
    id: 'finishFill',
    label: 'Fills on the finish',
    why: 'On a sealed or finished surface; nothing bonds over wax.',
  },
  { id: 'topCoat', label: 'Top coats', why: 'Over everything.' },
  { id: 'rubOut', label: 'Rub out', why: 'When the film is hard.' },
  { id: 'reassemble', label: 'Reassemble', why: 'Last, with photos of what was done.' },
] as const;

export type PhaseId = (typeof PHASES)[number]['id'];
export const PHASE_SOURCE: Source = practice('the order of work');

export const phaseIndex = (id: PhaseId): number => PHASES.findIndex((p) => p.id === id);
export const phaseLabel = (id: PhaseId): string => PHASES[phaseIndex(id)]?.label ?? id;
