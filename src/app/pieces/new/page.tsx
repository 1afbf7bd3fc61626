import { NewPieceScreen } from '@/features/survey';

export default function Page() {
  return <NewPieceScreen />;
}
