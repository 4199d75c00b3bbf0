export * from './client';
export type { FoundSpots } from './shop.worker';
export type { BenchPlan, PieceTask } from './shelf';
export type { Room } from '@/records/room';
