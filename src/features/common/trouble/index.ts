export { Boundary } from './Boundary';
export { RowTroubles } from './RowTroubles';
export { troubleWords } from './rowTrouble';
export { each, RowTrouble, type Tolerated } from '@/shop/rowTrouble';
