export * from './client';
export type { BenchPlan, PieceTask } from './planning';
export type { Room } from '@/records/room';
