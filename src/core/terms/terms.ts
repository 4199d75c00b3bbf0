/** The three schools of the trade. */
export type School = 'conserve' | 'clear' | 'paint';
export type FinishGoal = 'keep' | 'shellac' | 'lacquer' | 'varnish' | 'oil' | 'paint';
export type FinishNow = 'bare' | 'shellac' | 'lacquer' | 'waterborne' | 'varnish' | 'oil' | 'wax' | 'paint';
export type Build = 'solid' | 'plywood' | 'solidCore' | 'particleBoard' | 'mdf';

export const SCHOOLS: Record<School, { label: string; aim: string }> = {
  conserve: { label: 'Conserve', aim: 'Keep age, patina and colour; put back only what is missing.' },
  clear: { label: 'Clear finish', aim: 'A sound, even, transparent finish.' },
  paint: { label: 'Paint', aim: 'A sound, smooth, opaque surface, fast.' },
};

/** A piece that is not in work: it waits for a part or an owner, or it was handed back. */
export type Rest = 'asleep' | 'away';
export const RESTS: Record<Rest, string> = { asleep: 'Sleeps', away: 'Handed back' };

export const FINISH_GOALS: Record<FinishGoal, string> = {
  keep: 'Keep the finish that is on it',
  shellac: 'New shellac',
  lacquer: 'New lacquer',
  varnish: 'New varnish',
  oil: 'New hard-wax oil',
  paint: 'Paint',
};

export const FINISHES_NOW: Record<FinishNow, string> = {
  bare: 'None, bare wood',
  shellac: 'Shellac',
  lacquer: 'Lacquer',
  waterborne: 'Water-based clear coat',
  varnish: 'Varnish or polyurethane',
  oil: 'Oil',
  wax: 'Wax only',
  paint: 'Paint',
};

export const BUILDS: Record<Build, string> = {
  solidCore: 'Veneer on solid wood',
  plywood: 'Veneer on plywood',
  particleBoard: 'Veneer on particle board',
  mdf: 'Veneer on MDF',
  solid: 'Solid wood, no veneer',
};

/** How the finish on a face is. */
export type FinishState = 'sound' | 'waxed' | 'worn' | 'crazed' | 'flaking' | 'sticky';
export const FINISH_STATES: Record<FinishState, string> = {
  sound: 'Sound',
  waxed: 'Sound, with wax or polish on it',
  worn: 'Worn or scratched',
  crazed: 'Crazed',
  flaking: 'Flaking',
  sticky: 'Soft or sticky',
};

/** How much there is to follow with a hand: mouldings and carving take longer than their area says. */
export type Profile = 'flat' | 'moulded' | 'carved';
export const PROFILES: Record<Profile, string> = {
  flat: 'Flat',
  moulded: 'With mouldings or turnings',
  carved: 'Carved',
};

export type PhotoRole = 'overall' | 'raking' | 'detail' | 'before' | 'after';

/** What a photo was taken for. */
export const PHOTO_ROLES: Record<PhotoRole, string> = {
  overall: 'Overall',
  raking: 'In raking light',
  detail: 'Detail',
  before: 'Before',
  after: 'After',
};
