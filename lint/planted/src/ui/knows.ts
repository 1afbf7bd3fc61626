import { count } from '../core/upward/up';

export const known = count;
