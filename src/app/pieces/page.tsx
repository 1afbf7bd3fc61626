import { PiecesScreen } from '@/features/pieces';

export default function Page() {
  return <PiecesScreen />;
}
