import { shown } from '../features/book/shown';

export const told = shown;
