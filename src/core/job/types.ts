export type { Named, Photo } from './kinds/common';
export type { Answers, Chosen, Damage, Doing, GlueChoice, HeldBy, PatchChoice, Seen } from './kinds/damage';
export type { Face, FaceGrain } from './kinds/face';
export type { LogEntry } from './kinds/log';
export type { HomeClimate, Part, Piece } from './kinds/piece';
export type { KnownShop, Shop } from './kinds/shop';
export type { Veneer } from './kinds/veneer';
export type { PhotoRole } from '../terms';
