import { ResinsScreen } from '@/features/resins';

export default function Page() {
  return <ResinsScreen />;
}
