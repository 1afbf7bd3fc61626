export { GatherScreen } from './GatherScreen';
export { WetScreen } from './WetScreen';
