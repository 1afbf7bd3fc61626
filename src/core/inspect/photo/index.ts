export { breaksIn, type Break, type BreakShape, type RakingPicture } from './breaks';
export { straighten, type FaceInPhoto } from './straighten';
