import { SettingsScreen } from '@/features/settings';

export default function Page() {
  return <SettingsScreen />;
}
