export { PiecesScreen } from './PiecesScreen';
