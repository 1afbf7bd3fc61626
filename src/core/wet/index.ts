export { CUP_REST_S, STREAK_S, stirTimes } from './stirring';
