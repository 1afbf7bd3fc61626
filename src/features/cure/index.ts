export { CureScreen } from './CureScreen';
