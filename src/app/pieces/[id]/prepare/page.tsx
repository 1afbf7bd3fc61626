import { PrepareScreen } from '@/features/prepare';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <PrepareScreen pieceId={(await params).id} />;
}
