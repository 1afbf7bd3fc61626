export { CoatsScreen } from './CoatsScreen';
