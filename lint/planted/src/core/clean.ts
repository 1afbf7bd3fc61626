import { a } from './circle/a';

export const clean = a(1);
