export { normalQuantile } from './normalQuantile';
export { seededRandom } from './seededRandom';
