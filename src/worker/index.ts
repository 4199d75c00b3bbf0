export * from './client';
export type { BenchPlan, PieceTask } from './planning';
