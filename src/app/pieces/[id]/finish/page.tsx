import { FinishScreen } from '@/features/finish';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <FinishScreen pieceId={(await params).id} />;
}
