import { b } from './b';

export const a = (n: number): number => (n > 0 ? b(n - 1) : 0);
