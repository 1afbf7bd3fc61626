export { Boundary } from './Boundary';
export { RowTroubles } from './RowTroubles';
export { each, RowTrouble, troubleWords, type Tolerated } from './rowTrouble';
