import { CoatsScreen } from '@/features/coats';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <CoatsScreen pieceId={(await params).id} />;
}
