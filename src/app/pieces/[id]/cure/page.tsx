import { CureScreen } from '@/features/cure';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <CureScreen pieceId={(await params).id} />;
}
