export { InspectScreen } from './InspectScreen';
