export { FinishScreen } from './FinishScreen';
