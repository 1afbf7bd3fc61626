import { a } from './a';

export const b = (n: number): number => a(n);
