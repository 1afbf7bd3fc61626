import { WetScreen } from '@/features/wet';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <WetScreen sessionId={(await params).id} />;
}
