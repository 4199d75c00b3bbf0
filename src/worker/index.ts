export * from './client';
export type { BenchPlan, PieceTask } from './shelf';
export type { Room } from '@/records/room';
