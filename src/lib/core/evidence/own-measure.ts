import type { Direction } from '../finding/types';

export type OwnMeasure = { id: string; name: string; unit: string; direction: Direction; low: number; high: number };
