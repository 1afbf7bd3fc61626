import { rows } from '../../data/rows';

export const count = rows.length;
