export { extent } from './extent';
export { normalQuantile } from './normalQuantile';
export { seededRandom } from './seededRandom';
