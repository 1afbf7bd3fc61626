export { BookScreen } from './BookScreen';
