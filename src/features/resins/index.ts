export { ResinsScreen } from './ResinsScreen';
export { SheetScreen } from './SheetScreen';
