import { SheetScreen } from '@/features/resins';

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <SheetScreen resinId={(await params).id} />;
}
