import { TodayScreen } from '@/features/today';

export default function Page() {
  return <TodayScreen />;
}
