import { RoomScreen } from '@/features/room';

export default function Page() {
  return <RoomScreen />;
}
