import { shown } from '../book/shown';

export const seen = shown;
