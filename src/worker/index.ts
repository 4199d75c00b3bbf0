export { call, compute, type JobAnswer, type JobInput, type JobName, type JobOptions } from './client';
export type { CuttingPlan } from './cutting';
export type { FoundSpots } from './spots';
export type { BenchPlan, PieceTask } from './shelf';
export type { Room } from '@/records/room';
