export { RoomScreen } from './RoomScreen';
