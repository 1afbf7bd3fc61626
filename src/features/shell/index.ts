export { Shell } from './Shell';
