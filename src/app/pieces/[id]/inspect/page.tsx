import { InspectScreen } from '@/features/inspect';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <InspectScreen pieceId={(await params).id} />;
}
