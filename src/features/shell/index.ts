export { NoPlace } from './NoPlace';
export { Shell } from './Shell';
